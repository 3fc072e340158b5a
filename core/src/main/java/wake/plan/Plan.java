package wake.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * The pacing intended for an attempt.
 *
 * @param lines pacing per movement line of the workout
 */
public record Plan(List<LinePacing> lines) {
    public Plan {
        lines = List.copyOf(lines);
    }

    /**
     * The pacing of one movement line.
     *
     * @param lineIndex which movement line of the workout, from 0
     * @param every how it goes each round
     * @param rounds rounds that go differently, by number from 1
     */
    public record LinePacing(int lineIndex, Pacing every, Map<Integer, Pacing> rounds) {
        public LinePacing {
            rounds = new TreeMap<>(rounds);
        }

        public Pacing in(int round) {
            return rounds.getOrDefault(round, every);
        }
    }

    public Pacing pacing(Segment segment) {
        return lines.stream()
                .filter(line -> line.lineIndex() == segment.lineIndex())
                .findFirst()
                .map(line -> line.in(segment.round()))
                .orElseThrow(() -> new IllegalArgumentException("The plan says nothing about " + segment.label()));
    }

    /**
     * Holds the plan against the workout it is for.
     *
     * @throws IllegalArgumentException naming the first line that does not fit
     */
    public Plan checkedFor(Course course) {
        Set<Integer> planned = new HashSet<>();
        for (LinePacing line : lines) {
            if (!planned.add(line.lineIndex())) {
                throw new IllegalArgumentException("Line " + (line.lineIndex() + 1) + " is planned twice");
            }
        }
        for (Segment segment : course.segments()) {
            int largest = pacing(segment).sets().largest();
            int most = mostReps(course, segment.lineIndex());
            if (largest > most) {
                throw new IllegalArgumentException("Sets of " + largest + " are more than the " + most + " of "
                        + segment.movement().name());
            }
        }
        return this;
    }

    private static int mostReps(Course course, int lineIndex) {
        return course.segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .mapToInt(segment -> segment.countable().orElse(Integer.MAX_VALUE))
                .max()
                .orElse(0);
    }
}
