package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class ScriptApiTest {
    private static final Pattern EXAMPLE =
            Pattern.compile("```sh\\ncurl [^\\n]*127\\.0\\.0\\.1:8420(/\\S+) -d '(.*?)'\\n```", Pattern.DOTALL);

    private final RunningServer wake;

    ScriptApiTest(RunningServer wake) {
        this.wake = wake;
    }

    /** An example of the documentation: where it is sent, and what. */
    record Example(String path, String body) {}

    static List<Example> examples() throws IOException {
        Matcher matcher = EXAMPLE.matcher(Files.readString(Path.of("../docs/api.md")));
        return matcher.results()
                .map(found -> new Example(found.group(1), found.group(2)))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("examples")
    void everyExampleOfTheDocumentationRuns(Example example) {
        Answer answer = wake.post(example.path(), example.body());
        assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    }

    @Test
    void theDocumentedReadingNamesWhatCostMost() throws IOException {
        assertThat(examples()).hasSizeGreaterThanOrEqualTo(2);
        Answer reading =
                wake.post(examples().getFirst().path(), examples().getFirst().body());
        assertThat(reading.text("/answer"))
                .isEqualTo("11 s behind plan. Biggest loss: 9.5 s in transitions into burpee.");
        assertThat(reading.number("/totalMs")).isEqualTo(106_000 - reading.number("/expectedMs"));
        assertThat(reading.json().at("/findings/0/working").size()).isGreaterThan(2);
        Answer amrap = wake.post(examples().get(1).path(), examples().get(1).body());
        assertThat(amrap.text("/score")).isEqualTo("1 round + 5");
        assertThat(amrap.text("/baseline")).isEqualTo("BEST_SPLITS");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0:12|soon|marks/1|is not a time",
                "\"done\"|\"jump\"|marks/1|Use one of begin",
                "burpee|burpee @|notation|Line 3",
                "\"part\":0|\"part\":3|part|1 parts",
                "\"part\":0|\"part\":0,\"division\":\"masters\"|division|No division",
                "\"part\":0|\"part\":0,\"marksCsv\":\"at,kind\"|marks|either",
                "\"begin\"|\"on\"|marks|Not resting",
                "\"part\":0|\"part\":0,\"plan\":{\"lines\":[{\"lineIndex\":0,\"every\":{\"transitionMs\":0,\"sets\":\"9s\",\"secondsPerUnit\":3,\"restMs\":0},\"rounds\":{}}]}|plan|Sets of 9"
            })
    void whatIsWrongIsSaidWithItsField(String from, String to, String field, String reason) {
        String body = """
                {"notation":"# A\\nfor time\\n  4 burpee\\n  6 thruster\\n","part":0,
                 "marks":[{"at":"0:01","kind":"begin"},{"at":"0:12","kind":"done"}]}
                """;
        assertThat(body).contains(from);
        Answer refused = wake.post("/api/script/reading", body.replace(from, to));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/field")).isEqualTo(field);
        assertThat(refused.text("/detail")).contains(reason);
    }

    @Test
    void anAttemptIsReadAgainstAnotherOfTheSameWorkoutOnly() {
        var one = wake.attempt("# Ripple\nfor time\n  6 burpee\n");
        var stranger = wake.attempt("# Other\nfor time\n  6 burpee\n");
        assertThat(wake.get("/api/attempts/" + one + "/reading?other=" + stranger)
                        .text("/detail"))
                .contains("a different workout or part");
    }

    @Test
    void aSheetOfMarksIsTakenInWholeOrNotAtAll() {
        var attempt = wake.attempt("# Ripple\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        String path = "/api/attempts/" + attempt + "/marks/sheet";
        String good = "{\"csv\":\"at,kind\\n0:01,begin\\n0:18,done\\n0:20,begin\\n0:36.5,done\\n\"}";
        Answer log = wake.post(path, good);
        assertThat(log.text("/score")).isEqualTo("0:37");
        assertThat(wake.post(path, good).json()).isEqualTo(log.json());
        Answer refused = wake.post(path, "{\"csv\":\"at,kind\\n0:40,rep\\n\"}");
        assertThat(refused.text("/detail")).contains("rep at 0:40.0").contains("ended at");
        assertThat(wake.get("/api/attempts/" + attempt).json().at("/log/marks").size())
                .isEqualTo(4);
    }
}
