package wake.api;

import java.util.UUID;
import wake.store.BinStore;

/** What lies in the bin is not changed there: another window may have deleted it. */
public final class InTheBin {
    private InTheBin() {}

    /** Refuses a change of something that lies in the bin. */
    public static void refuse(BinStore bin, BinStore.Kind kind, UUID id) {
        if (bin.holds(kind, id)) {
            throw new Conflict("id", "This was deleted. Restore it from the bin (Data) first. Nothing was changed.");
        }
    }
}
