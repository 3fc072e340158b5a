package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wake.log.AttemptLog;
import wake.log.FaultSplit;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;

/**
 * A round or a rest far beyond the others: over median + 3 · 1.4826 · MAD (median absolute deviation, scaled to a standard
 * deviation), and at least two seconds over the median.
 *
 * @param what "round 4", "a rest in round 2 · 12 push press"
 * @param fromMs clock time it starts
 * @param toMs clock time it ends
 * @param overMs how far over the median it is
 * @param reason the fault or cue that lies in it, in words; empty when nothing was noted
 */
public record Outlier(String what, long fromMs, long toMs, long overMs, Optional<String> reason) {
    private static final int FEWEST = 4;
    private static final long LEAST_MS = 2000;

    private record Span(String what, long fromMs, long toMs) {
        long ms() {
            return toMs - fromMs;
        }
    }

    static List<Outlier> of(AttemptLog log, Rounds rounds, List<Mark> cues) {
        List<Outlier> outliers = new ArrayList<>();
        if (rounds.consistency().isPresent()) {
            List<Span> spans = rounds.splits().stream()
                    .map(round -> new Span("round " + round.number(), round.endMs() - round.elapsedMs(), round.endMs()))
                    .toList();
            outliers.addAll(among(spans, log, cues));
        }
        restsByLine(log).values().forEach(rests -> outliers.addAll(among(rests, log, cues)));
        return outliers;
    }

    private static Map<Integer, List<Span>> restsByLine(AttemptLog log) {
        Map<Integer, List<Span>> rests = new TreeMap<>();
        for (SegmentSplit split : log.splits()) {
            for (RestSplit rest : split.rests()) {
                rests.computeIfAbsent(split.segment().lineIndex(), line -> new ArrayList<>())
                        .add(new Span("a rest in " + split.segment().place(), rest.startMs(), rest.endMs()));
            }
        }
        return rests;
    }

    private static List<Outlier> among(List<Span> spans, AttemptLog log, List<Mark> cues) {
        if (spans.size() < FEWEST) {
            return List.of();
        }
        double[] times = spans.stream().mapToDouble(Span::ms).toArray();
        double median = Statistics.median(times);
        double limit = median + Statistics.outlyingFrom(times);
        return spans.stream()
                .filter(span -> span.ms() > limit && span.ms() - median >= LEAST_MS)
                .map(span -> new Outlier(
                        span.what(),
                        span.fromMs(),
                        span.toMs(),
                        Math.round(span.ms() - median),
                        reason(span, log, cues)))
                .toList();
    }

    private static Optional<String> reason(Span span, AttemptLog log, List<Mark> cues) {
        List<String> seen = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            for (FaultSplit fault : split.faults()) {
                if (fault.atMs() >= span.fromMs() && fault.atMs() <= span.toMs()) {
                    seen.add(words(fault.kind()));
                }
            }
        }
        cues.stream()
                .filter(cue -> cue.atMs() >= span.fromMs() && cue.atMs() <= span.toMs())
                .map(cue -> "“" + cue.text() + "”")
                .forEach(seen::add);
        return seen.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", seen));
    }

    private static String words(MarkKind kind) {
        return kind.words().toLowerCase(Locale.ROOT);
    }
}
