package wake.plan.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wake.athlete.ErgTest;
import wake.log.PaceWords;
import wake.movement.AirErg;
import wake.movement.Loads;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ErgPower;
import wake.units.Quantity;
import wake.units.Say;
import wake.units.Unit;
import wake.workout.Segment;

/** What the body has to bear: neighbours that load the same, heavy bars, ergs above the pace that holds. */
final class LoadChecks {
    private static final Set<Loads> LOCAL = EnumSet.of(Loads.GRIP, Loads.PUSH);
    /** From this share of a max on, a miss is to be expected. */
    private static final double HEAVY = 0.85;
    /** What one missed lift costs with the stare after it. */
    private static final long MISS_MS = 15_000;

    private LoadChecks() {}

    static List<PlanCheck> neighbours(Desk desk) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : desk.firstOfEachLine()) {
            Optional<PlannedSegment> after = desk.after(planned)
                    .filter(next ->
                            next.segment().lineIndex() != planned.segment().lineIndex());
            if (after.isEmpty()) {
                continue;
            }
            Set<Loads> shared = EnumSet.copyOf(LOCAL);
            shared.retainAll(planned.segment().movement().loads());
            shared.retainAll(after.get().segment().movement().loads());
            for (Loads load : shared) {
                checks.add(PlanCheck.of(
                        Kind.NEIGHBOURS_LOAD_THE_SAME,
                        after.get().segment().lineIndex(),
                        Say.of(
                                "%s and %s both load the %s; the second will break earlier than it does fresh",
                                desk.name(planned),
                                desk.name(after.get()),
                                load == Loads.PUSH ? "press" : load.name().toLowerCase(Locale.ROOT))));
            }
        }
        return checks;
    }

    static List<PlanCheck> misses(Desk desk) {
        List<PlanCheck> checks = new ArrayList<>();
        for (LinePacing line : desk.plan().lines()) {
            Optional<Segment> heaviest = heaviest(desk, line.lineIndex());
            if (heaviest.isEmpty() || line.in(heaviest.get().lap().number()).missesMs() > 0) {
                continue;
            }
            Quantity load = heaviest.get().mass().orElseThrow();
            Quantity max = desk.figures().max(heaviest.get().movement()).orElseThrow();
            double share = load.in(Unit.KILOGRAM) / max.in(Unit.KILOGRAM);
            if (share < HEAVY) {
                continue;
            }
            int round = heaviest.get().lap().number();
            LinePacing allowed = heaviest.get().inRounds()
                    ? line.withRound(round, line.in(round).withMisses(MISS_MS))
                    : line.withEvery(line.every().withMisses(MISS_MS));
            checks.add(PlanCheck.of(
                            Kind.NO_TIME_FOR_MISSES,
                            line.lineIndex(),
                            Say.of(
                                    "%s is %d %% of the max, and no time is allowed for a miss",
                                    heaviest.get().label(), Math.round(100 * share)))
                    .mendedBy("allow one miss, 15 s", desk.plan().withLine(allowed)));
        }
        return checks;
    }

    private static Optional<Segment> heaviest(Desk desk, int lineIndex) {
        return desk.course().segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .filter(segment -> segment.mass().isPresent()
                        && desk.figures().max(segment.movement()).isPresent())
                .max(Comparator.comparingDouble(
                        segment -> segment.mass().orElseThrow().in(Unit.KILOGRAM)));
    }

    /** An erg planned faster than the pace that held over a test. */
    static List<PlanCheck> ergs(Desk desk) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : desk.firstOfEachLine()) {
            Optional<ErgTest> test = desk.figures().test(planned.segment().movement());
            Optional<Double> planned500 = test.flatMap(known -> secondsPerMetre(planned));
            if (planned500.isEmpty()) {
                continue;
            }
            double faster = 500 * (test.orElseThrow().secondsPerMetre() - planned500.get());
            if (faster < 0.05) {
                continue;
            }
            LinePacing line = desk.plan().line(planned.segment().lineIndex());
            double held = line.every().secondsPerUnit() * test.orElseThrow().secondsPerMetre() / planned500.get();
            checks.add(PlanCheck.of(
                            Kind.ERG_TOO_FAST,
                            line.lineIndex(),
                            fasterThanHeld(test.orElseThrow(), planned500.get(), faster))
                    .mendedBy(
                            "the pace that held",
                            desk.plan()
                                    .withLine(line.withEvery(line.every()
                                            .withCadence(caloriesAside(planned, held, test.orElseThrow()))))));
        }
        return checks;
    }

    /** Power rises with the cube of the speed on air-resistance machines only. */
    private static String fasterThanHeld(ErgTest test, double plannedSecondsPerMetre, double secondsPer500m) {
        String words = PaceWords.perDistance(test.movement(), plannedSecondsPerMetre) + " is faster than the "
                + PaceWords.perDistance(test.movement(), test.secondsPerMetre()) + " that held in the test";
        return AirErg.is(test.movement())
                ? words + String.format(Locale.ROOT, ": %.0f %% more power", test.pricePercent(secondsPer500m))
                : words;
    }

    /** A planned erg pace over distance; empty where it has none. */
    private static Optional<Double> secondsPerMetre(PlannedSegment planned) {
        Segment segment = planned.segment();
        double perUnit = planned.workMs() / 1000.0 / segment.units();
        return switch (segment.amount().unit().dimension()) {
            case LENGTH -> Optional.of(perUnit / segment.amount().unit().to(Unit.METRE, 1));
            case ENERGY ->
                AirErg.is(segment.movement())
                        ? ErgPower.ofSecondsPerCalorie(perUnit).map(ErgPower::secondsPerMetre)
                        : Optional.empty();
            case COUNT, TIME, MASS -> Optional.empty();
        };
    }

    /** Calories do not go with pace in proportion, so they are converted on their own. */
    private static double caloriesAside(PlannedSegment planned, double held, ErgTest test) {
        return planned.segment().amount().unit() == Unit.CALORIE
                ? ErgPower.ofSecondsPerMetre(test.secondsPerMetre()).secondsPerCalorie()
                : held;
    }
}
