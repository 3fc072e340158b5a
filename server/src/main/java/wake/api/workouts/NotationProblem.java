package wake.api.workouts;

import java.util.List;
import wake.workout.NotationError;

/**
 * Something wrong in a notation text, or a hint.
 *
 * @param line line, counted from 1
 * @param column column, counted from 1
 * @param text what to do: "Line 3: add a colon."
 */
record NotationProblem(int line, int column, String text) {
    static List<NotationProblem> of(List<NotationError> errors) {
        return errors.stream()
                .map(error -> new NotationProblem(error.line(), error.column(), error.text()))
                .toList();
    }
}
