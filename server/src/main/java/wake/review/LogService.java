package wake.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import wake.log.MarkKind;
import wake.store.HistoryStore;
import wake.store.HistoryStore.Change;
import wake.store.HistoryStore.NewChange;
import wake.store.HistoryStore.What;
import wake.store.MarkStore;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore;
import wake.store.RecordingStore.Go;
import wake.store.RequestStore;
import wake.units.ClockTime;

/** Writes to the log of an attempt so that everything can be undone and redone, also after a reload. */
@Component
@Transactional
public class LogService {
    private final MarkStore marks;
    private final RecordingStore recordings;
    private final HistoryStore history;
    private final RequestStore requests;
    private final JsonMapper json;

    LogService(
            MarkStore marks, RecordingStore recordings, HistoryStore history, RequestStore requests, JsonMapper json) {
        this.marks = marks;
        this.recordings = recordings;
        this.history = history;
        this.requests = requests;
        this.json = json;
    }

    /** Makes or corrects a mark; the same again is no change. */
    public void put(StoredMark mark) {
        Optional<StoredMark> before = marks.find(mark.id());
        if (before.isPresent() && before.get().equals(mark)) {
            return;
        }
        marks.put(mark);
        if (before.isPresent() && countsOn(before.get(), mark)) {
            return;
        }
        history.add(
                mark.attemptId(),
                What.MARK,
                mark.id(),
                before.map(this::written).orElse(null),
                written(mark));
    }

    /**
     * Makes many marks, and takes others out, as one change.
     *
     * @param gone marks to take out first
     */
    public void putAll(UUID attemptId, List<UUID> gone, List<StoredMark> made) {
        UUID batch = UUID.randomUUID();
        Map<UUID, StoredMark> before = marks.find(gone);
        Map<UUID, Long> places = marks.removeAll(attemptId, gone);
        history.addAll(
                attemptId,
                gone.stream()
                        .filter(places::containsKey)
                        .map(id -> new NewChange(
                                What.MARK,
                                id,
                                written(Objects.requireNonNull(before.get(id))),
                                null,
                                batch,
                                places.get(id)))
                        .toList());
        Map<UUID, StoredMark> there =
                marks.find(made.stream().map(StoredMark::id).toList());
        List<StoredMark> fresh =
                made.stream().filter(mark -> !there.containsKey(mark.id())).toList();
        marks.addAll(attemptId, fresh);
        history.addAll(attemptId, fresh.stream().map(mark -> made(mark, batch)).toList());
        for (StoredMark mark : made) {
            StoredMark was = there.getOrDefault(mark.id(), mark);
            if (!was.equals(mark)) {
                marks.put(mark);
                history.add(attemptId, new NewChange(What.MARK, mark.id(), written(was), written(mark), batch, null));
            }
        }
    }

    private NewChange made(StoredMark mark, UUID batch) {
        return new NewChange(What.MARK, mark.id(), null, written(mark), batch, null);
    }

    /** The reps of a set being typed digit by digit are one change with the break they follow. */
    private boolean countsOn(StoredMark before, StoredMark mark) {
        StoredMark recounted = new StoredMark(
                before.id(),
                before.attemptId(),
                before.recordingId(),
                before.kind(),
                before.atMs(),
                mark.reps(),
                before.depth(),
                before.tag(),
                before.text(),
                mark.uncertaintyS());
        Optional<Change> last = history.undoable(mark.attemptId())
                .filter(change -> change.target().equals(mark.id()) && change.before() == null);
        if (last.isEmpty() || mark.kind() != MarkKind.OFF || !recounted.equals(mark)) {
            return false;
        }
        history.amend(mark.attemptId(), last.get().seq(), written(mark));
        return true;
    }

    public void remove(UUID attemptId, UUID id) {
        Optional<StoredMark> before =
                marks.find(id).filter(mark -> mark.attemptId().equals(attemptId));
        if (before.isPresent()) {
            Long place = marks.remove(attemptId, id);
            history.add(attemptId, new NewChange(What.MARK, id, written(before.get()), null, null, place));
        }
    }

