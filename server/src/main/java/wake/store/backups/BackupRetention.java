package wake.store.backups;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The copies of the database that Wake makes by itself, and how long each is kept: the last seven days, what was before a restore or a renewal
 * for thirty, and where something was removed for good, nothing that still holds it for longer than seven. The newest always stays.
 */
public final class BackupRetention {
    private static final String ENDING = ".zip";
    private static final String DAILY = "day ";
    private static final int DAYS_KEPT = 7;
    /** The day's copy is made anew when it is older than this, so that the day's work is in it. */
    private static final Duration FRESH = Duration.ofHours(3);

    private static final Duration OLDEST = Duration.ofDays(30);
    private static final Duration HOLDS_WHAT_WAS_REMOVED = Duration.ofDays(7);
    private static final String REMOVED = "removed for good";
    private static final String WRITTEN_ANEW = "the database file was written anew";

    private final Path folder;
    private final Path copies;
    private final Clock clock;

    /** @param folder the data folder, in which databases as they were lie too */
    BackupRetention(Path folder, Clock clock) {
        this.folder = folder;
        this.copies = folder.resolve("copies");
        this.clock = clock;
    }

    /** Where they lie. */
    public Path place() {
        return copies;
    }

    /** All of them, the newest first. */
    public List<Path> list() throws IOException {
        return files(copies, ENDING);
    }

    /** The newest, if there is one with a known time. */
    Optional<Path> newest() {
        try {
            return list().stream().findFirst();
        } catch (IOException unreadable) {
            return Optional.empty();
        }
    }

    private static List<Path> files(Path in, String ending) throws IOException {
        if (!Files.isDirectory(in)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(in)) {
            return files.filter(file -> file.getFileName().toString().endsWith(ending))
                    .sorted(Comparator.comparing(BackupRetention::made).reversed())
                    .toList();
        }
    }

    private static Instant made(Path file) {
        try {
            return Files.getLastModifiedTime(file).toInstant();
        } catch (IOException gone) {
            return Instant.EPOCH;
        }
    }

    /** Makes today's copy, unless it is fresh, and lets go of those that have been kept long enough. */
    public synchronized void daily(Connection db) throws IOException, SQLException {
        Path copy = copies.resolve(DAILY + LocalDate.now(clock) + ENDING);
        if (!isFresh(copy)) {
            write(db, copy);
        }
        tidy();
    }

    private void write(Connection db, Path copy) throws IOException, SQLException {
        Instant now = clock.instant();
        Backup.write(db, copy, now);
        Files.setLastModifiedTime(copy, FileTime.from(now));
    }

    /** Younger than some hours, by a clock that may have been set back, and made since something was last removed. */
    private boolean isFresh(Path copy) {
        Duration age = Duration.between(made(copy), clock.instant());
        return !age.isNegative()
                && age.compareTo(FRESH) < 0
                && made(copy).isAfter(removed().orElse(Instant.EPOCH));
    }

    private void tidy() throws IOException {
        List<Path> all = list();
        List<Path> days = all.stream()
                .filter(file -> file.getFileName().toString().startsWith(DAILY))
                .sorted(Comparator.comparing(file -> file.getFileName().toString()))
                .toList();
        List<Path> gone = new ArrayList<>(days.subList(0, Math.max(0, days.size() - DAYS_KEPT)));
        Stream.concat(all.stream().skip(1), asTheyWere().stream())
                .filter(this::isPast)
                .forEach(gone::add);
        for (Path old : gone) {
            Durable.delete(old);
        }
    }

    private boolean isPast(Path copy) {
        Duration age = Duration.between(made(copy), clock.instant());
        boolean holdsWhatWasRemoved =
                removed().filter(moment -> !made(copy).isAfter(moment)).isPresent();
        return age.compareTo(holdsWhatWasRemoved ? HOLDS_WHAT_WAS_REMOVED : OLDEST) > 0;
    }

    /** Database files that were put aside: before a restore, or half renewed. */
    private List<Path> asTheyWere() throws IOException {
        return files(folder, ".mv.db").stream()
                .filter(file -> !file.getFileName().toString().equals(DataFolder.FILE))
                .toList();
    }

    /** Notes that something was removed for good just now: no copy from before is kept for long. */
    public void somethingWasRemoved() throws IOException {
        Durable.write(folder.resolve(REMOVED), clock.instant().toString().getBytes(UTF_8));
    }

    /** Notes that the database file was written anew since: what was removed is in the copies alone. */
    public void writtenAnew() throws IOException {
        Path note = folder.resolve(REMOVED);
        Durable.write(note, (Files.readAllLines(note).getFirst() + "\n" + WRITTEN_ANEW + "\n").getBytes(UTF_8));
    }

    /** Whether the database file may still hold something that was removed for good so long ago. */
    public boolean removedIsInTheFile(Duration ago) throws IOException {
        Path note = folder.resolve(REMOVED);
        return Files.exists(note)
                && !Files.readAllLines(note).contains(WRITTEN_ANEW)
                && removed()
                        .filter(moment -> moment.plus(ago).isAfter(clock.instant()))
                        .isEmpty();
    }

    private Optional<Instant> removed() {
        try {
            return Files.readAllLines(folder.resolve(REMOVED)).stream()
                    .findFirst()
                    .map(Instant::parse);
        } catch (IOException | DateTimeException never) {
            return Optional.empty();
        }
    }

    /** Makes a copy before the database is renewed; gives its name. */
    String beforeRenewal(Connection db, int from, int to) throws IOException, SQLException {
        String name = now() + " before " + from + " became " + to + ENDING;
        write(db, copies.resolve(name));
        return name;
    }

    /** Makes a copy before everything is replaced. */
    public void beforeRestore(Connection db) throws IOException, SQLException {
        write(db, copies.resolve(now() + " before restoring" + ENDING));
    }

    /** Puts the database file aside as it is, before another takes its place. */
    void putAside(Path database) throws IOException {
        Path aside = folder.resolve("wake.before restoring " + now() + ".mv.db");
        Files.copy(database, aside);
        Durable.ownerOnly(aside);
    }

    private String now() {
        return DateTimeFormatter.ofPattern("yyyy-MM-dd HHmmss").format(LocalDateTime.now(clock));
    }
}
