package wake.review.portable;

import java.util.List;
import java.util.stream.Collectors;

/** A file that cannot be taken in; nothing of it was kept. */
public final class NotTakenIn extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient List<Problem> problems;

    /**
     * What is wrong with it.
     *
     * @param line from 1; 0 where it is about the whole file
     */
    public record Problem(long line, String what) {
        String words() {
            return line > 0 ? "Line " + line + ": " + what : what;
        }
    }

    NotTakenIn(List<Problem> problems) {
        super(problems.stream().map(Problem::words).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    NotTakenIn(long line, String what) {
        this(List.of(new Problem(line, what)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
