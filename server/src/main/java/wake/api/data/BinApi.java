package wake.api.data;

import java.io.IOException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Conflict;
import wake.review.NotFound;
import wake.store.BinStore;
import wake.store.BinStore.Kind;

/** Deleting, bringing back, and removing for good. */
@RestController
@RequestMapping("/api/bin")
class BinApi {
    private final BinStore bin;
    private final Housekeeping housekeeping;

    /**
     * Something in the bin.
     *
     * @param attempts how many attempts lie in it with it, or still use it
     * @param emptiesOn the day it goes for good by itself
     */
    record BinView(Kind kind, UUID id, String what, OffsetDateTime deletedAt, LocalDate emptiesOn, int attempts) {}

    BinApi(BinStore bin, Housekeeping housekeeping) {
        this.bin = bin;
        this.housekeeping = housekeeping;
    }

    @GetMapping
    List<BinView> bin() {
        return bin.all().stream()
                .map(entry -> new BinView(
                        entry.kind(),
                        entry.id(),
                        entry.what(),
                        entry.deletedAt(),
                        entry.deletedAt().plusDays(Housekeeping.DAYS_IN_THE_BIN).toLocalDate(),
                        entry.attempts()))
                .toList();
    }

    /** Puts an athlete, a workout, an attempt or a recording into the bin. */
    @PostMapping("/{kind}/{id}")
    List<BinView> delete(@PathVariable Kind kind, @PathVariable UUID id) {
        if (!bin.delete(kind, id)) {
            throw new NotFound(name(kind), id);
        }
        return bin();
    }

    /** Brings it back as it was. */
    @PostMapping("/{kind}/{id}/restore")
    List<BinView> restore(@PathVariable Kind kind, @PathVariable UUID id) {
        if (!bin.restore(kind, id)) {
            throw new NotFound(name(kind), id);
        }
        return bin();
    }

    /** Removes what lies in the bin for good: rows, video, notes. */
    @DeleteMapping("/{kind}/{id}")
    List<BinView> purge(@PathVariable Kind kind, @PathVariable UUID id) throws IOException {
        if (!housekeeping.purge(kind, id)) {
            throw new Conflict("id", "This workout has attempts. Delete those first, or archive it.");
        }
        return bin();
    }

    private static String name(Kind kind) {
        return kind.name().toLowerCase(java.util.Locale.ROOT);
    }
}
