package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.text.StringEscapeUtils;
import wake.log.SegmentSplit;
import wake.reading.Reading;
import wake.reading.SegmentDelta;
import wake.reading.WakePoint;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.words.ReviewWords;

/**
 * The wake as a picture (SVG 1.1) that stands alone: across the work done, up and down how far ahead or behind the baseline, which is
 * the straight line. It has a title and a description in words.
 */
public final class WakePicture {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 300;
    private static final int LEFT = 64;
    private static final int RIGHT = 16;
    private static final int TOP = 34;
    private static final int BOTTOM = 44;
    private static final double LEAST_SECONDS = 5;
    private static final int LETTERS = 74;
    private static final String INK = "#15242C";
    private static final String QUIET = "#5A6A72";
    private static final String LINE = "#D8D2C5";
    private static final String AHEAD = "#0B7A75";
    private static final String BEHIND = "#B8432F";

    private WakePicture() {}

    /** A moment of the wake: where it lies, and how far ahead, milliseconds. */
    private record Spot(double x, double y) {
        String at() {
            return number(x) + "," + number(y);
        }
    }

    /**
     * Draws the wake of a reading.
     *
     * @param title who, what, when
     */
    public static String svg(Reading reading, String title) {
        List<WakePoint> points = reading.wake();
        double most = points.stream()
                .mapToDouble(point -> Math.abs(ahead(point)) / 1000)
                .max()
                .orElse(0);
        double seconds = Math.max(LEAST_SECONDS, most * 1.1);
        double work = Math.max(1, points.getLast().workMs());
        List<Spot> curve = points.stream()
                .map(point -> new Spot(x(point.workMs(), work), y(ahead(point) / 1000.0, seconds)))
                .toList();
        StringBuilder svg = new StringBuilder(text(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" role=\"img\" viewBox=\"0 0 %d %d\" width=\"%d\" height=\"%d\" font-family=\"system-ui, sans-serif\" font-size=\"13\">",
                WIDTH, HEIGHT, WIDTH, HEIGHT));
        svg.append("<title>").append(escaped(title)).append("</title>");
        svg.append("<desc>").append(escaped(words(reading))).append("</desc>");
        svg.append(text("<rect width=\"%d\" height=\"%d\" fill=\"#FFFFFF\"/>", WIDTH, HEIGHT));
        svg.append(label(LEFT, 20, "start", INK, title));
        scale(svg, seconds);
        borders(svg, reading, work);
        double middle = y(0, seconds);
        svg.append(area(curve, middle, true)).append(area(curve, middle, false));
        svg.append(text(
                "<path d=\"M%d,%sH%d\" stroke=\"%s\" stroke-width=\"1.2\"/>",
                LEFT, number(middle), WIDTH - RIGHT, INK));
        svg.append("<path d=\"M")
                .append(String.join("L", curve.stream().map(Spot::at).toList()))
                .append(text("\" fill=\"none\" stroke=\"%s\" stroke-width=\"2.2\"/>", INK));
        return svg.append("</svg>").toString();
    }

    /** The picture in words. */
    public static String words(Reading reading) {
        WakePoint last = reading.wake().getLast();
        Digits digits = reading.log().digits();
        String how = ahead(last) >= 0 ? " ahead." : " behind.";
        return ReviewWords.headline(reading) + " Final gap: " + digits.span(Math.abs(ahead(last))) + how;
    }

    private static long ahead(WakePoint point) {
        return point.workMs() - point.clockMs();
    }

    private static void scale(StringBuilder svg, double seconds) {
        double step = step(seconds);
        for (double at = -Math.floor(seconds / step) * step; at <= seconds; at += step) {
            double y = y(at, seconds);
            svg.append(text("<path d=\"M%d,%sH%d\" stroke=\"%s\"/>", LEFT, number(y), WIDTH - RIGHT, LINE));
            String words = Math.abs(at) < step / 2 ? "even" : (at > 0 ? "+" : "−") + Math.round(Math.abs(at)) + " s";
            svg.append(label(LEFT - 8, y + 4, "end", QUIET, words));
        }
        svg.append(label(LEFT - 8, TOP - 6, "end", QUIET, "ahead"));
        svg.append(label(LEFT - 8, HEIGHT - BOTTOM + 18, "end", QUIET, "behind"));
    }

    private static double step(double seconds) {
        for (double step : new double[] {5, 10, 15, 30, 60, 120, 300}) {
            if (seconds / step <= 3) {
                return step;
            }
        }
        return seconds / 2;
    }

    /** The ends of rounds, or of movements where there are no rounds, each with the clock. */
    private static void borders(StringBuilder svg, Reading reading, double work) {
        double last = Double.NEGATIVE_INFINITY;
        long done = 0;
        for (SegmentDelta delta : reading.deltas()) {
            done += delta.expectedMs();
            SegmentSplit split = delta.stretch().last();
            boolean round = reading.log().expanded().endsLap(split.segment().index());
            boolean none = reading.blocks().isEmpty();
            double x = x(done, work);
            if (round || none) {
                svg.append(text(
                        "<path d=\"M%s,%dV%d\" stroke=\"%s\" stroke-dasharray=\"2 3\"/>",
                        number(x), TOP, HEIGHT - BOTTOM, LINE));
                if (x - last >= LETTERS && x <= WIDTH - RIGHT) {
                    String clock = ClockTime.of(delta.stretch().countedToMs()).toSeconds();
                    String anchor = x > WIDTH - LETTERS ? "end" : "middle";
                    svg.append(label(x, HEIGHT - 12, anchor, QUIET, clock));
                    last = x;
                }
            }
        }
    }

    /** What lies above the line, or below it. */
    private static String area(List<Spot> curve, double middle, boolean above) {
        List<String> spots = new ArrayList<>();
        spots.add(new Spot(curve.getFirst().x(), middle).at());
        for (int i = 0; i < curve.size(); i++) {
            Spot spot = curve.get(i);
            if (i > 0 && crosses(curve.get(i - 1), spot, middle)) {
                Spot before = curve.get(i - 1);
                double share = (middle - before.y()) / (spot.y() - before.y());
                spots.add(new Spot(before.x() + share * (spot.x() - before.x()), middle).at());
            }
            boolean inside = above ? spot.y() < middle : spot.y() > middle;
            spots.add(inside ? spot.at() : new Spot(spot.x(), middle).at());
        }
        spots.add(new Spot(curve.getLast().x(), middle).at());
        return text(
                "<path d=\"M%sZ\" fill=\"%s\" fill-opacity=\"0.28\"/>",
                String.join("L", spots), above ? AHEAD : BEHIND);
    }

    private static boolean crosses(Spot a, Spot b, double middle) {
        return (a.y() - middle) * (b.y() - middle) < 0;
    }

    private static double x(double workMs, double work) {
        return LEFT + workMs / work * (WIDTH - LEFT - RIGHT);
    }

    private static double y(double aheadS, double seconds) {
        double half = (HEIGHT - TOP - BOTTOM) / 2.0;
        return TOP + half - aheadS / seconds * half;
    }

    private static String label(double x, double y, String anchor, String colour, String words) {
        return text(
                "<text x=\"%s\" y=\"%s\" text-anchor=\"%s\" fill=\"%s\">%s</text>",
                number(x), number(y), anchor, colour, escaped(words));
    }

    private static String number(double value) {
        return text("%.1f", value);
    }

    private static String escaped(String words) {
        return StringEscapeUtils.escapeXml11(words);
    }

    private static String text(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }
}
