package wake.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.WakeProperties;

/** The times of frames, told from the file. */
class FrameTimesTest {
    @TempDir
    private Path data;

    private final UUID id = UUID.randomUUID();

    private FrameTimes frameTimes() throws IOException {
        Files.createDirectories(data.resolve("media"));
        return new FrameTimes(new MediaFolder(WakeProperties.of(data)));
    }

    @Test
    void framesAreInTheOrderShownFromTheStartOfTheMedia() {
        assertThat(FrameTimes.times(List.of(
                        "packet,1.500000,K__",
                        "packet,1.633000,___",
                        "packet,1.533000,___",
                        "packet,1.466000,_D_",
                        "packet,N/A,___",
                        "packet,1.400000,K__",
                        "format,1.500000")))
                .satisfiesExactly(
                        first -> assertThat(first).isCloseTo(0, within(1e-6)),
                        second -> assertThat(second).isCloseTo(33, within(1e-6)),
                        third -> assertThat(third).isCloseTo(133, within(1e-6)));
    }

    /** As Chromium counts, tried out with the demo's clip: its sound leads by 7 ms, its first frame is shown at 7 ms. */
    @Test
    void aLeadOfTheSoundShiftsNothing() {
        assertThat(FrameTimes.times(List.of("packet,0.007000,K_", "packet,0.040000,__", "format,-0.007000")))
                .containsExactly(7.0, 40.0);
    }

    @Test
    void nothingSaidIsNoFrames() {
        assertThat(FrameTimes.times(List.of())).isEmpty();
        assertThat(FrameTimes.times(List.of("format,N/A", "packet", "nonsense")))
                .isEmpty();
    }

    /** A video whose frames come at 0, 40, 120, 280 ms and so on, as ffmpeg writes it: {@code setpts} doubles each gap. */
    @Test
    void aVariableRateIsReadFromTheFileAndKept() throws Exception {
        assumeThat(Ffmpeg.isInstalled()).isTrue();
        FrameTimes frames = frameTimes();
        Path file = data.resolve("media").resolve(id.toString());
        Process made = new ProcessBuilder(
                        "ffmpeg",
                        "-v",
                        "error",
                        "-f",
                        "lavfi",
                        "-i",
                        "testsrc=size=64x36:rate=25",
                        "-vf",
                        "settb=1/1000,setpts=40*(pow(2\\,N)-1)",
                        "-fps_mode",
                        "passthrough",
                        "-frames:v",
                        "6",
                        "-c:v",
                        "libx264",
                        "-f",
                        "mp4",
                        file.toString())
                .inheritIO()
                .start();
        assertThat(made.waitFor()).isZero();
        List<Double> times = frames.of(id);
        assertThat(times).hasSize(6);
        double[] expected = {0, 40, 120, 280, 600, 1240};
        for (int i = 0; i < expected.length; i++) {
            assertThat(times.get(i)).isCloseTo(expected[i], within(1.0));
        }
        Files.delete(file);
        assertThat(frames.of(id)).as("kept beside the file").isEqualTo(times);
    }

    @Test
    void whatIsNoVideoHasNoFrames() throws IOException {
        FrameTimes frames = frameTimes();
        Files.writeString(data.resolve("media").resolve(id.toString()), "no video");
        assertThat(frames.of(id)).isEmpty();
    }
}
