package wake.units;

/**
 * How long a text, and a line of it, may be. Asked before anything looks into either, so that no line costs more than what people write
 * does, and a text no more than its lines.
 */
public final class Lengths {
    /** The longest line that is taken for something typed, characters. */
    public static final int LINE = 1000;

    private Lengths() {}

    /**
     * A typed line, if it is no longer than {@link #LINE}.
     *
     * @throws InvalidInput when it is longer
     */
    public static String line(String line) {
        if (line.length() > LINE) {
            throw new InvalidInput(tooLong(LINE, line.length()));
        }
        return line;
    }

    /**
     * A text, if neither it nor one of its lines is longer than it may be.
     *
     * @throws InvalidInput naming the line
     */
    public static String text(String text, int most, int mostInALine) {
        if (text.length() > most) {
            throw new InvalidInput("At most " + most + " characters, not " + text.length());
        }
        int line = 1;
        int begins = 0;
        for (int at = 0; at <= text.length(); at++) {
            if (at == text.length() || text.charAt(at) == '\n' || text.charAt(at) == '\r') {
                if (at - begins > mostInALine) {
                    throw new InvalidInput("Line " + line + ": " + tooLong(mostInALine, at - begins));
                }
                boolean pair = at + 1 < text.length() && text.charAt(at) == '\r' && text.charAt(at + 1) == '\n';
                line += pair ? 0 : 1;
                begins = at + 1;
            }
        }
        return text;
    }

    /** What is said of a line that is too long. */
    public static String tooLong(int most, int length) {
        return "at most " + most + " characters a line, not " + length;
    }
}
