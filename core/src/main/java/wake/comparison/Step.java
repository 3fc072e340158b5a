package wake.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.Resolution;
import wake.log.SegmentSplit;
import wake.log.StepClocks;
import wake.workout.Segment;

/**
 * A rep, or a whole place where its reps cannot be counted against each other, that at least one of two came to.
 *
 * @param segment the place it belongs to, as the first does it; as the other does it where only that one came there
 * @param pair both splits of the place; empty beyond the last place both have begun
 * @param number which step of the place, from 1
 * @param ends whether it is the last of its place
 * @param oneMs when the first attempt had it complete; empty where it never came to it
 * @param otherMs the same of the other
 * @param known whether both clocks are logged rather than spread
 * @param points what it counts in the score of each; empty where it counts differently
 * @param whole whether it goes over more than its place, back to the last end both saw
 * @param single whether it is one step of both, so that lying one behind is a rep behind
 */
record Step(
        Segment segment,
        Optional<Matching.Pair> pair,
        int number,
        boolean ends,
        Optional<Long> oneMs,
        Optional<Long> otherMs,
        boolean known,
        Optional<Integer> points,
        boolean whole,
        boolean single) {
    /** "round 3, 12 toes-to-bar"; the round where no more was noted. */
    String place() {
        return whole && segment.inRounds() ? segment.lap().words() : segment.place();
    }

    /** The same inside a sentence: "wall walk, round 3"; "ski" outside rounds; the round alone where no more was logged. */
    String where() {
        String round = segment.inRounds() ? segment.lap().words() : "";
        if (whole) {
            return round.isEmpty() ? "the whole" : round;
        }
        return segment.line().name() + (round.isEmpty() ? "" : ", " + round);
    }

    boolean both() {
        return oneMs.isPresent() && otherMs.isPresent();
    }

    /** By how much the first attempt had it sooner; below 0 where the other had. */
    long leadMs() {
        return otherMs.orElseThrow() - oneMs.orElseThrow();
    }

    /** The clock of whoever came first; of the only one. */
    long firstMs() {
        return Math.min(oneMs.orElse(Long.MAX_VALUE), otherMs.orElse(Long.MAX_VALUE));
    }

    /** Above 0 where the first attempt had it sooner, below where the other had, 0 where both had it at once. */
    int sign() {
        return Long.compare(otherMs.orElse(Long.MAX_VALUE), oneMs.orElse(Long.MAX_VALUE));
    }

    /** Whether it is surely the one's: further apart than the reading error, or only one came to it. */
    boolean clear() {
        return !both() || Math.abs(leadMs()) > readingErrorMs();
    }

    /** Whether it is the end of a place both saw the end of. */
    boolean border() {
        return ends && both();
    }

    /** The clock of whoever came second. */
    long secondMs() {
        return Math.max(oneMs.orElseThrow(), otherMs.orElseThrow());
    }

    /** Difference below which the reading error of the marks may be all there is: 2u (JCGM 100:2008). */
    long readingErrorMs() {
        return pair.map(both -> Math.round(2000
                        * Resolution.ofDifference(
                                both.one().endU(), both.other().endU())))
                .orElse(0L);
    }

    /** The steps of two attempts, in order. A place of unequal amounts, or whose end either has not seen, is compared in the detail both have. */
    static List<Step> of(Matching matching) {
        List<Step> steps = matched(matching);
        if (matching.beyondOne().isEmpty() != matching.beyondOther().isEmpty()) {
            int common = steps.size();
            boolean reached = reached(matching, steps);
            matching.beyondOne().forEach(split -> beyond(split, true, steps));
            matching.beyondOther().forEach(split -> beyond(split, false, steps));
            if (!reached && common < steps.size()) {
                steps.set(common, steps.get(common).afterUnknown());
            }
        }
        return steps;
    }

    /** Whether the steps go up to the last place both have: of a score alone they do not, and where the two are inside it is unknown. */
    static boolean reached(Matching matching, List<Step> steps) {
        return matching.pairs().isEmpty()
                || steps.stream()
                        .anyMatch(step ->
                                step.pair().equals(Optional.of(matching.pairs().getLast())));
    }

    /** The same after work of which no rep is known: being short of it is not being one rep behind. */
    private Step afterUnknown() {
        return new Step(segment, pair, number, ends, oneMs, otherMs, known, points, whole, false);
    }

    private static void beyond(SegmentSplit split, boolean one, List<Step> steps) {
        if (!seen(split)) {
            return;
        }
        Segment segment = split.segment();
        StepClocks clocks = StepClocks.of(split);
        for (int step = 1; step <= clocks.count(); step++) {
            Optional<Long> ms = at(clocks, step);
            steps.add(new Step(
                    segment,
                    Optional.empty(),
                    step,
                    step == segment.steps(),
                    one ? ms : Optional.empty(),
                    one ? Optional.empty() : ms,
                    known(clocks, step),
                    Optional.of(segment.points(step) - segment.points(step - 1)),
                    false,
                    true));
        }
    }

    private static List<Step> matched(Matching matching) {
        List<Step> steps = new ArrayList<>();
        Matching.Pair before = null;
        for (Matching.Pair pair : matching.pairs()) {
            boolean startSeen =
                    before == null || before.one().endSeen() && before.other().endSeen();
            before = pair;
            if (!seen(pair.one()) || !seen(pair.other())) {
                continue;
            }
            StepClocks one = StepClocks.of(pair.one());
            StepClocks other = StepClocks.of(pair.other());
            Segment segment = pair.one().segment();
            if (!pair.sameAmount() || !startSeen) {
                if (pair.one().complete() || pair.other().complete()) {
                    boolean same = pair.one().segment().score()
                            == pair.other().segment().score();
                    steps.add(new Step(
                            segment,
                            Optional.of(pair),
                            segment.steps(),
                            true,
                            end(pair.one()),
                            end(pair.other()),
                            true,
                            same && startSeen ? Optional.of(segment.score()) : Optional.empty(),
                            !startSeen,
                            false));
                }
                continue;
            }
            int last = Math.max(one.count(), other.count());
            for (int step = 1; step <= last; step++) {
                steps.add(new Step(
                        segment,
                        Optional.of(pair),
                        step,
                        step == segment.steps(),
                        at(one, step),
                        at(other, step),
                        known(one, step, other),
                        Optional.of(segment.points(step) - segment.points(step - 1)),
                        false,
                        true));
            }
        }
        return steps;
    }

    private static boolean seen(SegmentSplit split) {
        return split.endSeen() || !split.complete();
    }

    private static Optional<Long> end(SegmentSplit split) {
        return split.complete() ? Optional.of(split.endMs()) : Optional.empty();
    }

    private static Optional<Long> at(StepClocks clocks, int step) {
        return step <= clocks.count() ? Optional.of(clocks.ms(step)) : Optional.empty();
    }

    private static boolean known(StepClocks one, int step, StepClocks other) {
        if (step > one.count() || step > other.count()) {
            return known(step > one.count() ? other : one, step);
        }
        return one.known(step).comparableWith(other.known(step));
    }

    private static boolean known(StepClocks clocks, int step) {
        return clocks.known(step) != StepClocks.How.SPREAD;
    }
}
