package wake.api.lifts;

import java.util.UUID;
import org.springframework.stereotype.Component;
import wake.api.InvalidRequest;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.workout.Format;

/** Opens attempts that are at a lift window, and refuses all others. */
@Component
class Windows {
    private final Reviews reviews;

    Windows(Reviews reviews) {
        this.reviews = reviews;
    }

    OpenAttempt open(UUID id) {
        OpenAttempt open = reviews.open(id);
        if (!(open.expanded().format() instanceof Format.Lift)) {
            throw new InvalidRequest("id", "This part is not a max-lift window.");
        }
        return open;
    }
}
