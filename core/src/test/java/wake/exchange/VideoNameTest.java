package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VideoNameTest {
    private static final List<String> ROSTER = List.of("Maren Tidewell", "Odd Skagerby", "Maja Sund");
    private static final List<String> LIBRARY = List.of("Lock Gate", "Groundswell");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Odd Skagerby - Groundswell - 2026-10-03.mp4",
                "films/2026/odd - ground - 20261003.MOV",
                "groundswell_Odd S_3.10.2026.webm",
                "2026.10.03, odd, Groundswell"
            })
    void theOrderAndTheWritingAreFree(String name) {
        VideoName read = VideoName.read(name, ROSTER, LIBRARY);
        assertThat(read.athlete()).hasValue(1);
        assertThat(read.workout()).hasValue(1);
        assertThat(read.on()).contains(LocalDate.of(2026, 10, 3));
        assertThat(read.problem()).isEmpty();
    }

    @Test
    void whatIsMissingOrUnclearIsSaid() {
        assertThat(VideoName.read("ma - lock gate - 2026-10-03.mp4", ROSTER, LIBRARY)
                        .problem())
                .isEqualTo("\"ma\" matches several, no athlete.");
        VideoName none = VideoName.read("IMG_2045.mov", ROSTER, LIBRARY);
        assertThat(none.problem()).contains("no athlete", "no workout", "no date");
        assertThat(VideoName.read("odd - lock gate - 2026-13-45.mp4", ROSTER, LIBRARY)
                        .problem())
                .isEqualTo("no date.");
    }
}
