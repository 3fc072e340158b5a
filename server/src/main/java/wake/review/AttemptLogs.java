package wake.review;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.movement.Catalogue;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Recording;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;
import wake.workout.Workout.Part;

/** Reads the logs of attempts from their stored marks. */
@Component
public class AttemptLogs {
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final Movements movements;
    private final Map<UUID, Kept> kept = Collections.synchronizedMap(new LatestUsed<>(KEPT));

    /** A log read at a version of its attempt, with the movements as they were. */
    private record Kept(long version, Catalogue catalogue, AttemptLog log) {}

    private record Stored(
            Attempt attempt, long version, Catalogue catalogue, List<StoredMark> marks, List<Recording> cameras) {}

    /** Many attempts are at one workout: it is expanded once. */
    private final Map<Asked, Parsed> expansions = Collections.synchronizedMap(new LatestUsed<>(EXPANSIONS));

    /** What decides how a workout is expanded. */
    private record Asked(String notation, int part, String division, int cutInto, Catalogue catalogue) {}

    private record Parsed(Workout workout, ExpandedWorkout expanded) {
        static Parsed of(Asked asked) {
            Workout workout =
                    NotationReader.read(asked.notation(), asked.catalogue()).orThrow();
            Part part = workout.partAt(asked.part());
            return new Parsed(
                    workout,
                    ExpandedWorkout.of(part, workout.division(asked.division()), asked.catalogue(), asked.cutInto()));
        }
    }

    private static final int EXPANSIONS = 100;

    /** So many logs are kept as they were read. */
    private static final int KEPT = 300;
    /** What an athlete has shown is looked for in so many attempts, the latest: older ones say little of what can be done now. */
    private static final int OTHERS = 40;

    /** Holds so many entries; the one not used for longest goes. */
    private static final class LatestUsed<K, V> extends LinkedHashMap<K, V> {
        private static final long serialVersionUID = 1;
        private static final float LOAD = 0.75f;

        private final int most;

        LatestUsed(int most) {
            super(most, LOAD, true);
            this.most = most;
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
        }
    }

    /** An attempt's workout, cameras and marks, read. */
    record Opened(
            Attempt attempt,
            Workout workout,
            Part part,
            List<Attempt> day,
            ExpandedWorkout expanded,
            List<Recording> recordings,
            List<StoredMark> marks,
            AttemptLog log) {}

    AttemptLogs(AttemptStore attempts, RecordingStore recordings, MarkStore marks, Movements movements) {
        this.attempts = attempts;
        this.recordings = recordings;
        this.marks = marks;
        this.movements = movements;
    }

    /**
     * Reads an attempt.
     *
     * @throws Unreadable when the core refuses what is kept of it
     */
    Opened open(Attempt attempt) {
        return orUnreadable(attempt, this::read);
    }

    private static <T> T orUnreadable(Attempt attempt, Function<Attempt, T> read) {
        try {
            return read.apply(attempt);
        } catch (IllegalArgumentException
                | IllegalStateException
                | ArithmeticException
                | java.util.NoSuchElementException
                | NullPointerException
                | IndexOutOfBoundsException refused) {
            throw new Unreadable(String.valueOf(refused.getMessage()), refused);
        }
    }

    private Opened read(Attempt attempt) {
        Parsed parsed = parsed(attempt, movements.catalogue());
        List<Attempt> day = attempts.day(attempt);
        List<Recording> cameras = cameras(attempt, day);
        List<StoredMark> stored = marks.of(attempt.id());
        ExpandedWorkout expanded = parsed.expanded();
        AttemptLog log = AttemptLog.of(expanded, onTheClock(stored, cameras));
        Part part = parsed.workout().partAt(attempt.part());
        return new Opened(attempt, parsed.workout(), part, day, expanded, cameras, stored, log);
    }

    private Parsed parsed(Attempt attempt, Catalogue catalogue) {
        return expansions.computeIfAbsent(
                new Asked(attempt.notation(), attempt.part(), attempt.division(), attempt.cutInto(), catalogue),
                Parsed::of);
    }

    /** The cameras of the day, shared by the parts of a workout. */
    List<Recording> cameras(Attempt attempt) {
        return cameras(attempt, attempts.day(attempt));
    }

    private List<Recording> cameras(Attempt attempt, List<Attempt> day) {
        return recordings.of(day.stream().map(Attempt::id).toList(), attempt.id());
    }

    /** The logs of an athlete's latest other attempts that have marks, read once for each change of them. */
    public List<AttemptLog> others(Attempt attempt) {
        return others(attempt, other -> true);
    }

    /** Of these the ones done by its day, none of them a retest of it: what a projection can rest on, whenever it is looked at. */
    public List<AttemptLog> othersUntil(Attempt attempt) {
        return others(
                attempt,
                other -> !other.doneOn().isAfter(attempt.doneOn())
                        && !attempt.id().equals(other.retestOf()));
    }

