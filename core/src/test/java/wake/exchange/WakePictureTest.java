package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import wake.Samples;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.reading.Baseline;
import wake.reading.Reading;

class WakePictureTest {
    static Stream<String> shelf() {
        return Shelf.all();
    }

    private static Reading reading(String notation) {
        AttemptLog log = AttemptLog.of(
                Samples.expanded(notation), Samples.simulated(notation, 4).truth());
        return Reading.of(log, Baseline.bestSplits(log));
    }

    /** Whatever the format, a picture that an XML parser takes, within its frame, without words that would run. */
    @ParameterizedTest
    @MethodSource("shelf")
    void itIsWholeAndStaysInItsFrame(String notation) throws Exception {
        String svg = WakePicture.svg(reading(notation), "Tidewell <b> & \"Co\"");
        Document read =
                DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
        assertThat(read.getDocumentElement().getTagName()).isEqualTo("svg");
        assertThat(read.getElementsByTagName("title").item(0).getTextContent()).isEqualTo("Tidewell <b> & \"Co\"");
        assertThat(read.getElementsByTagName("desc").item(0).getTextContent()).contains("Final gap");
        assertThat(svg).doesNotContain("NaN", "Infinity", "<script");
        java.util.regex.Matcher spots =
                java.util.regex.Pattern.compile("[ML](-?[0-9.]+),(-?[0-9.]+)").matcher(svg);
        while (spots.find()) {
            assertThat(Double.parseDouble(spots.group(1))).isBetween(0.0, 960.0);
            assertThat(Double.parseDouble(spots.group(2))).isBetween(0.0, 300.0);
        }
    }

    @Test
    void aCardEscapesWhatItIsTold() {
        AthleteCard card = new AthleteCard(
                "<img src=x onerror=alert(1)>",
                "Odd & Sons",
                "Lock <Gate>",
                "3 Oct",
                "112 reps",
                "Round 6, 7 of 18 <thruster>",
                "Retest 112 reps, 4 reps more. <b>",
                "Even.",
                "",
                List.of("one", "two", "three", "four"),
                List.of(new AthleteCard.Split("8 cal row", "0:40", "0:40", false)),
                Optional.empty(),
                "",
                List.of(),
                List.of());
        String html = card.html();
        assertThat(html)
                .contains("&lt;img src=x")
                .doesNotContain("<img")
                .contains("Odd &amp; Sons", "7 of 18 &lt;thruster", "4 reps more. &lt;b&gt;");
        assertThat(html).contains("three").doesNotContain("four");
        assertThat(html).doesNotContain("http://", "https://", "<script");
    }
}
