package wake.api.data;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import wake.WakeProperties;
import wake.media.MediaFolder;
import wake.store.Backups;
import wake.store.BinStore;
import wake.store.BinStore.Entry;
import wake.store.BinStore.Kind;
import wake.store.DatabaseHealth;
import wake.store.RecordingStore;

/** What has to be done now and then: a copy a day, the bin after thirty days, and files nobody needs. */
@Component
@EnableScheduling
class Housekeeping {
    static final int DAYS_IN_THE_BIN = 30;

    private static final Logger LOG = LoggerFactory.getLogger(Housekeeping.class);
    /** A transfer that was left may be gone on with for so long. */
    private static final Duration TRANSFERS_KEPT = Duration.ofDays(3);

    private static final int OFTEN_MINUTES = 30;

    private final Backups copies;
    private final DatabaseHealth health;
    private final BinStore bin;
    private final RecordingStore recordings;
    private final MediaFolder media;
    private final WakeProperties properties;
    private final Clock clock;

    Housekeeping(
            Backups copies,
            DatabaseHealth health,
            BinStore bin,
            RecordingStore recordings,
            MediaFolder media,
            WakeProperties properties,
            Clock clock) {
        this.copies = copies;
        this.health = health;
        this.bin = bin;
        this.recordings = recordings;
        this.media = media;
        this.properties = properties;
        this.clock = clock;
    }

    @Scheduled(initialDelayString = "${wake.tidy-after:PT20S}", fixedDelay = OFTEN_MINUTES * 60_000L)
    void nowAndThen() {
        if (properties.rehearse() || health.beforeWriting().isPresent()) {
            return;
        }
        try {
            copies.daily();
        } catch (IOException | UncheckedIOException | DataAccessException failed) {
            health.failed(failed);
            LOG.error("Today's copy of the database could not be made: {}", failed.getMessage());
        }
        emptyBin();
        sweep();
    }

    private void emptyBin() {
        OffsetDateTime before = OffsetDateTime.now(clock).minusDays(DAYS_IN_THE_BIN);
        List<Entry> due = bin.all().stream()
                .filter(entry -> entry.deletedAt().isBefore(before))
                .toList();
        try {
            for (Entry entry : due) {
                purge(entry.kind(), entry.id());
            }
        } catch (IOException later) {
            LOG.warn("The bin is emptied another time: {}", later.getMessage());
        }
    }

    private void sweep() {
        try {
            int gone = media.sweep(recordings.ids(), clock.instant().minus(TRANSFERS_KEPT));
            if (gone > 0) {
                LOG.info("{} files of transfers that were given up are gone.", gone);
            }
        } catch (IOException busy) {
            LOG.warn("Files that nobody needs could not be cleared away: {}", busy.getMessage());
        }
    }

    /** Removes something from the bin for good, files too; false when it is still used. */
    boolean purge(Kind kind, UUID id) throws IOException {
        if (!bin.holds(kind, id)) {
            return true;
        }
        copies.removing();
        List<UUID> files = bin.purge(kind, id);
        if (files == null) {
            return false;
        }
        copies.removing();
        for (UUID file : files) {
            try {
                media.delete(file);
            } catch (IOException later) {
                LOG.warn("The file of video {} is deleted with the next sweep: {}", file, later.getMessage());
            }
        }
        return true;
    }
}
