package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.Mark;
import wake.log.OwnPart;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;
import wake.workout.Likeness;

/**
 * Whether a movement went differently after a cue than before it, at like load. It says what came after, not that the cue did it.
 *
 * @param atMs when it was called
 * @param text what was called
 * @param movement the line being done
 * @param beforeS median seconds per rep of its sets before, two or more
 * @param afterS the same after
 */
public record CueEffect(long atMs, String text, String movement, double beforeS, double afterS) {
    private static final int FEWEST = 2;

    static List<CueEffect> of(OwnPart own) {
        List<CueEffect> effects = new ArrayList<>();
        for (Mark cue : own.log().cues()) {
            if (!cue.tag().equals("effort")) {
                effect(own, cue).ifPresent(effects::add);
            }
        }
        return effects;
    }

    private static Optional<CueEffect> effect(OwnPart own, Mark cue) {
        Optional<SegmentSplit> during = own.done().stream()
                .filter(split -> split.beginMs().isPresent()
                        && split.beginMs().getAsLong() <= cue.atMs()
                        && cue.atMs() <= split.countedToMs())
                .findFirst();
        if (during.isEmpty()) {
            return Optional.empty();
        }
        double[] before = paces(own, during.get(), 0, cue.atMs());
        double[] after = paces(own, during.get(), cue.atMs(), Long.MAX_VALUE);
        return before.length < FEWEST || after.length < FEWEST
                ? Optional.empty()
                : Optional.of(new CueEffect(
                        cue.atMs(),
                        cue.text(),
                        during.get().segment().line().name(),
                        Statistics.median(before),
                        Statistics.median(after)));
    }

    private static double[] paces(OwnPart own, SegmentSplit like, long fromMs, long toMs) {
        return own.done().stream()
                .filter(split -> Likeness.alike(split.segment(), like.segment()))
                .flatMap(split -> split.sets().stream())
                .filter(set -> set.startMs() >= fromMs
                        && set.endMs() <= toMs
                        && set.reps().orElse(0) > 0)
                .mapToDouble(CueEffect::secondsPerRep)
                .toArray();
    }

    private static double secondsPerRep(SetSplit set) {
        return set.durationMs() / 1000.0 / set.reps().orElse(1);
    }
}
