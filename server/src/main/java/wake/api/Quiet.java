package wake.api;

import java.util.Optional;

/** Something during which nothing else may be kept or read. */
public interface Quiet {
    /** Why, in words for the coach; empty when everything goes on. */
    Optional<String> why();
}
