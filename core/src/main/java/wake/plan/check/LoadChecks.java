package wake.plan.check;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wake.athlete.ErgTest;
import wake.log.PaceWords;
import wake.movement.AirErg;
import wake.movement.Loads;
import wake.plan.Handling;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ErgPower;
import wake.units.Say;
import wake.units.Unit;
import wake.workout.Segment;

/** What the body has to bear: neighbours that load the same, heavy bars, ergs above the pace that holds. */
final class LoadChecks {
    private static final Set<Loads> LOCAL = EnumSet.of(Loads.GRIP, Loads.PUSH);

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
                                "%s and %s both tax the %s: expect slower reps and earlier breaks in the second",
                                desk.name(planned),
                                desk.name(after.get()),
                                load == Loads.PUSH ? "press" : load.name().toLowerCase(Locale.ROOT))));
            }
        }
        return checks;
    }

    /** Every bar from a share of the max on, line by line; quiet where time is allowed for a miss at the heaviest. */
    static List<PlanCheck> misses(Desk desk) {
        List<PlanCheck> checks = new ArrayList<>();
        for (LinePacing line : desk.plan().lines()) {
            List<Segment> heavy = heavy(desk, line.lineIndex());
            if (heavy.isEmpty() || line.in(heavy.getLast().lap().number()).missesMs() > 0) {
                continue;
            }
            LinePacing allowed = line;
            for (Segment segment : heavy) {
                int round = segment.lap().number();
                allowed = segment.inRounds()
                        ? allowed.withRound(round, allowed.in(round).withMisses(Handling.MISS_MS))
                        : allowed.withEvery(allowed.every().withMisses(Handling.MISS_MS));
            }
            checks.add(PlanCheck.of(Kind.NO_TIME_FOR_MISSES, line.lineIndex(), heavyWords(desk, heavy))
                    .mendedBy(
                            heavy.size() == 1 ? "allow 15 s for a failed rep" : "allow 15 s for a failed rep at each",
                            desk.plan().withLine(allowed)));
        }
        return checks;
    }

    /** Bars that the athlete has never lifted, each one: no pace makes up for them. */
    static List<PlanCheck> aboveMax(Desk desk) {
        List<PlanCheck> checks = new ArrayList<>();
        for (LinePacing line : desk.plan().lines()) {
            List<Segment> above = heavy(desk, line.lineIndex()).stream()
                    .filter(segment -> share(desk, segment) > 1)
                    .toList();
            if (!above.isEmpty()) {
                String bars = above.stream()
                        .map(segment -> Say.of("%s, %d%%", segment.label(), Math.round(100 * share(desk, segment))))
                        .collect(Collectors.joining("; "));
                checks.add(
                        PlanCheck.of(
                                Kind.ABOVE_THE_MAX,
                                line.lineIndex(),
                                "Above max: " + bars
                                        + ". Lighten it if allowed. If not, plan to score what comes"
                                        + " before it. Never try a max alone and tired: use a bar that can be bailed, with a spotter"));
            }
        }
        return checks;
    }

    private static String heavyWords(Desk desk, List<Segment> heavy) {
        String bars = heavy.stream()
                .map(segment -> Say.of("%s is %d%%", segment.label(), Math.round(100 * share(desk, segment))))
                .collect(Collectors.joining(", "));
        return bars + " of max, with no time planned for a failed rep";
    }

    /** The bars of a line from that share of the max on, each load once, the heaviest last. */
    private static List<Segment> heavy(Desk desk, int lineIndex) {
        Map<Double, Segment> byLoad = new TreeMap<>();
        desk.course().segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .filter(segment -> share(desk, segment) >= Handling.HEAVY)
                .forEach(segment -> byLoad.putIfAbsent(share(desk, segment), segment));
        return List.copyOf(byLoad.values());
    }

    private static double share(Desk desk, Segment segment) {
        return desk.figures().share(segment).orElse(0);
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
                + PaceWords.perDistance(test.movement(), test.secondsPerMetre()) + " of the athlete's test";
        return AirErg.is(test.movement())
                ? words + String.format(Locale.ROOT, ": %.0f%% more power", test.pricePercent(secondsPer500m))
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
            case COUNT, TIME, MASS, SHARE -> Optional.empty();
        };
    }

    /** Calories do not go with pace in proportion, so they are converted on their own. */
    private static double caloriesAside(PlannedSegment planned, double held, ErgTest test) {
        return planned.segment().amount().unit() == Unit.CALORIE
                ? ErgPower.ofSecondsPerMetre(test.secondsPerMetre()).secondsPerCalorie()
                : held;
    }
}
