package wake.simulation;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.movement.Modality;
import wake.plan.Draft;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * A simulated athlete's way through a workout. The truth is known: every start of the movement, rep, break, return and fault with
 * its time. The same seed gives the same attempt.
 *
 * @param expanded the workout done
 * @param truth everything that happened, as marks in clock order, every rep tapped
 * @param clockMs the finish, or the cap
 */
public record SimulatedAttempt(ExpandedWorkout expanded, List<Mark> truth, long clockMs) {
    private static final Set<String> ROPES = Set.of("double under", "single under", "crossover");
    /** As many as a day of doubles: nobody videos more in one go. */
    private static final int MOST_MARKS = 20_000;

    public SimulatedAttempt {
        truth = List.copyOf(truth);
    }

    public static SimulatedAttempt run(ExpandedWorkout expanded, AthleteModel athlete, long seed) {
        return run(expanded, athlete, Discipline.NONE, seed);
    }

    /** The way through of an athlete who holds to something. */
    public static SimulatedAttempt run(
            ExpandedWorkout expanded, AthleteModel athlete, Discipline discipline, long seed) {
        return new Run(expanded, athlete, discipline, new SplittableRandom(seed)).run();
    }

    private static final class Run {
        private final ExpandedWorkout expanded;
        private final AthleteModel athlete;
        private final Discipline discipline;
        private final SplittableRandom random;
        private final List<Mark> truth = new ArrayList<>();
        private long clock;

        Run(ExpandedWorkout expanded, AthleteModel athlete, Discipline discipline, SplittableRandom random) {
            this.expanded = expanded;
            this.athlete = athlete;
            this.discipline = discipline;
            this.random = random;
        }

        SimulatedAttempt run() {
            for (int i = 0; expanded.has(i); i++) {
                if (truth.size() > MOST_MARKS) {
                    throw new InvalidInput("A practice video shows at most " + MOST_MARKS
                            + " reps and breaks for the simulated athlete; this one is longer");
                }
                clock = Math.max(clock, expanded.opensMs(i, clock).orElse(0));
                segment(expanded.segment(i));
                long buzzer = expanded.buzzerMs(i).orElse(Long.MAX_VALUE);
                if (clock > buzzer) {
                    List<Mark> all = new ArrayList<>(
                            truth.stream().filter(mark -> mark.atMs() <= buzzer).toList());
                    all.add(Mark.of(MarkKind.STOP, buzzer));
                    return new SimulatedAttempt(expanded, all, buzzer);
                }
            }
            return new SimulatedAttempt(expanded, truth, clock);
        }

        private void segment(Segment segment) {
            double tired = expanded.isOpen()
                    ? Math.min(1, (double) clock / expanded.capMs().orElse(Long.MAX_VALUE))
                    : (double) segment.index() / expanded.segments().size();
            if (expanded.startsAtMs(segment.index()).isPresent()) {
                clock += 300;
            } else if (segment.index() > 0) {
                long transition = Math.max(700, scatter(athlete.transitionMs(), 0.3));
                clock += Math.min(transition, discipline.longestTransitionMs());
            } else {
                clock += 400;
            }
            see(MarkKind.BEGIN);
            String name = segment.movement().name();
            double itsOwn = fresh(segment) * (1 + athlete.fade() * tired);
            double perUnit = 1000 * discipline.secondsPerUnit(name, itsOwn);
            boolean counted = segment.tappable() && segment.movement().modality() != Modality.CYCLIC;
            if (!counted) {
                clock += scatter(perUnit * segment.units(), athlete.noise() / 3);
                see(MarkKind.DONE);
                return;
            }
            int reps = Math.min(segment.steps(), MOST_MARKS);
            int largest = athlete.largestSet().getOrDefault(name, Integer.MAX_VALUE);
            int inSet = 0;
            for (int rep = 1; rep <= reps; rep++) {
                boolean breaks = inSet >= largest - (random.nextDouble() < tired ? 1 : 0) && reps - rep >= 1;
                if (breaks) {
                    takeABreak(tired);
                    inSet = 0;
                }
                boolean fault = random.nextDouble() < athlete.faultRate();
                if (fault && !discipline.faultless()) {
                    clock += scatter(perUnit * 0.9, athlete.noise());
                    boolean ends = athlete.endsSets() > 0 && random.nextDouble() < athlete.endsSets();
                    see(ends ? faultThatEnds(segment) : MarkKind.NO_REP);
                    if (ends) {
                        takeABreak(tired);
                        inSet = 0;
                    }
                }
                clock += Math.max(250, scatter(perUnit, athlete.noise()));
                see(MarkKind.REP);
                inSet++;
            }
        }

        private void takeABreak(double tired) {
            clock += 200;
            see(MarkKind.OFF);
            long rest = Math.max(1200, scatter(athlete.restMs() * (1 + athlete.restGrowth() * tired), 0.25));
            clock += Math.min(rest, discipline.longestRestMs());
            see(MarkKind.ON);
        }

        /** A loaded bar is failed; a rope trips; nothing else ends a set by itself, but a rep that did not count may. */
        private static MarkKind faultThatEnds(Segment segment) {
            if (segment.mass().isPresent()) {
                return MarkKind.MISS;
            }
            return ROPES.contains(segment.movement().name()) ? MarkKind.TRIP : MarkKind.NO_REP;
        }

        /** By the movement and its load, else by the movement, else the catalogue's fast end. */
        private double fresh(Segment segment) {
            String name = segment.movement().name();
            double quick = Draft.fastSecondsPerUnit(
                    segment.movement(), segment.amount().unit());
            double any = athlete.cadence().getOrDefault(name, quick * 1.1);
            return segment.mass()
                    .map(load -> athlete.cadence().getOrDefault(name + " @ " + load, any))
                    .orElse(any);
        }

        private long scatter(double ms, double share) {
            double buzzer = random.nextDouble() + random.nextDouble() + random.nextDouble() - 1.5;
            return Math.round(ms * (1 + share * 1.15 * buzzer));
        }

        private void see(MarkKind kind) {
            truth.add(Mark.of(kind, clock));
        }
    }
}
