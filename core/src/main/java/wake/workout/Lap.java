package wake.workout;

/**
 * One time round a block of a part. Rounds are compared, averaged and capped inside one block only: two laps are the same only
 * when block and number are.
 *
 * @param block which block
 * @param number which time round it, from 1
 * @param of how many there are; 0 when it goes on until the bell, 1 when it is done once
 */
public record Lap(Block block, int number, int of) {
    /** Outside any block. */
    public static final Lap ONCE = new Lap(Block.NONE, 1, 1);

    /**
     * Lines of a part that are done several times over.
     *
     * @param index which block of the part, from 0 in the order of its text; below 0 for none
     * @param name what tells it from the part's other blocks: "thruster and burpee"; empty where there is only one
     * @param pieces whether it is one distance, done in pieces
     */
    public record Block(int index, String name, boolean pieces) {
        static final Block NONE = new Block(-1, "");

        Block(int index, String name) {
            this(index, name, false);
        }
    }

    /** Whether it is one of several rounds. */
    public boolean repeats() {
        return of != 1;
    }

    /** "round 2", or "round 2 of thruster and burpee" where the part has more blocks than one. */
    public String words() {
        return "round " + number + (block.name().isEmpty() ? "" : " of " + block.name());
    }
}
