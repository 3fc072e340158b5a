package wake.projection;

import java.util.Comparator;
import java.util.List;

/** In which order changes claim their seconds, whichever was chosen first: narrow ones before broad ones. */
final class ChangeOrder {
    private static final Comparator<Change> NARROW_FIRST =
            Comparator.comparingInt(ChangeOrder::breadth).thenComparing(Change::words);

    private ChangeOrder() {}

    static List<Change> narrowFirst(List<? extends Change> changes) {
        return changes.stream()
                .<Change>map(change -> change)
                .sorted(NARROW_FIRST)
                .toList();
    }

    private static int breadth(Change change) {
        return switch (change) {
            case SkipPause pause -> 0;
            case BreakOneEarly early -> 1;
            case ChangeSets sets -> 1;
            case FinishKick kick -> 1;
            case HoldCadence hold -> 2;
            case ErgPace pace -> 2;
            case CapTransitions cap -> cap.movement().isEmpty() ? 3 : 2;
            case CapRests cap -> cap.movement().isEmpty() ? 3 : 2;
            case DropFaults drop -> drop.movement().isEmpty() ? 3 : 2;
            case HoldRests hold -> hold.movement().isEmpty() ? 4 : 2;
            case SpreadEvenly spread -> 5;
        };
    }
}
