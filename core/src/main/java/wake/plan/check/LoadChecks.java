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
import wake.log.PaceFormat;
import wake.movement.AirErg;
import wake.movement.Loads;
import wake.plan.LoadProfile;
import wake.plan.Plan.LinePacing;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ErgPower;
import wake.units.Messages;
import wake.units.Unit;
import wake.workout.Segment;

/** What the body has to bear: neighbours that load the same, heavy bars, ergs above the pace that holds. */
final class LoadChecks {
    private static final Set<Loads> LOCAL = EnumSet.of(Loads.GRIP, Loads.PUSH);

    private LoadChecks() {}

    static List<PlanCheck> neighbours(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : context.firstOfEachLine()) {
            Optional<PlannedSegment> after = context.after(planned)
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
                        Messages.of(
                                "%s and %s both tax the %s: expect slower reps and earlier breaks in the second",
                                context.name(planned),
                                context.name(after.get()),
                                load == Loads.PUSH ? "press" : load.name().toLowerCase(Locale.ROOT))));
            }
        }
        return checks;
    }

    /** Every bar from a share of the max on, line by line; quiet where time is allowed for a miss at the heaviest. */
    static List<PlanCheck> misses(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (LinePacing line : context.plan().lines()) {
            List<Segment> heavy = heavy(context, line.lineIndex());
            if (heavy.isEmpty() || line.in(heavy.getLast().lap().number()).missesMs() > 0) {
                continue;
            }
            LinePacing allowed = line;
            for (Segment segment : heavy) {
                int round = segment.lap().number();
                allowed = segment.inRounds()
                        ? allowed.withRound(round, allowed.in(round).withMisses(LoadProfile.MISS_MS))
                        : allowed.withEvery(allowed.every().withMisses(LoadProfile.MISS_MS));
            }
            checks.add(PlanCheck.of(Kind.NO_TIME_FOR_MISSES, line.lineIndex(), heavyWords(context, heavy))
                    .mendedBy(
                            heavy.size() == 1 ? "allow 15 s for a failed rep" : "allow 15 s for a failed rep at each",
                            context.plan().withLine(allowed)));
        }
        return checks;
    }

    /** Bars that the athlete has never lifted, each one: no pace makes up for them. */
    static List<PlanCheck> aboveMax(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (LinePacing line : context.plan().lines()) {
            List<Segment> above = heavy(context, line.lineIndex()).stream()
                    .filter(segment -> share(context, segment) > 1)
                    .toList();
            if (!above.isEmpty()) {
                String bars = above.stream()
                        .map(segment ->
                                Messages.of("%s, %d%%", segment.label(), Math.round(100 * share(context, segment))))
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

    private static String heavyWords(CheckContext context, List<Segment> heavy) {
        String bars = heavy.stream()
                .map(segment -> Messages.of("%s is %d%%", segment.label(), Math.round(100 * share(context, segment))))
                .collect(Collectors.joining(", "));
        return bars + " of max, with no time planned for a failed rep";
    }

    /** The bars of a line from that share of the max on, each load once, the heaviest last. */
    private static List<Segment> heavy(CheckContext context, int lineIndex) {
        Map<Double, Segment> byLoad = new TreeMap<>();
        context.expanded().segments().stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .filter(segment -> share(context, segment) >= LoadProfile.HEAVY)
                .forEach(segment -> byLoad.putIfAbsent(share(context, segment), segment));
        return List.copyOf(byLoad.values());
    }

    private static double share(CheckContext context, Segment segment) {
        return context.figures().share(segment).orElse(0);
    }

    /** An erg planned faster than the pace that held over a test. */
    static List<PlanCheck> ergs(CheckContext context) {
        List<PlanCheck> checks = new ArrayList<>();
        for (PlannedSegment planned : context.firstOfEachLine()) {
            Optional<ErgTest> test = context.figures().test(planned.segment().movement());
            Optional<Double> planned500 = test.flatMap(known -> secondsPerMetre(planned));
            if (planned500.isEmpty()) {
                continue;
            }
            double faster = 500 * (test.orElseThrow().secondsPerMetre() - planned500.get());
            if (faster < 0.05) {
                continue;
            }
            LinePacing line = context.plan().line(planned.segment().lineIndex());
            double held = line.every().secondsPerUnit() * test.orElseThrow().secondsPerMetre() / planned500.get();
            checks.add(PlanCheck.of(
                            Kind.ERG_TOO_FAST,
                            line.lineIndex(),
                            fasterThanHeld(test.orElseThrow(), planned500.get(), faster))
                    .mendedBy(
                            "the pace that held",
                            context.plan()
                                    .withLine(line.withEvery(line.every()
                                            .withCadence(caloriesAside(planned, held, test.orElseThrow()))))));
        }
        return checks;
    }

    /** Power rises with the cube of the speed on air-resistance machines only. */
    private static String fasterThanHeld(ErgTest test, double plannedSecondsPerMetre, double secondsPer500m) {
        String words = PaceFormat.perDistance(test.movement(), plannedSecondsPerMetre) + " is faster than the "
                + PaceFormat.perDistance(test.movement(), test.secondsPerMetre()) + " of the athlete's test";
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
