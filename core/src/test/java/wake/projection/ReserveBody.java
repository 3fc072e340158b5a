package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Function;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.movement.Modality;
import wake.plan.SetScheme;
import wake.workout.Comparability;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * A simulated athlete of another kind than the one that ships: what it does is imposed, and its body answers.
 *
 * <p>A power reserve is drained by work above what can be kept up and recovers exponentially in pauses (Skiba et al. 2012, 2015; the
 * form, with figures of our own); the emptier it is, the slower the reps and the longer the pauses. Reps of a movement tire its muscles
 * locally, which slows them and ends sets, and pauses take that off again. Times scatter lognormally, reps fail, some sets are planned
 * and some end in fatigue, and each day has a form. All figures are made up.
 *
 * @param answers whether the body answers; if not, its times are those of a fresh one that tires by plan alone
 * @param formSd day-to-day form, as a share of all times
 */
record ReserveBody(
        Map<String, Double> speed,
        double drain,
        double capacityS,
        double recoveryS,
        double slowing,
        double localSlowing,
        double wayS,
        double restS,
        Map<String, Integer> planned,
        Map<String, Integer> unbroken,
        double faultRate,
        double drinkS,
        boolean answers,
        double formSd) {
    private static final double LOCAL_RECOVERY_S = 25;
    private static final double TIRING = 0.25;

    static ReserveBody random(SplittableRandom random, List<String> movements, boolean answers, double formSd) {
        Map<String, Double> speed = new HashMap<>();
        Map<String, Integer> planned = new HashMap<>();
        Map<String, Integer> unbroken = new HashMap<>();
        for (String movement : movements) {
            speed.put(movement, between(random, 0.95, 1.35));
            unbroken.put(movement, 18 + random.nextInt(16));
            if (random.nextInt(3) > 0) {
                planned.put(movement, 3 + random.nextInt(8));
            }
        }
        return new ReserveBody(
                speed,
                between(random, 1.05, 1.25),
                between(random, 120, 220),
                between(random, 200, 400),
                between(random, 0.18, 0.34),
                between(random, 0.02, 0.08),
                between(random, 2.5, 6),
                between(random, 4, 9),
                planned,
                unbroken,
                between(random, 0, 0.02),
                random.nextInt(3) == 0 ? between(random, 8, 20) : 0,
                answers,
                formSd);
    }

    private static double between(SplittableRandom random, double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    /** An attempt as it truly went. */
    record Went(List<Mark> truth, long clockMs) {}

    /** What is asked of it: the changes, as they act on the pieces of an attempt it has made. */
    record Asked(Map<String, List<TimeSlice>> slices, Function<TimeSlice, Effect> effect, Map<String, SetScheme> sets) {
        static final Asked NOTHING = new Asked(Map.of(), slice -> Effect.NONE, Map.of());

        static Asked of(Replay replay, List<Change> changes) {
            Map<String, List<TimeSlice>> slices = new HashMap<>();
            for (TimeSlice slice : replay.slices()) {
                slices.computeIfAbsent(key(slice.segment(), slice.kind()), key -> new ArrayList<>())
                        .add(slice);
            }
            Map<String, SetScheme> sets = new HashMap<>();
            List<Function<TimeSlice, Effect>> effects = new ArrayList<>();
            for (Change change : changes) {
                effects.add(change.on(replay));
                if (change instanceof ChangeSets other) {
                    sets.put(other.movement(), other.sets());
                }
            }
            return new Asked(
                    slices,
                    slice -> effects.stream().map(one -> one.apply(slice)).reduce(Effect.NONE, Effect::and),
                    sets);
        }

        private static String key(Segment segment, TimeSlice.Kind kind) {
            return segment.index() + " " + kind;
        }

        private TimeSlice like(Segment segment, TimeSlice.Kind kind, int set) {
            List<TimeSlice> all = slices.getOrDefault(key(segment, kind), List.of());
            return all.stream()
                    .filter(slice -> slice.set() == set)
                    .findFirst()
                    .orElse(all.isEmpty() ? null : all.getLast());
        }

        double pause(Segment segment, TimeSlice.Kind kind, int set, double ms) {
            TimeSlice slice = like(segment, kind, set);
            return slice == null ? ms : effect.apply(slice).onCore(ms);
        }

        /** Of so much of the segment's amount. */
        double work(Segment segment, int set, double ms, double amount) {
            TimeSlice slice = like(segment, TimeSlice.Kind.WORK, set);
            if (slice == null || effect.apply(slice) == Effect.NONE) {
                return ms;
            }
            double share = amount / slice.amount();
            return effect.apply(slice).onCore(ms / share) * share;
        }

        boolean faultless(Segment segment, int set) {
            TimeSlice slice = like(segment, TimeSlice.Kind.WORK, set);
            return slice != null && effect.apply(slice).dropsFaults();
        }
    }

    Went go(ExpandedWorkout expanded, Asked asked, long seed) {
        return new Run(this, expanded, asked, seed).run();
    }

    private static final class Run {
        private final ReserveBody body;
        private final ExpandedWorkout expanded;
        private final Asked asked;
        private final long seed;
        private final double form;
        private final List<Mark> truth = new ArrayList<>();
        private final Map<String, Double> local = new HashMap<>();
        private double reserve = 1;
        private double clock;
        private Segment segment;

        Run(ReserveBody body, ExpandedWorkout expanded, Asked asked, long seed) {
            this.body = body;
            this.expanded = expanded;
            this.asked = asked;
            this.seed = seed;
            this.form = 1 + body.formSd() * new SplittableRandom(seed).nextGaussian();
            this.segment = expanded.segment(0);
        }

        /** Luck of its own for every place, so that what happens at one does not shift that of the others. */
        private SplittableRandom luck(int place) {
            return new SplittableRandom(seed * 7_368_787 + segment.index() * 100_003L + place).split();
        }

        private double lognormal(int place, double sd) {
            return Math.exp(sd * luck(place).nextGaussian() - sd * sd / 2);
        }

        private double empty() {
            return body.answers() ? 1 - reserve : TIRING * Math.min(1, segment.index() / 20.0);
        }

        Went run() {
            for (int i = 0; expanded.has(i); i++) {
                segment = expanded.segment(i);
                double opens = expanded.startsAtMs(i).orElse(0);
                if (opens > clock) {
                    pause(opens - clock);
                }
                way(expanded.startsAtMs(i).isPresent());
                see(MarkKind.BEGIN);
                work();
                long buzzer = expanded.buzzerMs(i).orElse(Long.MAX_VALUE);
                if (clock > buzzer) {
                    List<Mark> all = new ArrayList<>(
                            truth.stream().filter(mark -> mark.atMs() <= buzzer).toList());
                    all.add(Mark.of(MarkKind.STOP, buzzer));
                    return new Went(all, buzzer);
                }
            }
            return new Went(truth, Math.round(clock));
        }

        private void way(boolean opens) {
            if (segment.index() == 0 || opens) {
                pause(400);
                return;
            }
            double way = 1000 * body.wayS() * (1 + 0.5 * empty()) * form * lognormal(1, 0.25);
            way += segment.index() % 7 == 4 ? 1000 * body.drinkS() : 0;
            pause(Math.max(300, asked.pause(segment, TimeSlice.Kind.TRANSITION, 0, way)));
        }

        private double fresh() {
            double heavy = Comparability.kilograms(segment) / 60;
            double load = segment.mass().isPresent() ? 1 + 0.35 * heavy * heavy : 1;
            return 1000
                    * body.speed().getOrDefault(segment.movement().name(), 1.1)
                    * segment.movement().fast()
                    * load;
        }

        private double slowed() {
            double tired = local.getOrDefault(segment.movement().name(), 0.0);
            return (1 + body.slowing() * empty() + (body.answers() ? body.localSlowing() * tired : 0)) * form;
        }

        private void work() {
            boolean counted = segment.tappable() && segment.movement().modality() != Modality.CYCLIC;
            if (!counted) {
                double units = segment.units() / Math.max(1, Math.round(segment.units() / 5));
                long chunks = Math.round(segment.units() / units);
                double day = lognormal(2, 0.008);
                for (int i = 0; i < chunks; i++) {
                    rep(1, units, fresh() * units * slowed() * day, fresh() * units);
                }
                see(MarkKind.DONE);
                return;
            }
            String name = segment.movement().name();
            List<Integer> scheme =
                    asked.sets().containsKey(name) ? asked.sets().get(name).sets(segment.steps()) : List.of();
            int set = 1;
            int inSet = 0;
            for (int rep = 1; rep <= segment.steps(); rep++) {
                if (inSet > 0 && breaks(name, scheme, set, inSet, rep)) {
                    rest(set);
                    set++;
                    inSet = 0;
                }
                double takes = fresh() * slowed() * lognormal(100 + rep, 0.05);
                boolean fails = luck(10_000 + rep).nextDouble() < body.faultRate();
                if (fails && !asked.faultless(segment, set)) {
                    rep(set, 1, takes * 0.9, fresh() * 0.9);
                    see(MarkKind.NO_REP);
                }
                rep(set, 1, takes, fresh());
                see(MarkKind.REP);
                inSet++;
            }
        }

        private boolean breaks(String name, List<Integer> scheme, int set, int inSet, int rep) {
            if (!scheme.isEmpty()) {
                return set <= scheme.size() && inSet >= scheme.get(set - 1);
            }
            int planned = body.planned().getOrDefault(name, Integer.MAX_VALUE);
            int most = body.unbroken().getOrDefault(name, Integer.MAX_VALUE);
            boolean spent = body.answers()
                    ? local.getOrDefault(name, 0.0) >= 1
                    : inSet >= most - luck(20_000 + rep).nextInt(2);
            return inSet >= planned || spent;
        }

        private void rest(int set) {
            clock += 200;
            see(MarkKind.OFF);
            double rest = 1000 * body.restS() * (1 + 0.6 * empty()) * form * lognormal(30_000 + set, 0.2);
            pause(Math.max(500, asked.pause(segment, TimeSlice.Kind.REST, set, rest)));
            see(MarkKind.ON);
        }

        private void rep(int set, double amount, double takes, double fresh) {
            double ms = Math.max(0.3 * fresh, asked.work(segment, set, takes, amount));
            clock += ms;
            reserve = Math.clamp(reserve - (body.drain() * fresh - ms / form) / 1000 / body.capacityS(), 0, 1);
            int most = body.unbroken().getOrDefault(segment.movement().name(), Integer.MAX_VALUE);
            // What is not worked recovers meanwhile; faster than its own pace tires more.
            local.replaceAll(
                    (movement, tired) -> movement.equals(segment.movement().name())
                            ? tired
                            : tired * Math.exp(-ms / 1000 / form / LOCAL_RECOVERY_S));
            local.merge(segment.movement().name(), takes * amount / ms / most, Double::sum);
        }

        private void pause(double ms) {
            clock += ms;
            double seconds = ms / 1000 / form;
            reserve += (1 - reserve) * (1 - Math.exp(-seconds / body.recoveryS()));
            local.replaceAll((movement, tired) -> tired * Math.exp(-seconds / LOCAL_RECOVERY_S));
        }

        private void see(MarkKind kind) {
            truth.add(Mark.of(kind, Math.round(clock)));
        }
    }
}
