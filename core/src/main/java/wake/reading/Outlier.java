package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import wake.log.AttemptLog;
import wake.log.FaultSplit;
import wake.log.Mark;
import wake.log.OwnPart;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.statistics.Outlying;

/**
 * A round, a rest or a transition far beyond the others of its kind, by the one rule of {@link Outlying}.
 *
 * @param what "round 4", "rest in round 2, 12 push press"
 * @param fromMs clock time it starts
 * @param toMs clock time it ends
 * @param overMs how far over the median it is
 * @param reason the fault or note that lies in it, in words; empty when nothing was noted
 */
public record Outlier(String what, long fromMs, long toMs, long overMs, Optional<String> reason) {
    /** A stretch of the clock, put into words only where it stands out. */
    private record Span(Supplier<String> what, long fromMs, long toMs) {
        long ms() {
            return toMs - fromMs;
        }
    }

    static List<Outlier> of(OwnPart own, List<Rounds> blocks) {
        AttemptLog log = own.log();
        List<Outlier> outliers = new ArrayList<>();
        for (Rounds rounds : blocks) {
            if (rounds.isOwn() && rounds.consistency().isPresent()) {
                List<Span> spans = rounds.splits().stream()
                        .map(round -> new Span(round::words, round.startMs(), round.endMs()))
                        .toList();
                outliers.addAll(among(spans, log));
            }
        }
        rests(own).values().forEach(rests -> outliers.addAll(among(rests, log)));
        outliers.addAll(among(transitions(own), log));
        return outliers;
    }

    /** Rests by line and load. */
    private static Map<String, List<Span>> rests(OwnPart own) {
        Map<String, List<Span>> rests = new LinkedHashMap<>();
        for (SegmentSplit split : own.done()) {
            for (RestSplit rest : split.rests()) {
                rests.computeIfAbsent(split.segment().lineAtLoad(), line -> new ArrayList<>())
                        .add(new Span(() -> "rest in " + split.segment().place(), rest.startMs(), rest.endMs()));
            }
        }
        return rests;
    }

    private static List<Span> transitions(OwnPart own) {
        List<Span> transitions = new ArrayList<>();
        for (SegmentSplit split : own.done()) {
            boolean mostOfOne = own.log().expanded().isMostRep(split.segment());
            if (split.segment().index() > 0 && !mostOfOne && split.beginMs().isPresent()) {
                transitions.add(new Span(
                        () -> "transition to " + split.segment().place(),
                        split.arrivalMs() + split.waitMs(),
                        split.beginMs().getAsLong()));
            }
        }
        return transitions;
    }

    private static List<Outlier> among(List<Span> spans, AttemptLog log) {
        Optional<Outlying> rule =
                Outlying.among(spans.stream().mapToDouble(Span::ms).toArray());
        return rule.stream()
                .flatMap(outlying -> spans.stream()
                        .filter(span -> outlying.is(span.ms()))
                        .map(span -> new Outlier(
                                span.what().get(),
                                span.fromMs(),
                                span.toMs(),
                                Math.round(span.ms() - outlying.median()),
                                reason(span, log))))
                .toList();
    }

    private static Optional<String> reason(Span span, AttemptLog log) {
        List<String> seen = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            for (FaultSplit fault : split.faults()) {
                if (fault.atMs() >= span.fromMs() && fault.atMs() <= span.toMs()) {
                    seen.add(fault.kind().words().toLowerCase(Locale.ROOT));
                }
            }
        }
        for (Mark note : log.notes()) {
            if (!note.isEffort() && note.atMs() >= span.fromMs() && note.atMs() <= span.toMs()) {
                seen.add("“" + note.text() + "”");
            }
        }
        return seen.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", seen));
    }
}
