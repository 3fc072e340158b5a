package wake.plan;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wake.plan.WorkCurve.Point;
import wake.units.ClockTime;
import wake.units.InvalidInput;

/**
 * A designed finish: with so much of the clock to go the pace goes up, and again with less to go. Pauses stay as planned.
 *
 * @param pushes in order, the one with the most to go first; none where nothing is designed
 */
public record Finish(List<Push> pushes) {
    public static final Finish NONE = new Finish(List.of());

    /** What each push adds where the coach does not say: an assumption, shown as a figure that can be changed. */
    private static final BigDecimal STEP_PERCENT = BigDecimal.TWO;

    /** Far below what is shown, far above what a double leaves. */
    private static final double HAIR_MS = 0.001;

    private static final int MOST = 10;
    private static final double MOST_PERCENT = 30;
    private static final Pattern PUSH =
            Pattern.compile("(\\d{1,3}:\\d{2})(?:\\s+to\\s+go)?(?:\\s*[:=]?\\s*\\+?(\\d{1,2}(?:\\.\\d{1,2})?)\\s*%?)?");

    /**
     * One step up.
     *
     * @param toGoMs how much of the clock is left when it comes
     * @param percent by how much a rep or unit takes less than planned from then on
     */
    public record Push(long toGoMs, double percent) {
        /** @throws InvalidInput where the start or the percentage is out of range */
        public Push {
            if (toGoMs <= 0 || !(percent > 0 && percent <= MOST_PERCENT)) {
                throw new InvalidInput(
                        "A finish kick starts before the end, by at most " + Math.round(MOST_PERCENT) + "%");
            }
        }

        /** What is left of the planned time of a rep. */
        double factor() {
            return 1 - percent / 100;
        }

        /** "5:00 2%". */
        public String written() {
            return ClockTime.of(toGoMs).toSeconds() + " "
                    + BigDecimal.valueOf(percent).stripTrailingZeros().toPlainString() + "%";
        }
    }

    /** @throws InvalidInput with too many kicks, or where one is not later and faster than the one before */
    public Finish {
        pushes = List.copyOf(pushes);
        if (pushes.size() > MOST) {
            throw new InvalidInput("At most " + MOST + " kicks, not " + pushes.size());
        }
        for (int i = 1; i < pushes.size(); i++) {
            boolean later = pushes.get(i).toGoMs() < pushes.get(i - 1).toGoMs();
            if (!later || pushes.get(i).percent() < pushes.get(i - 1).percent()) {
                throw new InvalidInput("Each kick is later and faster than the one before: "
                        + pushes.get(i).written() + " after "
                        + pushes.get(i - 1).written());
            }
        }
    }

    /**
     * Reads a finish: {@code 5:00, 3:00, 2:00} with 2 % more at each, or {@code 5:00 1 %, 2:00 4 %}.
     *
     * @throws InvalidInput when the text is none
     */
    public static Finish parse(String text) {
        if (text.isBlank()) {
            return NONE;
        }
        List<Push> pushes = new ArrayList<>();
        BigDecimal percent = BigDecimal.ZERO;
        for (String one : text.split("\\s*[,;]\\s*")) {
            Matcher matcher = PUSH.matcher(one.strip());
            if (!matcher.matches()) {
                throw new InvalidInput(
                        "Write the time left at each kick, like \"5:00, 3:00, 2:00\" or \"5:00 1%, 2:00 4%\", not \""
                                + text + "\"");
            }
            percent = matcher.group(2) == null ? percent.add(STEP_PERCENT) : new BigDecimal(matcher.group(2));
            pushes.add(new Push(ClockTime.parse(matcher.group(1)).ms(), percent.doubleValue()));
        }
        return new Finish(pushes);
    }

    public boolean isNone() {
        return pushes.isEmpty();
    }

    /** The finish as it is written. */
    public String written() {
        return pushes.stream().map(Push::written).collect(Collectors.joining(", "));
    }

    /**
     * The work of a segment where the clock ends at some time: what of it lies behind a push goes faster. Its breaks are taken as spread
     * over it.
     *
     * @param even the work without any push
     * @param pausesMs breaks and the like in it, which stay
     * @param fromMs the clock at its start of the movement
     * @param endMs the clock that the pushes count down to
     */
    WorkCurve onto(WorkCurve even, long pausesMs, long fromMs, long endMs) {
        if (pushes.isEmpty()) {
            return even;
        }
        List<Point> points = new ArrayList<>(List.of(new Point(0, 0)));
        double clock = fromMs;
        for (int i = 1; i < even.points().size(); i++) {
            Point to = even.points().get(i);
            Point before = even.points().get(i - 1);
            double slope = (to.work() - before.work()) / (to.done() - before.done());
            double done = before.done();
            while (done < to.done()) {
                double factor = factor(clock, endMs);
                double rate = slope * factor + pausesMs;
                double next = Math.min(to.done(), done + Math.max(HAIR_MS, untilNext(clock, endMs)) / rate);
                points.add(new Point(next, points.getLast().work() + (next - done) * slope * factor));
                clock += (next - done) * rate;
                done = next;
            }
        }
        return new WorkCurve(points);
    }

    /** What is left of a planned rep at a clock. */
    private double factor(double clock, long endMs) {
        return pushes.stream()
                .filter(push -> clock >= endMs - push.toGoMs() - HAIR_MS / 2)
                .reduce((early, late) -> late)
                .map(Push::factor)
                .orElse(1.0);
    }

    /** How long to the next push; for ever after the last. */
    private double untilNext(double clock, long endMs) {
        return pushes.stream()
                .mapToDouble(push -> endMs - push.toGoMs() - clock)
                .filter(until -> until > HAIR_MS / 2)
                .findFirst()
                .orElse(Double.MAX_VALUE);
    }
}
