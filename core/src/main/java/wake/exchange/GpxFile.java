package wake.exchange;

import java.io.StringReader;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import wake.trace.Trace;
import wake.trace.Trace.Sample;
import wake.units.InvalidInput;

/**
 * Tracks as GPX (version 1.1, GPS Exchange Format): time and place of each point, and a heart rate where an extension names one
 * {@code hr}. Distance is added up from point to point along great circles.
 */
final class GpxFile {
    /** Mean radius of the earth, metres (IUGG: R₁ = 6,371,008.8 m). */
    private static final double EARTH_M = 6_371_008.8;

    private static final int LATEST_YEAR = 9999;

    private GpxFile() {}

    /** A point as it is being read. */
    private static final class Point {
        private double lat;
        private double lon;
        private Optional<OffsetDateTime> time = Optional.empty();
        private OptionalDouble beats = OptionalDouble.empty();
    }

    /**
     * Reads the points of all tracks as one trace.
     *
     * @throws InvalidInput naming the line that does not fit
     */
    static Trace read(String xml) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        // A file from elsewhere may not make Wake read or fetch anything.
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader reader = factory.createXMLStreamReader(new StringReader(xml));
            return new Trace(samples(reader));
        } catch (XMLStreamException broken) {
            throw new InvalidInput(
                    "Line " + broken.getLocation().getLineNumber() + ": this is not a complete XML file", broken);
        }
    }

    private static List<Sample> samples(XMLStreamReader reader) throws XMLStreamException {
        List<Sample> samples = new ArrayList<>();
        Optional<OffsetDateTime> start = Optional.empty();
        double metres = 0;
        Point before = null;
        Point point = null;
        boolean gpx = false;
        while (reader.hasNext()) {
            int event = reader.next();
            int line = reader.getLocation().getLineNumber();
            if (event == XMLStreamConstants.START_ELEMENT) {
                if (!gpx && !reader.getLocalName().equals("gpx")) {
                    throw new InvalidInput("Line " + line + ": this is not a GPX file; it starts with <"
                            + reader.getLocalName() + ">");
                }
                gpx = true;
                if (reader.getLocalName().equals("trkpt")) {
                    point = point(reader, line);
                } else if (point != null) {
                    inside(reader, point, line);
                }
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && reader.getLocalName().equals("trkpt")
                    && point != null) {
                OffsetDateTime time =
                        point.time.orElseThrow(() -> new InvalidInput("Line " + line + ": this point has no time"));
                start = start.or(() -> Optional.of(time));
                metres += before == null ? 0 : distance(before, point);
                long ms = Duration.between(start.orElseThrow(), time).toMillis();
                if (ms > 1000 * TraceFile.LONGEST_S) {
                    throw new InvalidInput("Line " + line + ": a track is one day at most");
                }
                TraceFile.add(
                        samples,
                        new Sample(
                                ms,
                                OptionalDouble.of(metres),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                point.beats),
                        line);
                before = point;
                point = null;
            }
        }
        return samples;
    }

    private static Point point(XMLStreamReader reader, int line) {
        Point point = new Point();
        point.lat = degrees(reader, "lat", 90, line);
        point.lon = degrees(reader, "lon", 180, line);
        return point;
    }

    private static double degrees(XMLStreamReader reader, String name, double most, int line) {
        String written = reader.getAttributeValue(null, name);
        try {
            double degrees = Double.parseDouble(String.valueOf(written));
            if (Math.abs(degrees) <= most) {
                return degrees;
            }
        } catch (NumberFormatException unfit) {
            // said below
        }
        throw new InvalidInput("Line " + line + ": " + name + " is in degrees, not \"" + written + "\"");
    }

    private static void inside(XMLStreamReader reader, Point point, int line) throws XMLStreamException {
        String name = reader.getLocalName();
        if (!name.equals("time") && !name.equals("hr")) {
            return;
        }
        String text = reader.getElementText().strip();
        try {
            if (name.equals("time")) {
                point.time = Optional.of(time(text));
            } else {
                point.beats = TraceFile.beats(Double.parseDouble(text));
            }
        } catch (DateTimeParseException | NumberFormatException unfit) {
            throw new InvalidInput(
                    "Line " + line + ": write "
                            + (name.equals("time") ? "a time like 2026-10-03T17:00:00Z" : "a heart rate in beats/min")
                            + ", not \"" + (text.length() > 60 ? text.substring(0, 60) + " …" : text)
                            + "\"",
                    unfit);
        }
    }

    /** A time of our calendar's four-figure years: what lies further is nobody's training, and no span of it can be counted. */
    private static OffsetDateTime time(String text) {
        OffsetDateTime time = OffsetDateTime.parse(text);
        if (time.getYear() < 1 || time.getYear() > LATEST_YEAR) {
            throw new DateTimeParseException("Not the year of a workout", text, 0);
        }
        return time;
    }

    /** Along the great circle, by the haversine formula (Sinnott 1984). */
    private static double distance(Point a, Point b) {
        double lat = Math.toRadians(b.lat - a.lat);
        double lon = Math.toRadians(b.lon - a.lon);
        double h = Math.pow(Math.sin(lat / 2), 2)
                + Math.cos(Math.toRadians(a.lat)) * Math.cos(Math.toRadians(b.lat)) * Math.pow(Math.sin(lon / 2), 2);
        return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
    }
}
