package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import wake.movement.Catalogue;

/** The lines of a notation text while it is read, and what has been found wrong so far. */
final class NotationSource {
    private final List<NotationLine> lines;
    private final Catalogue catalogue;
    private final List<NotationError> errors = new ArrayList<>();
    private final List<NotationError> hints = new ArrayList<>();
    private int at;

    NotationSource(List<NotationLine> lines, Catalogue catalogue) {
        this.lines = lines;
        this.catalogue = catalogue;
    }

    Catalogue catalogue() {
        return catalogue;
    }

    boolean more() {
        return at < lines.size();
    }

    NotationLine peek() {
        return lines.get(at);
    }

    NotationLine next() {
        return lines.get(at++);
    }

    /** The next line that is not a comment, if there is one. */
    Optional<NotationLine> nextStatement() {
        return lines.subList(at, lines.size()).stream()
                .filter(line -> !line.isRemark())
                .findFirst();
    }

    int lastLine() {
        return lines.getLast().number();
    }

    List<NotationError> errors() {
        return errors;
    }

    List<NotationError> hints() {
        return hints;
    }

    void error(NotationError error) {
        errors.add(error);
    }

    void error(LineScanner.Unfit unfit) {
        errors.add(unfit.error());
    }

    void hint(NotationError hint) {
        hints.add(hint);
    }

    /** Reads something; what does not fit becomes an error. */
    <T> Optional<T> attempt(Supplier<T> reading) {
        try {
            return Optional.of(reading.get());
        } catch (LineScanner.Unfit unfit) {
            errors.add(unfit.error());
            return Optional.empty();
        }
    }
}
