package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** An attempt that cannot be read takes nothing else down. */
@ExtendWith(RunningServer.class)
class OneBadAttemptTest {
    private final RunningServer wake;
    private UUID attempt;

    OneBadAttemptTest(RunningServer wake) {
        this.wake = wake;
    }

    private void spoil(String column, String value) throws Exception {
        attempt = wake.attempt("# A\nfor time\n  5 burpee\n");
        wake.mark(attempt, UUID.randomUUID(), "REP", 1000);
        try (Connection db = wake.bean(DataSource.class).getConnection();
                PreparedStatement update = db.prepareStatement("update attempt set " + column + " = ? where id = ?")) {
            update.setObject(1, column.equals("part") ? (Object) Integer.valueOf(value) : value);
            update.setObject(2, attempt);
            update.execute();
        }
    }

    @AfterEach
    void outOfTheWay() {
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "division | no such division | No division",
                "notation | # A nonsense | cannot be read, because",
                "part | 7 | cannot be read, because"
            })
    void itSaysSoAndTheRestGoesOn(String column, String value, String why) throws Exception {
        UUID good = wake.attempt("# B\nfor time\n  5 burpee\n");
        spoil(column, value);
        Answer today = wake.get("/api/today");
        assertThat(today.status()).isEqualTo(200);
        assertThat(today.json().toString()).contains(good.toString(), attempt.toString(), "UNREADABLE", why);
        Answer opened = wake.get("/api/attempts/" + attempt);
        assertThat(opened.status()).isEqualTo(422);
        assertThat(opened.text("/detail")).contains("This attempt cannot be read, because");
        assertThat(wake.get("/api/calls").status()).isEqualTo(200);
        assertThat(wake.get("/api/attempts/" + good + "/plan").status()).isEqualTo(200);
    }

    @Test
    void itCanBeReadByTheWorkoutAsItIsNow() throws Exception {
        spoil("notation", "# A nonsense");
        assertThat(wake.post("/api/attempts/" + attempt + "/entry/renew", "").number("/log/clockMs"))
                .isEqualTo(1000);
    }
}
