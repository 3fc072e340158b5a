package wake.projection;

import java.util.List;

/**
 * How a target is set.
 *
 * @param least the least that can be meant
 * @param most the most that makes a difference
 * @param step how fine
 * @param digits after the point
 * @param unit "s", "s per rep", "%"
 * @param says the target in the words of the movement, to stand after its figure; empty where the figure says it
 * @param shown targets that were shown, to choose from
 */
public record SliderRange(
        double least, double most, double step, int digits, String unit, String says, List<Reached> shown) {
    public SliderRange {
        shown = List.copyOf(shown);
    }

    /** A target that was shown: "round 2". */
    public record Reached(String words, double value) {}

    static SliderRange pause(double target, long slowestMs) {
        return new SliderRange(0, Math.max(1, Math.max(slowestMs / 1000.0, target)), 0.1, 1, "s", "", List.of());
    }

    static SliderRange of(double least, double most, double step, int digits, String unit) {
        return new SliderRange(least, most, step, digits, unit, "", List.of());
    }
}
