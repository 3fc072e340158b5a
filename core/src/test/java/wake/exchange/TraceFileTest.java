package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Length;
import io.jenetics.jpx.WayPoint;
import io.jenetics.jpx.geom.Geoid;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.simulation.SimulatedMonitor;
import wake.trace.Trace;
import wake.units.InvalidInput;

class TraceFileTest {
    @Test
    void columnsAreRecognisedByTheirNamesInAnyOrder() {
        Trace trace = TraceFile.read("""
                Heart rate (bpm),Elapsed time,Three,Pace /500m,Distance [m],Stroke count
                0,0:00,x,,0,110
                131,0:10.5,y,2:05,42.5,112
                """);
        // A strap without contact tells 0, and that is no heart rate.
        assertThat(trace.samples().getFirst().beatsPerMinute()).isEmpty();
        assertThat(trace.samples().getLast().strokesPerMinute()).isEmpty();
        assertThat(trace.samples()).hasSize(2);
        Trace.Sample later = trace.samples().getLast();
        assertThat(later.atMs()).isEqualTo(10_500);
        assertThat(later.metres()).hasValue(42.5);
        assertThat(later.secondsPer500()).hasValue(125);
        assertThat(later.beatsPerMinute()).hasValue(131);
        assertThat(trace.samples().getFirst().secondsPer500()).isEmpty();
    }

    @Test
    void whatIsWrittenReadsBackTheSame() {
        Trace trace = SimulatedMonitor.of(Samples.simulated(Samples.LOCK_GATE, 3), 9000, 3);
        assertThat(TraceFile.read(TraceFile.write(trace))).isEqualTo(trace);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "when,what;1,2|Line 1: the columns are",
                "time,heart rate;0,100;soon,101|Line 3: write a number",
                "time,heart rate;0,100;0,101|Line 3: the time must be after",
                "time,heart rate;0,100;1,5000|Line 3: write a number up to 300",
                "time,heart rate;0,100|At least two moments",
                "time,heart rate;\"0,100|not a CSV file",
                "<kml/>|Line 1: this is not a GPX file",
                "<gpx><trk>|not a complete XML file"
            })
    void whatDoesNotFitIsNamedByItsLine(String file, String reason) {
        assertThatThrownBy(() -> TraceFile.read(file.replace(';', '\n')))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }

    /** Written by JPX; distances by its ellipsoid (WGS 84, Vincenty 1975), which a sphere meets within half a percent. */
    @Test
    void aTrackWrittenByAnotherLibraryIsRead() throws java.io.IOException {
        List<WayPoint> points = new ArrayList<>();
        for (int second = 0; second < 120; second++) {
            points.add(WayPoint.builder()
                    .lat(59.9 + second * 2.5e-5)
                    .lon(10.7 + second * 1.0e-5)
                    .time(Instant.parse("2026-10-03T17:00:00Z").plusSeconds(second))
                    .build());
        }
        GPX gpx = GPX.builder()
                .addTrack(track -> track.addSegment(segment -> segment.points(points)))
                .build();
        java.io.ByteArrayOutputStream file = new java.io.ByteArrayOutputStream();
        GPX.Writer.DEFAULT.write(gpx, file);
        Trace trace = TraceFile.read(file.toString(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(trace.samples()).hasSize(120);
        assertThat(trace.lengthMs()).isEqualTo(119_000);
        double metres = points.stream().collect(Geoid.WGS84.toPathLength()).to(Length.Unit.METER);
        assertThat(trace.samples().getLast().metres().orElseThrow()).isCloseTo(metres, within(0.005 * metres));
    }

    @Test
    void aHeartRateInAnExtensionIsRead() {
        Trace trace = TraceFile.read("""
                <?xml version="1.0" encoding="UTF-8"?>
                <gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" xmlns:x="urn:example:strap">
                <trk><trkseg>
                <trkpt lat="59.9" lon="10.7"><time>2026-10-03T17:00:00Z</time><extensions><x:hr>151</x:hr></extensions></trkpt>
                <trkpt lat="59.9" lon="10.8"><time>2026-10-03T17:00:02+00:00</time></trkpt>
                </trkseg></trk></gpx>
                """);
        assertThat(trace.samples().getFirst().beatsPerMinute()).hasValue(151);
        assertThat(trace.samples().getLast().beatsPerMinute()).isEmpty();
        assertThat(trace.lengthMs()).isEqualTo(2000);
    }

    /** What an XML file may ask for in vain: a file of this machine, and text without end. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<!ENTITY a SYSTEM \"file:///etc/hostname\">",
                "<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;\">"
            })
    void nothingIsFetchedForAFile(String entities) {
        String xml = "<?xml version=\"1.0\"?><!DOCTYPE gpx [" + entities
                + "]><gpx><trk><trkseg><trkpt lat=\"1\" lon=\"1\"><time>&a;</time></trkpt></trkseg></trk></gpx>";
        assertThatThrownBy(() -> TraceFile.read(xml)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aTrackOfNoYearOrHeartOfAnybodyIsRefusedByItsLine() {
        for (String time :
                List.of("+999999999-01-01T00:00:00Z", "-999999999-01-01T00:00:00Z", "0000-01-01T00:00:00Z")) {
            assertThatThrownBy(() -> TraceFile.read(track("2026-10-03T17:00:00Z", "120", time, "121")))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageStartingWith("Line 3: write a time like");
        }
        assertThatThrownBy(() -> TraceFile.read(track("2026-10-03T17:00:00Z", "120", "2026-10-05T17:00:00Z", "121")))
                .isInstanceOf(InvalidInput.class)
                .hasMessage("Line 3: a track is one day at most");
        for (String beats : List.of("NaN", "Infinity", "-1", "301")) {
            assertThatThrownBy(
                            () -> TraceFile.read(track("2026-10-03T17:00:00Z", "120", "2026-10-03T17:00:01Z", beats)))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageStartingWith("Line 3: write a heart rate");
        }
        assertThat(TraceFile.read(track("2026-10-03T17:00:00Z", "0", "2026-10-03T17:00:01Z", "121"))
                        .samples())
                .extracting(Trace.Sample::beatsPerMinute)
                .containsExactly(OptionalDouble.empty(), OptionalDouble.of(121));
    }

    private static String track(String first, String beats, String second, String more) {
        String point = "<trkpt lat=\"1\" lon=\"1\"><time>%s</time><hr>%s</hr></trkpt>\n";
        return "<gpx>\n" + point.formatted(first, beats) + point.formatted(second, more) + "</gpx>";
    }
}
