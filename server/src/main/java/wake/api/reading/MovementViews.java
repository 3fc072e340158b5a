package wake.api.reading;

import static wake.api.Boxed.boxed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import wake.log.FaultSplit;
import wake.log.PaceFormat;
import wake.log.SegmentSplit;
import wake.reading.MovementReading;
import wake.reading.Pace;
import wake.reading.Reading;
import wake.reading.TechniqueReading;
import wake.units.Digits;
import wake.units.Messages;
import wake.workout.Lap;

/** The movements of a reading, its pacing and what was noted, as the interface shows them. */
public final class MovementViews {
    private MovementViews() {}

    /** A movement: where its time went, its sets, its rate over the attempt. */
    public record MovementReadingView(
            String movement,
            long elapsedMs,
            double sharePercent,
            long transitionMs,
            long workMs,
            long restMs,
            long faultMs,
            long unseparatedMs,
            @Nullable Double fadePercent,
            boolean withRests,
            @Nullable String rates,
            @Nullable String noFade,
            @Nullable String unbroken,
            List<MovementRowView> rows) {}

    /** The techniques a movement was done with. */
    public record MovementTechniquesView(String movement, List<TechniqueSpanView> techniques) {}

    /**
     * One of them.
     *
     * @param pace its pace in the words of the movement
     * @param range the fastest and the slowest of its sets, in the same words
     * @param figures how many sets
     * @param instead what doing all of it the fastest way would make, in a sentence; empty for that way itself
     */
    public record TechniqueSpanView(
            String name,
            String pace,
            @Nullable String range,
            int figures,
            long fromMs,
            @Nullable String instead) {}

    /** A movement before a note and after it. */
    public record NoteEffectView(long atMs, String text, String movement, String words) {}

    /** One segment of a movement. */
    public record MovementRowView(
            String place,
            long fromMs,
            long toMs,
            String sets,
            @Nullable String pace,
            @Nullable Double perMinute,
            @Nullable Double growthPercent,
            @Nullable String technique,
            List<SetView> cut) {}

    /** A set: its reps, seconds per unit, and the rest after it. */
    public record SetView(
            @Nullable Integer reps,
            @Nullable Double secondsPerUnit,
            @Nullable Long restAfterMs) {}

    /** The shape of the pacing. */
    public record PaceView(
            Pace.Shape shape,
            String words,
            List<Double> thirds,
            @Nullable Double finishPercent,
            List<String> by,
            @Nullable String apart) {}

    /** A note or a fault, on the clock; the tag of a note, or empty. */
    public record NoteView(long atMs, boolean fault, String words, String tag) {}

    static List<MovementReadingView> of(Reading reading) {
        double all = Math.max(1, reading.log().clockMs());
        return reading.movements().stream()
                .map(movement -> new MovementReadingView(
                        movement.movement(),
                        movement.elapsedMs(),
                        100 * movement.elapsedMs() / all,
                        movement.transitionMs(),
                        movement.workMs(),
                        movement.restMs(),
                        movement.faultMs(),
                        movement.unseparatedMs(),
                        boxed(movement.fadePercent()),
                        movement.withRests(),
                        movement.rates().orElse(null),
                        movement.noFade().orElse(null),
                        movement.unbroken()
                                .map(unbroken -> unbroken.times() + " of " + unbroken.of())
                                .orElse(null),
                        movement.rows().stream().map(MovementViews::row).toList()))
                .toList();
    }

    private static MovementRowView row(MovementReading.Row row) {
        SegmentSplit split = row.split();
        OptionalDouble cadence = row.secondsPerUnit();
        return new MovementRowView(
                split.segment().place(),
                split.arrivalMs() + split.waitMs(),
                split.countedToMs(),
                split.setsWritten(),
                cadence.isPresent() ? PaceFormat.of(split.segment(), cadence.getAsDouble()) : null,
                cadence.isPresent() ? 60 / cadence.getAsDouble() : null,
                boxed(row.growthPercent()),
                split.technique().orElse(null),
                row.sets().stream()
                        .map(set -> new SetView(
                                set.reps().orElse(null),
                                boxed(set.secondsPerUnit()),
                                set.restAfterMs().orElse(null)))
                        .toList());
    }