    private List<AttemptLog> others(Attempt attempt, Predicate<Attempt> which) {
        return logged(
                        attempt.athleteId(),
                        attempts.othersMarked(attempt, OTHERS).stream()
                                .filter(which)
                                .toList())
                .stream()
                .map(Logged::log)
                .toList();
    }

    /** An attempt with its log. */
    public record Logged(Attempt attempt, AttemptLog log) {}

    /** Those of an athlete's attempts that have marks, in their order, with their logs; what cannot be read is left out. */
    public List<Logged> logged(UUID athleteId, List<Attempt> some) {
        Map<UUID, Long> versions = marks.versions(athleteId);
        List<Attempt> marked =
                some.stream().filter(one -> versions.containsKey(one.id())).toList();
        // What is stored is asked for one after the other, in the transaction under way; what it says is worked out
        // side by side.
        List<Stored> unread = marked.stream()
                .filter(other -> known(other, versions).isEmpty())
                .map(other -> stored(other, versions))
                .toList();
        Map<UUID, Optional<AttemptLog>> read = unread.parallelStream()
                .collect(Collectors.toConcurrentMap(one -> one.attempt().id(), one -> readable(() -> read(one))));
        return marked.stream()
                .flatMap(other -> Optional.ofNullable(read.get(other.id()))
                        .orElseGet(() -> readable(() -> log(other, versions)))
                        .map(log -> new Logged(other, log))
                        .stream())
                .toList();
    }

    /** One attempt's log; empty when it cannot be read. */
    public Optional<AttemptLog> readable(Attempt attempt) {
        return readable(() -> log(attempt));
    }

    private static Optional<AttemptLog> readable(Supplier<AttemptLog> log) {
        try {
            return Optional.of(log.get());
        } catch (Unreadable one) {
            return Optional.empty();
        }
    }

    /** Forgets what was read: everything may be another's now. */
    public void forget() {
        kept.clear();
    }

    /** One attempt's log. */
    public AttemptLog log(Attempt attempt) {
        return log(attempt, marks.versions(attempt.athleteId()));
    }

    private AttemptLog log(Attempt attempt, Map<UUID, Long> versions) {
        return known(attempt, versions).orElseGet(() -> read(stored(attempt, versions)));
    }

    private Optional<AttemptLog> known(Attempt attempt, Map<UUID, Long> versions) {
        return Optional.ofNullable(kept.get(attempt.id()))
                .filter(known -> known.version() == versions.getOrDefault(attempt.id(), 0L)
                        && known.catalogue().equals(movements.catalogue()))
                .map(Kept::log);
    }

    /** What is stored of an attempt's log, at a version of it; the cameras are asked for where a mark lies on one. */
    private Stored stored(Attempt attempt, Map<UUID, Long> versions) {
        List<StoredMark> all = marks.of(attempt.id());
        boolean filmed = all.stream().anyMatch(mark -> mark.recordingId() != null);
        return new Stored(
                attempt,
                versions.getOrDefault(attempt.id(), 0L),
                movements.catalogue(),
                all,
                filmed ? cameras(attempt) : List.of());
    }

    private AttemptLog read(Stored stored) {
        AttemptLog log = orUnreadable(
                stored.attempt(),
                attempt -> AttemptLog.of(
                        parsed(attempt, stored.catalogue()).expanded(), onTheClock(stored.marks(), stored.cameras())));
        kept.put(stored.attempt().id(), new Kept(stored.version(), stored.catalogue(), log));
        return log;
    }

    /** Marks at workout clock times; a recording's marks count from its "go". */
    static List<Mark> onTheClock(List<StoredMark> stored, List<Recording> cameras) {
        Map<UUID, Recording> byId = cameras.stream().collect(Collectors.toMap(Recording::id, Function.identity()));
        List<Mark> all = new ArrayList<>(stored.size());
        for (StoredMark mark : stored) {
            UUID recording = mark.recordingId();
            clockMs(mark, recording == null ? Optional.empty() : Optional.ofNullable(byId.get(recording)))
                    .ifPresent(at -> all.add(new Mark(
                            mark.id(),
                            mark.kind(),
                            at,
                            mark.reps(),
                            mark.depth(),
                            mark.tag(),
                            mark.text(),
                            mark.uncertaintyS())));
        }
        return all;
    }

    /** The workout clock of a mark; empty while its recording has no "go". */
    public static Optional<Long> clockMs(StoredMark mark, Optional<Recording> recording) {
        return switch (mark.moment()) {
            case MarkStore.OnTheClock on -> Optional.of(on.clockMs());
            case MarkStore.OnRecording on -> recording.map(Recording::goMs).map(go -> on.mediaMs() - go);
        };
    }
}