    /** Sets or forgets "go" of a recording. */
    public void go(UUID attemptId, UUID recordingId, @Nullable Go go) {
        Optional<Go> before = recordings.goOf(recordingId, attemptId);
        if (Objects.equals(before.orElse(null), go)) {
            return;
        }
        setGo(attemptId, recordingId, go);
        history.add(
                attemptId,
                What.GO,
                recordingId,
                before.map(json::writeValueAsString).orElse(null),
                go == null ? null : json.writeValueAsString(go));
    }

    private void setGo(UUID attemptId, UUID recordingId, @Nullable Go go) {
        if (go == null) {
            recordings.forgetGo(recordingId, attemptId);
        } else {
            recordings.go(recordingId, attemptId, go.atMs(), go.uncertaintyS());
        }
    }

    /**
     * Takes the last change back, once for each move id.
     *
     * @param of what the last change is taken to have been about; nothing is done where it was about something else. Null for whatever it is
     * @return whether that is so
     */
    public boolean undo(UUID attemptId, UUID moveId, @Nullable UUID of) {
        if (requests.first(moveId, attemptId, "undo")) {
            Optional<Change> last = history.undoable(attemptId);
            if (of != null && last.filter(change -> change.target().equals(of)).isEmpty()) {
                return false;
            }
            last.ifPresent(change ->
                    move(attemptId, history.with(attemptId, change, false).reversed(), true));
        }
        return true;
    }

    /** Brings the last change taken back again, once for each move id. */
    public void redo(UUID attemptId, UUID moveId) {
        if (requests.first(moveId, attemptId, "redo")) {
            history.redoable(attemptId)
                    .ifPresent(change -> move(attemptId, history.with(attemptId, change, true), false));
        }
    }

    /** Takes changes back, or brings them again: all at once, or where one mark was changed twice one after the other. */
    private void move(UUID attemptId, List<Change> changes, boolean back) {
        if (changes.stream().map(Change::target).distinct().count() < changes.size()) {
            changes.forEach(change -> move(attemptId, List.of(change), back));
            return;
        }
        List<StoredMark> stay = new ArrayList<>();
        Map<UUID, Long> places = new HashMap<>();
        List<Change> go = new ArrayList<>();
        for (Change change : changes) {
            String state = back ? change.before() : change.after();
            Long place = change.place();
            if (change.what() == What.GO) {
                setGo(attemptId, change.target(), state == null ? null : json.readValue(state, Go.class));
            } else if (state == null) {
                go.add(change);
            } else {
                stay.add(json.readValue(state, StoredMark.class));
                if (place != null) {
                    places.put(change.target(), place);
                }
            }
        }
        history.stood(
                attemptId,
                go,
                marks.removeAll(attemptId, go.stream().map(Change::target).toList()));
        marks.putAll(attemptId, stay, places);
        history.moved(attemptId, changes, back);
    }

    /**
     * What undo would take back.
     *
     * @param of the mark, or the recording, that it is about
     */
    public record Undoable(String words, UUID of) {}

    /** What undo would take back; empty when there is nothing. */
    public Optional<Undoable> undoable(UUID attemptId) {
        return history.undoable(attemptId).map(change -> new Undoable(words(attemptId, change), change.target()));
    }

    /** What redo would bring back, in words; empty when there is nothing. */
    public Optional<String> redoWords(UUID attemptId) {
        return history.redoable(attemptId).map(change -> words(attemptId, change));
    }

    private String words(UUID attemptId, Change change) {
        UUID batch = change.batch();
        if (batch != null) {
            return history.size(attemptId, batch) + " marks added together";
        }
        if (change.what() == What.GO) {
            return "the start";
        }
        String state = change.after() == null ? change.before() : change.after();
        StoredMark mark = json.readValue(Objects.requireNonNull(state), StoredMark.class);
        String done = change.after() == null ? " deleted" : change.before() == null ? "" : " edited";
        String at = switch (mark.moment()) {
            case MarkStore.OnTheClock on -> tenths(on.clockMs());
            case MarkStore.OnRecording on -> tenths(on.mediaMs()) + " of the video";
        };
        return mark.kind().words() + " at " + at + done;
    }

    private static String tenths(long ms) {
        return ClockTime.of(Math.max(0, ms)).toTenths();
    }

    private String written(StoredMark mark) {
        return json.writeValueAsString(mark);
    }
}
