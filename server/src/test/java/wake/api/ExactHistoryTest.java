package wake.api;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.RunningServer.markJson;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;
import wake.store.MarkStore;

/** Marks are exact history: what comes back stands where it stood, and what is undone is what was seen to be last. */
@ExtendWith(RunningServer.class)
class ExactHistoryTest {
    private final RunningServer wake;
    private final UUID attempt;
    private final String marks;

    ExactHistoryTest(RunningServer wake) {
        this.wake = wake;
        this.attempt = wake.attempt("# Ripple\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        this.marks = "/api/attempts/" + attempt + "/marks/";
    }

    private List<String> kept() {
        List<String> ids = new ArrayList<>();
        wake.bean(MarkStore.class).of(attempt).forEach(mark -> ids.add(mark.id().toString()));
        return ids;
    }

    private Answer undo() {
        return wake.post(marks + "undo/" + UUID.randomUUID(), "");
    }

    private Answer redo() {
        return wake.post(marks + "redo/" + UUID.randomUUID(), "");
    }

    /** The swings begin at the instant the burpees are done: read the other way round, neither makes sense. */
    @Test
    void aMarkThatComesBackStandsWhereItStoodAmongThoseOfItsInstant() {
        UUID done = UUID.randomUUID();
        UUID begin = UUID.randomUUID();
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        wake.mark(attempt, done, "DONE", 20_000);
        wake.mark(attempt, begin, "BEGIN", 20_000);
        List<String> before = kept();
        wake.delete(marks + done);
        Answer undone = undo();
        assertThat(kept()).isEqualTo(before);
        assertThat(undone.json().at("/oddities").size()).isZero();
        undo();
        undo();
        redo();
        assertThat(redo().json().at("/oddities").size()).isZero();
        assertThat(kept()).isEqualTo(before);
    }

    @Test
    void anUndoOfSomethingElseThanTheLastChangeTakesNothingBack() {
        UUID begin = UUID.randomUUID();
        UUID done = UUID.randomUUID();
        assertThat(wake.mark(attempt, begin, "BEGIN", 1000).text("/undoOf")).isEqualTo(begin.toString());
        assertThat(wake.mark(attempt, done, "DONE", 20_000).text("/undoOf")).isEqualTo(done.toString());
        Answer refused = wake.post(marks + "undo/" + UUID.randomUUID() + "?of=" + begin, "");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("nothing was undone");
        assertThat(kept()).hasSize(2);
        wake.post(marks + "undo/" + UUID.randomUUID() + "?of=" + done, "");
        assertThat(kept()).containsExactly(begin.toString());
    }

    /** 7.0 s on the clock is 7.0 s on the clock, wherever the recording stood at it. */
    @Test
    void aMarkCorrectedFromTheRecordingToTheClockLeavesTheRecording() {
        UUID recording = UUID.randomUUID();
        String place = "/api/attempts/" + attempt + "/recordings/" + recording;
        wake.put(place + "/simulated", "{\"seed\":7}");
        wake.put(place + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}");
        UUID begin = UUID.randomUUID();
        wake.put(marks + begin, markJson("BEGIN", 9000, ",\"recordingId\":\"" + recording + "\""));
        Answer corrected = wake.put(marks + begin, markJson("BEGIN", 7000, ""));
        assertThat(corrected.number("/marks/0/clockMs")).isEqualTo(7000);
        Answer back = undo();
        assertThat(back.number("/marks/0/clockMs")).isEqualTo(4000);
    }
}
