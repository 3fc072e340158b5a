package wake.workout;

/**
 * What is wrong in a notation text, and where.
 *
 * @param line line, counted from 1
 * @param column column, counted from 1
 * @param found what stands there
 * @param expected what was expected instead, with an example where one helps
 */
public record NotationError(int line, int column, String found, String expected) {
    @Override
    public String toString() {
        return "line " + line + ", column " + column + ": found " + found + ", expected " + expected;
    }
}
