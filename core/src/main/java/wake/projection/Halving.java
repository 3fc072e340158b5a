package wake.projection;

import java.util.function.DoublePredicate;

/** The weakest target that still does, found by halving. */
final class Halving {
    private static final int HALVINGS = 40;

    private Halving() {}

    /**
     * Between a target that does and a weaker one.
     *
     * @param step how fine a target is given: rounded to it towards the stronger side
     * @param reaches whether a target does; true of the strong one, and once false false for all that are weaker
     */
    static double weakest(double strong, double weak, double step, DoublePredicate reaches) {
        if (reaches.test(weak)) {
            return rounded(weak, strong, step);
        }
        double does = strong;
        double fails = weak;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (does + fails) / 2;
            if (reaches.test(middle)) {
                does = middle;
            } else {
                fails = middle;
            }
        }
        return rounded(does, strong, step);
    }

    private static double rounded(double target, double strong, double step) {
        double steps = target / step;
        double whole = (strong <= target ? Math.floor(steps + 1e-9) : Math.ceil(steps - 1e-9)) * step;
        double rounded = Math.round(whole * 1e6) / 1e6;
        return strong <= target ? Math.max(strong, rounded) : Math.min(strong, rounded);
    }
}
