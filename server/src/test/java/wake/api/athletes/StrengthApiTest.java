package wake.api.athletes;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** Strength work over HTTP: typed, refused, edited, beside the lift windows, out as a sheet, and out and in again. */
@ExtendWith(RunningServer.class)
class StrengthApiTest {
    private static final String WINDOW = "# Low Water\nlift 7:00, best of 1 back squat\n";

    private final RunningServer wake;

    StrengthApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private UUID athlete(String figures) {
        UUID id = UUID.randomUUID();
        Answer made =
                wake.put("/api/athletes/" + id, "{\"name\":\"Strong %s\",\"figures\":\"%s\"}".formatted(id, figures));
        assertThat(made.status()).isEqualTo(200);
        return id;
    }

    private Answer put(UUID athlete, String day, String text) {
        return wake.put(
                "/api/athletes/" + athlete + "/strength/" + day, "{\"text\":\"" + text.replace("\n", "\\n") + "\"}");
    }

    @Test
    void aDayIsKeptReadEditedAndTakenAway() {
        UUID athlete = athlete("max back squat 130 kg");
        assertThat(wake.get("/api/athletes/" + athlete + "/strength").json().size())
                .isZero();
        put(athlete, "2026-11-02", "back squat 3 x 3: 100 kg, 105, 110");
        Answer kept = put(
                athlete,
                "2026-11-09",
                "back squat 3 x 3 @ 85%, rest 2:00; belt\n105 kg, 110, 2/3 @ 112.5 effort 9.5; pinned\nhollow hold 2 x 30 s: 30 s, 25 s");

        assertThat(kept.status()).isEqualTo(200);
        assertThat(kept.text("/0/doneOn")).isEqualTo("2026-11-09");
        assertThat(kept.text("/1/doneOn")).isEqualTo("2026-11-02");
        assertThat(kept.text("/0/read/works/0/asked")).isEqualTo("3 × 3 at 85% (about 111 kg), rest 2:00");
        assertThat(kept.text("/0/read/works/0/note")).isEqualTo("belt");
        assertThat(kept.text("/0/read/works/0/sets/2")).isEqualTo("112.5 kg × 2 of 3, effort 9.5; pinned");
        // 112.5/130 = 86.5%; Epley 120, Brzycki 115.7; 3·105 + 3·110 + 2·112.5 = 870.
        assertThat(kept.text("/0/read/works/0/says"))
                .isEqualTo(
                        "3 sets, heaviest 112.5 kg × 2 (87% of max back squat 130 kg), about 116–120 kg as a single, effort up to 9.5/10, volume 870 kg");
        assertThat(kept.text("/0/read/works/1/says")).isEqualTo("2 sets, 55 s held");

        assertThat(put(athlete, "2026-11-02", "").json().size()).isEqualTo(1);
        assertThat(wake.get("/api/athletes/" + athlete + "/strength").json().size())
                .isEqualTo(1);
        assertThat(wake.get("/api/athletes/" + athlete + "/strength/strength.csv")
                        .raw()
                        .body())
                .asString(UTF_8)
                .startsWith("day,lift,asked,set,load,unit,reps,missed,held_s,effort,note")
                .contains("2026-11-09,back squat,\"3 × 3 at 85%, rest 2:00\",1,105,kg,3,0,,,belt")
                .contains("2026-11-09,back squat,\"3 × 3 at 85%, rest 2:00\",3,112.5,kg,2,1,,9.5,pinned")
                .contains("2026-11-09,hollow hold,2 × 30 s,2,,,,0,25,,");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-11-02|100 kg|Line 1: Write the lift before its sets",
                "2026-11-02|back squat 3 x 3: 100|Line 1: Write the unit with the first load",
                "1066-11-02|back squat|Use a date from",
            })
    void whatCannotBeKeptIsSaidAndNothingIsLost(String day, String text, String why) {
        UUID athlete = athlete("");
        put(athlete, "2026-11-02", "front squat 3 @ 80 kg".replace("3 @", ": 3 @"));
        Answer refused = put(athlete, day, text.replace("3 x 3: 100", "@ 80%: 100"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains(why);
        assertThat(wake.get("/api/athletes/" + athlete + "/strength").text("/0/text"))
                .isEqualTo("front squat : 3 @ 80 kg");
        assertThat(put(UUID.randomUUID(), "2026-11-02", "back squat").status()).isEqualTo(404);
    }

    @Test
    void addingNeverOverwritesAndAnEditOfAnOlderTextIsRefused() {
        UUID athlete = athlete("");
        String day = "/api/athletes/" + athlete + "/strength/2026-11-02";
        assertThat(wake.post(day, "{\"text\":\"back squat: 3 @ 80 kg\"}").status())
                .isEqualTo(200);
        Answer both = wake.post(day, "{\"text\":\"strict press: 5 @ 40 kg\"}");
        assertThat(both.text("/0/text")).isEqualTo("back squat: 3 @ 80 kg\nstrict press: 5 @ 40 kg");
        Answer stale = wake.put(day, "{\"text\":\"deadlift: 3 @ 90 kg\",\"was\":\"back squat: 3 @ 80 kg\"}");
        assertThat(stale.status()).isEqualTo(409);
        assertThat(wake.get("/api/athletes/" + athlete + "/strength").text("/0/text"))
                .isEqualTo(both.text("/0/text"));
        Answer edited = wake.put(
                day, "{\"text\":\"deadlift: 3 @ 90 kg\",\"was\":\"back squat: 3 @ 80 kg\\nstrict press: 5 @ 40 kg\"}");
        assertThat(edited.text("/0/text")).isEqualTo("deadlift: 3 @ 90 kg");
    }

    @Test
    void itStandsBesideTheWindowsAndCountsInTheirChances() {
        UUID attempt = wake.attempt(WINDOW);
        UUID athlete = UUID.fromString(wake.get("/api/attempts/" + attempt).text("/athleteId"));
        wake.put("/api/athletes/" + athlete, "{\"figures\":\"max back squat 100 kg\"}");
        wake.post(
                "/api/attempts/" + attempt + "/times",
                "{\"each\":\"MOVEMENT\",\"times\":\"EITHER\",\"replace\":false,\"id\":\"" + UUID.randomUUID()
                        + "\",\"text\":\"1:00 80 kg\\n3:00 90\\n5:00 95\"}");
        LocalDate day = LocalDate.parse(wake.get("/api/attempts/" + attempt).text("/doneOn"));
        assertThat(chances(attempt)).startsWith("Chances come from max back squat 100 kg and 3 logged lifts");
        int known = wake.get("/api/athletes/" + athlete + "/lifts")
                .json()
                .at("/0/days")
                .size();

        put(athlete, day.minusDays(3).toString(), "back squat: 3 @ 97.5 kg, 3 @ 100, 2 @ 105");

        Answer history = wake.get("/api/athletes/" + athlete + "/lifts");
        assertThat(history.json().at("/0/days").size()).isEqualTo(known + 1);
        assertThat(history.json().toString()).contains("3 sets, heaviest 105 kg × 2, about 108–112 kg as a single");
        assertThat(chances(attempt)).startsWith("Chances come from max back squat 100 kg and 6 logged lifts");
        put(athlete, day.minusDays(3).toString(), "");
        put(athlete, day.plusDays(1).toString(), "back squat: 3 @ 97.5 kg");
        assertThat(chances(attempt)).as("a day after it is none before it").contains("and 3 logged lifts");
    }

    private String chances(UUID attempt) {
        return wake.get("/api/attempts/" + attempt + "/lift-call").text("/chancesWords");
    }

    @Test
    void itGoesOutAndInAgain() {
        UUID athlete = athlete("");
        put(athlete, "2026-11-02", "deadlift 3 x 5: 100 kg, 100, 100");
        put(athlete, "2026-11-04", "strict press: 5 @ 40 kg");
        byte[] file =
                wake.get("/api/athletes/" + athlete + "/athlete.json").raw().body();
        put(athlete, "2026-11-02", "");
        put(athlete, "2026-11-04", "strict press: 5 @ 42.5 kg");

        assertThat(wake.post("/api/data/import", file).status()).isEqualTo(200);

        Answer back = wake.get("/api/athletes/" + athlete + "/strength");
        assertThat(back.text("/1/text")).isEqualTo("deadlift 3 x 5: 100 kg, 100, 100");
        assertThat(back.text("/0/text")).as("what is here stays as it is").isEqualTo("strict press: 5 @ 42.5 kg");
    }
}
