package wake.log;

/**
 * A mark the log cannot place. It is kept and left out of the splits until it is corrected.
 *
 * @param mark the mark
 * @param reason why it does not fit, in a sentence
 */
public record RejectedMark(Mark mark, String reason) {}
