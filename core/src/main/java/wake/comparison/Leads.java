package wake.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Who led from when to when, on the raw clock: at the reps whose clock both logs show. */
final class Leads {
    private final List<Step> steps;
    private final List<Run> runs;
    private final Set<Integer> starts;

    /**
     * Steps in a row that one had sooner.
     *
     * @param sign above 0 for the first attempt
     * @param from its first step
     * @param to its last
     * @param clear whether the lead was ever beyond the reading error
     */
    record Run(int sign, int from, int to, boolean clear) {}

    private Leads(List<Step> steps, List<Run> runs) {
        this.steps = List.copyOf(steps);
        this.runs = List.copyOf(runs);
        this.starts = runs.stream().map(Run::from).collect(Collectors.toUnmodifiableSet());
    }

    /** Who is shown to have led. */
    static Leads shown(List<Step> steps) {
        return of(steps, Step::known);
    }

    /** As a picture draws it: also where reps are spread evenly, which nobody logged. */
    static Leads drawn(List<Step> steps) {
        return of(steps, step -> true);
    }

    private static Leads of(List<Step> steps, Predicate<Step> counts) {
        List<Run> runs = new ArrayList<>();
        int from = -1;
        int to = -1;
        int sign = 0;
        boolean clear = false;
        for (int i = 0; i < steps.size(); i++) {
            int now = steps.get(i).sign();
            if (now == 0 || !counts.test(steps.get(i))) {
                continue;
            }
            if (now != sign && sign != 0) {
                runs.add(new Run(sign, from, to, clear));
                clear = false;
            }
            from = now == sign ? from : i;
            sign = now;
            to = i;
            clear |= steps.get(i).clear();
        }
        if (sign != 0) {
            runs.add(new Run(sign, from, to, clear));
        }
        return new Leads(steps, runs);
    }

    /** Whether somebody takes the lead with a step. */
    boolean startsAt(int step) {
        return starts.contains(step);
    }

    /** Whether somebody takes it from the other with a step. */
    boolean changesAt(int step) {
        return startsAt(step) && runs.getFirst().from() != step;
    }

    /** The same with what lies within the reading error taken for level. */
    List<Run> clearRuns() {
        List<Run> clear = new ArrayList<>();
        for (Run run : runs) {
            if (!run.clear()) {
                continue;
            }
            if (!clear.isEmpty() && clear.getLast().sign() == run.sign()) {
                Run before = clear.removeLast();
                clear.add(new Run(run.sign(), before.from(), run.to(), true));
            } else {
                clear.add(run);
            }
        }
        return clear;
    }

    List<Overtake> overtakes() {
        List<Overtake> overtakes = new ArrayList<>();
        for (int i = 1; i < runs.size(); i++) {
            overtakes.add(overtake(runs.get(i - 1), runs.get(i)));
        }
        return overtakes;
    }

    /** Between the last step the one is shown to have led at and the first of the other: at that, where nothing unknown lies between. */
    Overtake overtake(Run before, Run after) {
        Step first = steps.get(after.from());
        Step last = steps.get(before.to());
        boolean known = steps.subList(before.to() + 1, after.from()).stream().allMatch(Step::known);
        return new Overtake(
                after.sign() > 0,
                first.firstMs(),
                first.place(),
                first.where(),
                known,
                Math.min(last.both() ? last.secondMs() : last.firstMs(), first.firstMs()),
                first.firstMs(),
                before.clear() && after.clear());
    }
}
