package wake.log;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import wake.log.Lift.LiftText;
import wake.log.Lift.Outcome;
import wake.units.Quantity;
import wake.workout.Format.LiftPiece;

/** A lift while its marks come in: the bar leaves the floor, reps are made or one is missed, the bar is down. */
final class LiftTrace {
    private final Mark start;
    private final Optional<Quantity> load;
    private final List<LiftPiece> pieces;
    private final int reps;
    private Outcome outcome;
    private int counted;
    private OptionalInt missedOn;
    private OptionalLong endMs = OptionalLong.empty();
    private boolean down;

    /** Of the mark at which the bar leaves the floor; its tag says whether the outcome is logged with it. */
    LiftTrace(Mark start, List<LiftPiece> complex) {
        this.start = start;
        Optional<LiftText> lifted = LiftText.of(start.text());
        load = lifted.map(LiftText::load);
        // Who writes the complex out means the complex.
        pieces =
                lifted.map(LiftText::pieces).filter(own -> !own.equals(complex)).orElse(List.of());
        reps = LiftPiece.repsOf(pieces.isEmpty() ? complex : pieces);
        boolean open = start.tag().equals(Lift.OPEN);
        outcome = open ? Outcome.UNKNOWN : start.reps() > 0 ? Outcome.MADE : Outcome.MISSED;
        OptionalInt known = outcome == Outcome.MISSED ? Lift.missedOn(start) : OptionalInt.empty();
        // A rep it does not have says nothing of where it was missed.
        missedOn = known.isPresent() && known.getAsInt() <= reps ? known : OptionalInt.empty();
    }

    /** Why a mark of a kind would make no sense for this lift now; empty when it would. */
    Optional<String> refusal(MarkKind kind) {
        boolean over = outcome != Outcome.UNKNOWN;
        return switch (kind) {
            case REP ->
                over
                        ? Optional.of("That lift is already " + outcome.words() + ". Press L for the next.")
                        : Optional.empty();
            case DONE, MISS, NO_REP ->
                // All reps tapped, it may still be dropped, or turned down by the judge.
                over && !(outcome == Outcome.MADE && endMs.isEmpty())
                        ? Optional.of("That lift is already " + outcome.words() + ". Press L for the next.")
                        : Optional.empty();
            case OFF -> down ? Optional.of("The bar is down already. Press L for the next lift.") : Optional.empty();
            default -> Optional.of("Max-lift window: L adds a lift, X is time.");
        };
    }

    void take(Mark mark) {
        switch (mark.kind()) {
            case REP -> {
                counted++;
                if (counted == reps) {
                    outcome = Outcome.MADE;
                }
            }
            case DONE -> end(mark, Outcome.MADE);
            case MISS, NO_REP -> {
                missedOn = OptionalInt.of(Math.min(counted + 1, reps));
                end(mark, Outcome.MISSED);
            }
            case OFF -> {
                endMs = OptionalLong.of(mark.atMs());
                down = true;
            }
            default ->
                throw new IllegalArgumentException(
                        "Lifts have no " + mark.kind().words());
        }
    }

    private void end(Mark mark, Outcome how) {
        outcome = how;
        endMs = OptionalLong.of(mark.atMs());
    }

    /** Whether reps, outcome or the bar coming down may still be logged. */
    boolean open() {
        return outcome == Outcome.UNKNOWN || endMs.isEmpty();
    }

    /** Reps of it seen so far. */
    int counted() {
        return counted;
    }

    /** Reps it has in all. */
    int reps() {
        return reps;
    }

    boolean untold() {
        return outcome == Outcome.UNKNOWN;
    }

    Lift lift() {
        return new Lift(
                start.atMs(),
                load,
                pieces,
                outcome,
                counted,
                // A single can only be missed on its one rep.
                outcome == Outcome.MISSED && missedOn.isEmpty() && reps == 1 ? OptionalInt.of(1) : missedOn,
                endMs,
                start.uncertaintyS());
    }
}
