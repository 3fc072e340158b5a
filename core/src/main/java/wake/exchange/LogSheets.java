package wake.exchange;

import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.reading.Rounds;
import wake.units.Messages;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** A log as sheets of comma-separated values (RFC 4180), times in seconds with three decimals; what was not logged is an empty cell. */
public final class LogSheets {
    private LogSheets() {}

    /** A row for each segment; the columns from {@code transition} to {@code unfinished} add up to {@code elapsed}. */
    public static String splits(AttemptLog log) {
        StringBuilder sheet = new StringBuilder(Cells.row(
                "split",
                "round",
                "movement",
                "start",
                "end",
                "elapsed",
                "interval_rest",
                "transition",
                "work",
                "rest",
                "unassigned",
                "unfinished",
                "fault_time",
                "faults",
                "reps_logged",
                "sets",
                "complete",
                "timing_error_s"));
        for (SegmentSplit split : log.done()) {
            boolean apart = split.unseparatedMs() == 0;
            sheet.append(Cells.row(
                    split.segment().index() + 1,
                    round(split),
                    split.segment().label(),
                    seconds(split.arrivalMs()),
                    seconds(split.endMs()),
                    seconds(split.elapsedMs()),
                    seconds(split.waitMs()),
                    apart ? seconds(split.transitionMs()) : "",
                    apart ? seconds(split.workMs()) : "",
                    apart ? seconds(split.restMs()) : "",
                    seconds(split.unseparatedMs()),
                    seconds(split.unfinishedMs()),
                    seconds(split.faultMs()),
                    split.faults().size(),
                    split.counted(),
                    split.setsWritten(),
                    split.complete() ? "yes" : "no",
                    Messages.of("%.3f", split.uncertaintyS())));
        }
        return sheet.toString();
    }

    /** A row for each set, with the rest after it. */
    public static String sets(AttemptLog log) {
        StringBuilder sheet = new StringBuilder(Cells.row(
                "split", "round", "movement", "set", "start", "end", "reps", "s_per_rep", "rest_after", "ended_by"));
        for (SegmentSplit split : log.done()) {
            int number = 0;
            for (SetSplit set : split.sets()) {
                number++;
                int reps = set.reps().orElse(0);
                sheet.append(Cells.row(
                        split.segment().index() + 1,
                        round(split),
                        split.segment().label(),
                        number,
                        seconds(set.startMs()),
                        seconds(set.endMs()),
                        set.reps().isPresent() ? Integer.toString(reps) : "",
                        reps > 0 ? Messages.of("%.3f", set.durationMs() / 1000.0 / reps) : "",
                        restAfter(split, number - 1),
                        set.endedBy().map(kind -> kind.words()).orElse("")));
            }
        }
        return sheet.toString();
    }

    private static String restAfter(SegmentSplit split, int set) {
        return split.restAfter(set)
                .map(RestSplit::durationMs)
                .map(LogSheets::seconds)
                .orElse("");
    }

    /** A row for each complete round of each block. */
    public static String rounds(List<Rounds> blocks) {
        StringBuilder sheet = new StringBuilder(Cells.row("round", "start", "end", "elapsed"));
        for (Rounds block : blocks) {
            for (Rounds.Round round : block.splits()) {
                sheet.append(Cells.row(
                        round.words(), seconds(round.startMs()), seconds(round.endMs()), seconds(round.elapsedMs())));
            }
        }
        return sheet.toString();
    }

    /** A row for each lift of a lift window. */
    public static String lifts(AttemptLog log) {
        StringBuilder sheet =
                new StringBuilder(Cells.row("lift", "start", "end", "load", "unit", "lifted", "outcome", "missed_on"));
        int number = 0;
        List<LiftPiece> complex = log.expanded().format() instanceof Format.Lift window ? window.complex() : List.of();
        for (Lift lift : log.lifts()) {
            number++;
            sheet.append(Cells.row(
                    number,
                    seconds(lift.atMs()),
                    seconds(lift.endMs()),
                    lift.load().map(load -> load.number()).orElse(""),
                    lift.load().map(load -> load.unit().symbol()).orElse(""),
                    LiftPiece.written(lift.pieces().isEmpty() ? complex : lift.pieces()),
                    lift.outcome().words(),
                    lift.missedOn().isPresent()
                            ? Integer.toString(lift.missedOn().getAsInt())
                            : ""));
        }
        return sheet.toString();
    }

    /** A row for each mark, at its clock; {@link MarkSheet#read} gives them back. */
    public static String marks(List<Mark> marks) {
        StringBuilder sheet = new StringBuilder(Cells.row("at", "kind", "reps", "depth", "tag", "text", "uncertainty"));
        for (Mark mark : marks) {
            sheet.append(Cells.row(
                    MarkSheet.clock(mark.atMs()),
                    mark.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                    mark.reps() == 0 ? "" : Integer.toString(mark.reps()),
                    mark.depth().name().toLowerCase(Locale.ROOT),
                    mark.tag(),
                    mark.text(),
                    Double.toString(mark.uncertaintyS())));
        }
        return sheet.toString();
    }

    private static String round(SegmentSplit split) {
        return split.segment().inRounds() ? split.segment().lap().words() : "";
    }

    private static String seconds(OptionalLong ms) {
        return ms.isPresent() ? seconds(ms.getAsLong()) : "";
    }

    private static String seconds(long ms) {
        return Messages.of("%.3f", ms / 1000.0);
    }
}
