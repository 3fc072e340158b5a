package wake.log;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * A lift in a lift window, as far as it was given.
 *
 * @param atMs clock time at which the bar left the floor
 * @param load the load; empty when the coach did not say
 * @param pieces what was lifted; empty for the complex of the window
 * @param outcome made, missed, or not logged
 * @param counted reps seen to be made; 0 when none were tapped
 * @param missedOn the rep it was missed on, from 1; empty when made or not logged
 * @param endMs clock time at which the bar was down; empty when not logged
 * @param uncertaintyS standard uncertainty of its start, in seconds
 */
public record Lift(
        long atMs,
        Optional<Quantity> load,
        List<LiftPiece> pieces,
        Outcome outcome,
        int counted,
        OptionalInt missedOn,
        OptionalLong endMs,
        double uncertaintyS) {
    /** The tag of a mark whose outcome comes in marks of its own. */
    public static final String OPEN = "open";

    private static final Pattern LOAD = Pattern.compile("(\\d{1,4}(?:[.]\\d{1,2})?)\\s*(kg|lb)");
    private static final Pattern PIECE = Pattern.compile("(\\d{1,2})\\s+(\\S.{0,78})");
    private static final Pattern MISSED_ON = Pattern.compile("on (\\d{1,3})");

    /** How a lift came out. */
    public enum Outcome {
        MADE("made"),
        MISSED("missed"),
        UNKNOWN("result not logged");

        private final String words;

        Outcome(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Lift {
        pieces = List.copyOf(pieces);
    }

    public boolean made() {
        return outcome == Outcome.MADE;
    }

    /** From leaving the floor until the bar was down; empty when not logged. */
    public OptionalLong lengthMs() {
        return endMs.isPresent() ? OptionalLong.of(endMs.getAsLong() - atMs) : OptionalLong.empty();
    }

    /** Whether it was the complex of the window, and not a single on the way: only that scores. */
    public boolean scores() {
        return pieces.isEmpty();
    }

    /** What was lifted: its own pieces, else those of the window. */
    public List<LiftPiece> pieces(List<LiftPiece> complex) {
        return pieces.isEmpty() ? complex : pieces;
    }

    /** Reads "85 kg" or "187.5 lb". */
    public static Optional<Quantity> load(String written) {
        Matcher matcher = LOAD.matcher(written.strip());
        return matcher.matches()
                ? Unit.ofSymbol(matcher.group(2)).map(unit -> new Quantity(new BigDecimal(matcher.group(1)), unit))
                : Optional.empty();
    }

    /** A load with the pieces lifted, as a mark's text holds them: "60 kg" or "60 kg, 1 clean + 1 push jerk". */
    public record LiftText(Quantity load, List<LiftPiece> pieces) {
        public LiftText {
            pieces = List.copyOf(pieces);
        }

        /** Reads a mark's text; empty when it is none. */
        public static Optional<LiftText> of(String text) {
            int comma = text.indexOf(',');
            Optional<Quantity> load = Lift.load(comma < 0 ? text : text.substring(0, comma))
                    .filter(one -> one.value().signum() > 0);
            return load.flatMap(known -> comma < 0
                    ? Optional.of(new LiftText(known, List.of()))
                    : Lift.pieces(text.substring(comma + 1)).map(pieces -> new LiftText(known, pieces)));
        }

        @Override
        public String toString() {
            return pieces.isEmpty() ? load.toString() : load + ", " + LiftPiece.written(pieces);
        }
    }

    /** Reads "1 clean + 1 push jerk"; empty when it is none. */
    public static Optional<List<LiftPiece>> pieces(String written) {
        List<LiftPiece> pieces = new ArrayList<>();
        for (String piece : written.split("[+]")) {
            Matcher matcher = PIECE.matcher(piece.strip());
            if (!matcher.matches() || Integer.parseInt(matcher.group(1)) == 0) {
                return Optional.empty();
            }
            pieces.add(new LiftPiece(Integer.parseInt(matcher.group(1)), matcher.group(2)));
        }
        return Optional.of(pieces);
    }

    /** The rep a compact mark says it was missed on: its tag is "on 2". */
    static OptionalInt missedOn(Mark mark) {
        Matcher matcher = MISSED_ON.matcher(mark.tag());
        return matcher.matches() ? OptionalInt.of(Integer.parseInt(matcher.group(1))) : OptionalInt.empty();
    }
}
