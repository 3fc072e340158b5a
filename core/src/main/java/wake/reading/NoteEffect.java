package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.Mark;
import wake.log.OwnPart;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;
import wake.workout.Comparability;

/**
 * Whether a movement went differently after a cue was given than before it, at like load; what was merely observed has no effect. It says what came after, not that the note did it.
 *
 * @param atMs when it was said
 * @param text what was called
 * @param movement the line being done
 * @param beforeS median seconds per rep of its sets before, two or more
 * @param afterS the same after
 */
public record NoteEffect(long atMs, String text, String movement, double beforeS, double afterS) {
    private static final int FEWEST = 2;

    static List<NoteEffect> of(OwnPart own) {
        List<NoteEffect> effects = new ArrayList<>();
        for (Mark note : own.log().notes()) {
            if (note.isCueGiven()) {
                effect(own, note).ifPresent(effects::add);
            }
        }
        return effects;
    }

    private static Optional<NoteEffect> effect(OwnPart own, Mark note) {
        Optional<SegmentSplit> during = own.done().stream()
                .filter(split -> split.beginMs().isPresent()
                        && split.beginMs().getAsLong() <= note.atMs()
                        && note.atMs() <= split.countedToMs())
                .findFirst();
        if (during.isEmpty()) {
            return Optional.empty();
        }
        double[] before = paces(own, during.get(), 0, note.atMs());
        double[] after = paces(own, during.get(), note.atMs(), Long.MAX_VALUE);
        return before.length < FEWEST || after.length < FEWEST
                ? Optional.empty()
                : Optional.of(new NoteEffect(
                        note.atMs(),
                        note.text(),
                        during.get().segment().line().name(),
                        Statistics.median(before),
                        Statistics.median(after)));
    }

    private static double[] paces(OwnPart own, SegmentSplit like, long fromMs, long toMs) {
        return own.done().stream()
                .filter(split -> Comparability.comparable(split.segment(), like.segment()))
                .flatMap(split -> split.sets().stream())
                .filter(set -> set.startMs() >= fromMs
                        && set.endMs() <= toMs
                        && set.reps().orElse(0) > 0)
                .mapToDouble(NoteEffect::secondsPerRep)
                .toArray();
    }

    private static double secondsPerRep(SetSplit set) {
        return set.durationMs() / 1000.0 / set.reps().orElse(1);
    }
}
