package wake.workout;

import java.util.List;
import java.util.stream.Collectors;

/**
 * One time round a block of a part. Rounds are compared, averaged and capped inside one block only: two laps are the same only
 * when block and number are.
 *
 * @param block which block
 * @param number which time round it, from 1
 * @param of how many there are; 0 when it goes on until the buzzer, 1 when it is done once
 */
public record Lap(Block block, int number, int of) {
    /** Outside any block. */
    public static final Lap ONCE = new Lap(Block.NONE, 1, 1);

    /**
     * Lines of a part that are done several times over.
     *
     * @param index which block of the part, from 0 in the order of its text; below 0 for none
     * @param name what distinguishes it from the part's other blocks: "thruster and burpee"; empty where there is only one
     * @param pieces whether it is one distance, done in pieces
     * @param inPairs whether two share it: the first round the athlete, the second the partner
     */
    public record Block(int index, String name, boolean pieces, boolean inPairs) {
        static final Block NONE = new Block(-1, "", false, false);

        /** What rounds are called by the movements in them: "thruster and burpee", "row to wall walk" of more than two. */
        public static String named(List<String> movements) {
            return movements.size() <= 2
                    ? String.join(" and ", movements)
                    : movements.getFirst() + " to " + movements.getLast();
        }

        /** The rounds of it that one of two does. */
        public Block of(boolean partner) {
            String whose = partner ? "the partner" : "the athlete";
            return new Block(index, name.isEmpty() ? whose : name + ", " + whose, pieces, inPairs);
        }
    }

    /** Whether it is the partner's round of work that two share. */
    public boolean isPartners() {
        return block.inPairs() && repeats() && number % 2 == 0;
    }

    /** Whether it is one of several rounds. */
    public boolean repeats() {
        return of != 1;
    }

    /** "round 2", or "round 2 of thruster and burpee" where the part has more blocks than one; "round 2 (partner)" where two share the work. */
    public String words() {
        return "round " + numeral();
    }

    /** The same of the rounds something stands in, the outermost first: "round 3.2" is the second inner round of round 3. */
    public static String words(List<Lap> around) {
        return around.isEmpty() ? "" : "round " + numeral(around);
    }

    /** The same below a heading that says "round": "3.2". */
    public static String numeral(List<Lap> around) {
        String inner = around.stream()
                .skip(1)
                .filter(Lap::repeats)
                .map(lap -> "." + lap.number())
                .collect(Collectors.joining());
        return around.getFirst().numeral(inner);
    }

    /** The same below a heading that says "round": "2", "2 of thruster and burpee". */
    public String numeral() {
        return numeral("");
    }

    private String numeral(String inner) {
        return number
                + inner
                + (isPartners() ? " (partner)" : "")
                + (block.name().isEmpty() ? "" : " of " + block.name());
    }
}