    /** "trip, 6.0 s"; where the marks do not show what it cost, that. */
    private static String cost(FaultSplit fault, Digits digits) {
        return fault.kind().words()
                + (fault.costMs().isPresent()
                        ? ", " + digits.span(fault.costMs().getAsLong())
                        : ", time lost unknown");
    }

    static List<MovementTechniquesView> techniques(Reading reading) {
        return reading.techniques().stream().map(MovementViews::technique).toList();
    }

    private static MovementTechniquesView technique(TechniqueReading reading) {
        TechniqueReading.Technique quickest = reading.techniques().stream()
                .min(Comparator.comparingDouble(TechniqueReading.Technique::secondsPerUnit))
                .orElseThrow();
        return new MovementTechniquesView(
                reading.movement(),
                reading.techniques().stream()
                        .map(technique -> new TechniqueSpanView(
                                technique.name().isEmpty() ? "before the first change" : technique.name(),
                                pace(technique.secondsPerUnit()),
                                technique.figures() > 1
                                        ? pace(technique.fastest()) + "–" + pace(technique.slowest())
                                        : null,
                                technique.figures(),
                                technique.fromMs(),
                                technique == quickest ? null : instead(reading, technique, quickest)))
                        .toList());
    }

    private static @Nullable String instead(
            TechniqueReading reading, TechniqueReading.Technique technique, TechniqueReading.Technique quickest) {
        OptionalDouble gain = TechniqueReading.gain(reading, technique, quickest);
        if (gain.isEmpty()) {
            return "Too few sets of both to compare.";
        }
        OptionalDouble least = OptionalDouble.of((technique.fastest() - quickest.slowest()) * reading.units());
        OptionalDouble most = OptionalDouble.of((technique.slowest() - quickest.fastest()) * reading.units());
        return Messages.of(
                "All %.0f as “%s”: saves %s (%s to %s), if that rate holds.",
                reading.units(),
                quickest.name(),
                saved(gain.getAsDouble()),
                saved(least.getAsDouble()),
                saved(most.getAsDouble()));
    }

    private static String saved(double seconds) {
        return Digits.TENTHS.span(Math.round(1000 * seconds));
    }

    private static String pace(double seconds) {
        return Messages.of("%.2f s", seconds);
    }

    static List<NoteEffectView> cueEffects(Reading reading) {
        return reading.notes().stream()
                .map(effect -> new NoteEffectView(
                        effect.atMs(),
                        effect.text(),
                        effect.movement(),
                        Messages.of(
                                "%s went from %.2f to %.2f s/rep. Fatigue may play a part.",
                                Messages.capital(effect.movement()), effect.beforeS(), effect.afterS())))
                .toList();
    }

    static @Nullable PaceView pace(Reading reading) {
        return reading.pace()
                .shape()
                .map(shape -> new PaceView(
                        shape,
                        shape.words(),
                        reading.pace().thirds(),
                        reading.pace().finish().map(rate -> 100 * (rate - 1)).orElse(null),
                        reading.pace().by(),
                        reading.pace().apart().map(Lap::words).orElse(null)))
                .orElse(null);
    }

    /** Cues and faults in the order they came. */
    static List<NoteView> notes(Reading reading) {
        List<NoteView> notes = new ArrayList<>();
        reading.log().notes().stream()
                .filter(note -> !note.isEffort())
                .forEach(note -> notes.add(new NoteView(note.atMs(), false, note.text(), note.tag())));
        for (SegmentSplit split : reading.log().splits()) {
            for (FaultSplit fault : split.faults()) {
                notes.add(new NoteView(
                        fault.atMs(), true, cost(fault, reading.log().digits()), ""));
            }
        }
        notes.sort(Comparator.comparingLong(NoteView::atMs));
        return notes;
    }
}
