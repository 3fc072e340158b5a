package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wake.Samples.marks;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;

class CaptionFileTest {
    private static AttemptLog noted() {
        List<Mark> all = new ArrayList<>(marks("A 1, F 3, F 5, F 7, F 9, F 11, D 13 x6"));
        all.add(note(4000, "breath", "holds it <here> & there"));
        all.add(note(9500, "", "two lines\nof it"));
        return AttemptLog.of(Samples.expanded(Samples.SKIFF), all);
    }

    private static Mark note(long at, String tag, String text) {
        return new Mark(new UUID(7, at), MarkKind.CUE, at, 0, Granularity.SET, tag, text, 0.1);
    }

    @Test
    void chaptersAreTheSegmentsInTheTimesOfTheVideo() {
        assertThat(CaptionFile.chapters(noted(), 10_250)).startsWith("""
                WEBVTT

                movement 1
                00:00:10.250 --> 00:00:23.250
                round 1, 6 burpee
                """);
    }

    @Test
    void captionsCountAndNoteAndTheNotesReadBack() {
        String file = CaptionFile.captions(noted(), 10_250);
        assertThat(file).contains("count 1-2\n00:00:15.250 --> 00:00:17.250\n2 of 6 burpee");
        assertThat(file).contains("<v breath>holds it &lt;here&gt; &amp; there</v>");
        List<Mark> read = CaptionFile.notes(file);
        assertThat(read).extracting(Mark::atMs).containsExactly(14_250L, 19_750L);
        assertThat(read).extracting(Mark::tag).containsExactly("breath", "");
        assertThat(read).extracting(Mark::text).containsExactly("holds it <here> & there", "two lines\nof it");
    }

    @Test
    void aForeignFileGivesItsCaptionsAndNothingElse() {
        List<Mark> read = CaptionFile.notes(
                "\uFEFFWEBVTT made elsewhere\r\nKind: captions\r\n\r\nNOTE not\r\nthis\r\n\r\nSTYLE\r\n::cue {}\r\n\r\n"
                        + "00:03.500 --> 00:05.000 align:start\r\n<b>Chin</b> down&nbsp;now\r\n");
        assertThat(read).singleElement().satisfies(note -> {
            assertThat(note.atMs()).isEqualTo(3500);
            assertThat(note.text()).isEqualTo("Chin down now");
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1;00:01.000 --> 00:02.000;hello|Line 1: this is not a WebVTT file",
                "WEBVTT;;first;00:01 --> 00:02;hello|Line 4: write times like",
                "WEBVTT;;00:03.000 --> 00:02.000;hello|Line 3: it ends before it begins",
                "WEBVTT;;00:01.000 --> 00:02.000;hello;;second|Line 6: the times of a caption are missing",
                "WEBVTT;;00:61.000 --> 01:02.000;hello|Line 3: minutes and seconds go up to 59"
            })
    void whatDoesNotFitIsNamedByItsLine(String file, String reason) {
        assertThatThrownBy(() -> CaptionFile.notes(file.replace(';', '\n')))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }
}
