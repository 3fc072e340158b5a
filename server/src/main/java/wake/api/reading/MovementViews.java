package wake.api.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import wake.log.FaultSplit;
import wake.log.PaceWords;
import wake.log.SegmentSplit;
import wake.reading.MovementReading;
import wake.reading.Pace;
import wake.reading.Reading;

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
            List<MovementRowView> rows) {}

    /** One segment of a movement. */
    public record MovementRowView(
            String place,
            long fromMs,
            long toMs,
            String sets,
            @Nullable String pace,
            @Nullable Double perMinute,
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
            @Nullable Double finishPercent) {}

    /** A cue or a fault, on the clock. */
    public record NoteView(long atMs, boolean fault, String words) {}

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
                        movement.rows().stream().map(MovementViews::row).toList()))
                .toList();
    }

    private static MovementRowView row(MovementReading.Row row) {
        SegmentSplit split = row.split();
        OptionalDouble cadence = split.secondsPerUnit();
        return new MovementRowView(
                split.segment().place(),
                split.arrivalMs(),
                split.endMs(),
                split.setsWritten(),
                cadence.isPresent() ? PaceWords.of(split.segment(), cadence.getAsDouble()) : null,
                cadence.isPresent() ? 60 / cadence.getAsDouble() : null,
                row.sets().stream()
                        .map(set -> new SetView(
                                set.reps().orElse(null),
                                boxed(set.secondsPerUnit()),
                                set.restAfterMs().orElse(null)))
                        .toList());
    }

    private static @Nullable Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static @Nullable PaceView pace(Reading reading) {
        return reading.pace()
                .shape()
                .map(shape -> new PaceView(
                        shape,
                        shape.words(),
                        reading.pace().thirds(),
                        reading.pace().finish().map(rate -> 100 * (rate - 1)).orElse(null)))
                .orElse(null);
    }

    /** Cues and faults in the order they came. */
    static List<NoteView> notes(Reading reading) {
        List<NoteView> notes = new ArrayList<>();
        reading.log().cues().stream()
                .filter(cue -> !cue.tag().equals("effort"))
                .forEach(cue -> notes.add(new NoteView(cue.atMs(), false, cue.text())));
        for (SegmentSplit split : reading.log().splits()) {
            for (FaultSplit fault : split.faults()) {
                notes.add(new NoteView(fault.atMs(), true, fault.kind().words()));
            }
        }
        notes.sort(Comparator.comparingLong(NoteView::atMs));
        return notes;
    }
}
