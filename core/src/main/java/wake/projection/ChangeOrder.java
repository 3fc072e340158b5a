package wake.projection;

import java.util.Comparator;
import java.util.List;

/** In which order changes claim their seconds, whichever was chosen first: narrow ones before broad ones. */
final class ChangeOrder {
    private static final Comparator<Change> NARROW_FIRST = Comparator.comparingInt(Change::breadth)
            .thenComparing(change -> change.written().toString());

    private ChangeOrder() {}

    static List<Change> narrowFirst(List<? extends Change> changes) {
        return changes.stream()
                .<Change>map(change -> change)
                .sorted(NARROW_FIRST)
                .toList();
    }
}
