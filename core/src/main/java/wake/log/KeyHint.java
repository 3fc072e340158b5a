package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.workout.Format;

/**
 * What a kind of mark would mean if it were made now.
 *
 * @param kind the kind
 * @param meaning what it would note, in a few words
 * @param refusal why it makes no sense now; empty when it does
 */
public record KeyHint(MarkKind kind, String meaning, Optional<String> refusal) {
    /** A hint for every kind that has a key, for the moment after the last mark. */
    public static List<KeyHint> now(AttemptLog log) {
        boolean lifts = log.expanded().format() instanceof Format.Lift;
        List<KeyHint> hints = new ArrayList<>();
        for (MarkKind kind : MarkKind.values()) {
            if (lifts) {
                // The start of the movement of a lift is the bar leaving the floor: that key begins the lift.
                MarkKind made = kind == MarkKind.BEGIN ? MarkKind.LIFT : kind;
                hints.add(new KeyHint(kind, ofALift(kind, log), log.refusal(made)));
            } else if (kind != MarkKind.LIFT) {
                hints.add(new KeyHint(kind, meaning(kind, log), log.refusal(kind)));
            }
        }
        return hints;
    }

    private static String ofALift(MarkKind kind, AttemptLog log) {
        int reps = log.repsOfTheLift();
        int next = log.counted() + 1;
        return switch (kind) {
            case BEGIN -> "bar leaves the floor";
            case REP -> reps > 1 ? "rep " + next + " of " + reps : "rep";
            case DONE -> "made";
            case MISS -> reps > 1 ? "missed on rep " + next : "missed";
            case OFF -> "bar down";
            case LIFT -> "lift with its load";
            case STOP -> "time";
            default -> kind.words();
        };
    }

    private static String meaning(MarkKind kind, AttemptLog log) {
        String label = log.current().map(segment -> segment.label()).orElse("");
        return switch (kind) {
            case REP ->
                log.current()
                        .filter(segment -> segment.tappable())
                        .map(segment -> "rep " + (log.counted() + 1) + " of "
                                + segment.amount().number())
                        .orElse("rep");
            case DONE -> label.isEmpty() ? "done" : label + " done";
            case BEGIN -> label.isEmpty() ? "movement starts" : label + " starts";
            case OFF -> "break";
            case ON -> "back on";
            case STOP -> "time or stop";
            case VARIANT -> "technique from here";
            case NO_REP, MISS, TRIP, BLIND, SEEN, CUE, LIFT -> kind.words();
        };
    }
}
