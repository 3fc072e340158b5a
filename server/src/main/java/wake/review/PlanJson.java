package wake.review;

import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import wake.log.Lift;
import wake.plan.Fallback;
import wake.plan.Finish;
import wake.plan.Goal;
import wake.plan.PaceSteps;
import wake.plan.PaceStepsReader;
import wake.plan.PaceUnit;
import wake.plan.PacedWork;
import wake.plan.Pacing;
import wake.plan.PacingStrategy;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.Rests;
import wake.plan.SetScheme;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.review.Documents.KeptPlan;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;
import wake.workout.Segment;

/**
 * A plan as the JSON document it is kept and sent as.
 *
 * @param lines pacing per movement line
 * @param strategy how the start is spent; even when it is not said
 * @param roundEvery when rounds start on a mark: how far apart, as "1:10"
 * @param finish the pushes designed for the end of the clock, as "5:00 2 %, 3:00 4 %"
 * @param fallback what to do when a movement fails
 * @param ignored checks set aside, by key, with the note why
 * @param goal the score the coach last planned for, as they wrote it
 * @param lift of a lift window, its lifts
 */
public record PlanJson(
        @NotNull List<LineJson> lines,
        @Nullable PacingStrategy school,
        @Nullable String roundEvery,
        @Nullable String finish,
        @Nullable FallbackJson fallback,
        @Nullable Map<String, String> ignored,
        @Nullable String goal,
        @Nullable LiftJson lift) {

    /**
     * How a movement line is paced; sets as coaches write them.
     *
     * @param restMs the rest between sets; the last of them where they differ
     * @param rests when given, the rests in words that stand instead: "5-20-8", in seconds
     * @param longerRest one break that is longer than the others, as it was written before rests could be said in order; never sent
     * @param pickUpMs what it takes to bring the load up for a set
     * @param effort the stretches of a piece whose pace changes inside it; {@code secondsPerUnit} is their mean
     * @param pace when given, a pace in words that stands instead of {@code secondsPerUnit} and {@code effort}: "2:05/500m"
     * @param paceIn what the pace was said in; null where nobody has said
     */
    public record PacingJson(
            long transitionMs,
            String sets,
            double secondsPerUnit,
            @Nullable List<EffortJson> effort,
            long restMs,
            @Nullable String rests,
            @Nullable LongerRestJson longerRest,
            @Nullable Long pickUpMs,
            @Nullable Long missesMs,
            @Nullable String pace,
            @Nullable PaceUnit paceIn) {
        static PacingJson of(Pacing pacing) {
            return new PacingJson(
                    pacing.transitionMs(),
                    pacing.sets().written(),
                    pacing.secondsPerUnit(),
                    pacing.effort().steps().isEmpty()
                            ? null
                            : pacing.effort().steps().stream()
                                    .map(step -> new EffortJson(step.from(), step.secondsPerUnit()))
                                    .toList(),
                    pacing.rests().usualMs(),
                    pacing.rests().written(),
                    null,
                    pacing.pickUpMs(),
                    pacing.missesMs(),
                    null,
                    pacing.paceIn() == PaceUnit.USUAL ? null : pacing.paceIn());
        }

        /**
         * The pacing it says for some work.
         *
         * @throws InvalidInput when a figure is impossible
         */
        Pacing pacing(PacedWork work) {
            PaceUnit said = paceIn == null ? PaceUnit.USUAL : paceIn;
            Pacing even = new Pacing(
                    transitionMs,
                    SetScheme.parse(sets),
                    secondsPerUnit,
                    changing(),
                    inOrder(),
                    pickUpMs == null ? 0 : pickUpMs,
                    missesMs == null ? 0 : missesMs,
                    said);
            return pace == null ? even : even.withPace(PaceStepsReader.read(pace, work, said));
        }

        Pacing in(ExpandedWorkout expanded, Segment segment) {
            return pacing(PacedWork.of(expanded, segment));
        }

        private PaceSteps changing() {
            return effort == null
                    ? PaceSteps.EVEN
                    : new PaceSteps(effort.stream()
                            .map(step -> new PaceSteps.Step(step.from(), step.secondsPerUnit()))
                            .toList());
        }

        private Rests inOrder() {
            if (rests != null) {
                return Rests.parse(rests);
            }
            return longerRest == null ? Rests.of(restMs) : Rests.of(restMs, longerRest.afterSet(), longerRest.ms());
        }
    }

    /** A stretch of a piece: from where on, and its pace. */
    public record EffortJson(double from, double secondsPerUnit) {}

    /** The one break that is longer than the others. */
    public record LongerRestJson(int afterSet, long ms) {}

    /** One movement line's pacing, with the rounds that differ. */
    public record LineJson(
            int lineIndex,
            PacingJson every,
            Map<Integer, PacingJson> rounds,
            @Nullable Boolean locked) {
        public static LineJson of(LinePacing line) {
            Map<Integer, PacingJson> rounds = new TreeMap<>();
            line.rounds().forEach((round, pacing) -> rounds.put(round, PacingJson.of(pacing)));
            return new LineJson(line.lineIndex(), PacingJson.of(line.every()), rounds, line.locked());
        }

        /** The line's pacing, for the expanded workout it belongs to. */
        public LinePacing linePacing(ExpandedWorkout expanded) {
            Segment segment = expanded.firstOf(lineIndex)
                    .orElseThrow(() -> new InvalidInput("The workout has no line " + (lineIndex + 1)));
            Pacing all = every.in(expanded, segment);
            Map<Integer, Pacing> paced = new TreeMap<>();
            rounds.forEach((round, pacing) -> paced.put(
                    round, pacing.in(expanded, pacing.pace() == null ? segment : inRound(expanded, round, segment))));
            // A round that is like all others goes on being so when they change.
            paced.values().removeIf(all::equals);
            return new LinePacing(lineIndex, all, paced, Boolean.TRUE.equals(locked));
        }
    }

    /** A line as it stands in one round, where a pace may be said for all of it. */
    private static Segment inRound(ExpandedWorkout expanded, int round, Segment first) {
        return expanded.throughRound(Math.min(round, MOST_ROUNDS_SAID)).stream()
                .filter(segment -> segment.lineIndex() == first.lineIndex()
                        && segment.lap().number() == round)
                .findFirst()
                .orElse(first);
    }

    /** Rounds of an open part that are looked through for one. */
    private static final int MOST_ROUNDS_SAID = 100;

    /**
     * What to do when movements fail.
     *
     * @param also a second one that may fail at once
     */
    public record FallbackJson(
            int lineIndex,
            int fromRound,
            String portions,
            long wayBackMs,
            @Nullable FailingJson also) {
        static FallbackJson of(Fallback fallback) {
            Fallback.Failing first = fallback.failing().getFirst();
            return new FallbackJson(
                    first.lineIndex(),
                    fallback.fromRound(),
                    first.portions().written(),
                    first.wayBackMs(),
                    fallback.failing().stream()
                            .skip(1)
                            .map(FailingJson::of)
                            .findFirst()
                            .orElse(null));
        }

        Fallback fallback() {
            List<Fallback.Failing> failing = new ArrayList<>();
            failing.add(new FailingJson(lineIndex, portions, wayBackMs).failing());
            if (also != null) {
                failing.add(also.failing());
            }
            return new Fallback(fromRound, failing);
        }
    }

    /** A movement that may fail beside the first. */
    public record FailingJson(int lineIndex, String portions, long wayBackMs) {
        static FailingJson of(Fallback.Failing failing) {
            return new FailingJson(failing.lineIndex(), failing.portions().written(), failing.wayBackMs());
        }

        Fallback.Failing failing() {
            return new Fallback.Failing(lineIndex, SetScheme.parse(portions), wayBackMs);
        }
    }

    /**
     * The lifts of a window.
     *
     * @param max what percentages are of
     * @param complexMs how long the complex takes
     * @param bar the bar, collars included
     * @param plates plates with their pairs, as in "20x2 10x1"
     */
    public record LiftJson(String max, long complexMs, List<LiftAttemptJson> lifts, String bar, String plates) {
        public static LiftJson of(LiftPlan lift) {
            return new LiftJson(
                    lift.max().toString(),
                    lift.complexMs(),
                    lift.lifts().stream()
                            .map(one -> LiftAttemptJson.of(one, lift.complexMs()))
                            .toList(),
                    lift.rack().bar().toString(),
                    lift.rack().written());
        }

        /**
         * The lift plan it says, if it is one for a lift window.
         *
         * @throws InvalidInput naming what does not fit
         */
        public LiftPlan checked(ExpandedWorkout expanded) {
            return liftPlan().checkedFor(window(expanded));
        }

        /**
         * The lift plan it says.
         *
         * @throws InvalidInput naming the lift that does not fit
         */
        public LiftPlan liftPlan() {
            PlateRack rack = rack(bar, plates);
            List<LiftPlan.Attempt> attempts = new ArrayList<>();
            for (int i = 0; i < lifts.size(); i++) {
                try {
                    attempts.add(lifts.get(i).attempt(complexMs, rack.bar().unit()));
                } catch (InvalidInput unfit) {
                    throw new InvalidInput("Lift " + (i + 1) + ": " + unfit.getMessage(), unfit);
                }
            }
            return new LiftPlan(load(max, rack.bar().unit()), complexMs, attempts, rack);
        }
    }

    /**
     * One lift: a share of the max, or a load.
     *
     * @param percent of the max; absent where there is a load
     * @param load as written; a number alone is in the unit of the bar
     * @param lengthMs how long it takes; absent for what the complex takes, or for what is usual for its own pieces
     * @param pieces what is lifted, as in "1 clean"; absent for the complex
     */
    public record LiftAttemptJson(
            LiftPlan.Role role,
            @Nullable Double percent,
            long startMs,
            @Nullable String load,
            @Nullable Long lengthMs,
            @Nullable String pieces) {
        static LiftAttemptJson of(LiftPlan.Attempt one, long complexMs) {
            return new LiftAttemptJson(
                    one.role(),
                    one.want() instanceof Want.OfMax share ? share.percent() : null,
                    one.startMs(),
                    one.want() instanceof Want.Load exactly ? exactly.load().toString() : null,
                    one.lengthMs() == usualMs(one.pieces(), complexMs) ? null : one.lengthMs(),
                    one.pieces().isEmpty() ? null : LiftPiece.written(one.pieces()));
        }

        LiftPlan.Attempt attempt(long complexMs, Unit bar) {
            List<LiftPiece> lifted = pieces == null || pieces.isBlank()
                    ? List.of()
                    : Lift.pieces(pieces)
                            .orElseThrow(() -> new InvalidInput(
                                    "write what is lifted with its reps, like \"1 clean\", not \"" + pieces + "\""));
            return new LiftPlan.Attempt(
                    role, want(bar), startMs, lengthMs == null ? usualMs(lifted, complexMs) : lengthMs, lifted);
        }

        private Want want(Unit bar) {
            if (load != null && !load.isBlank()) {
                return new Want.Load(PlanJson.load(load, bar));
            }
            if (percent == null) {
                throw new InvalidInput("write a % of max or a load");
            }
            return new Want.OfMax(percent);
        }

        private static long usualMs(List<LiftPiece> pieces, long complexMs) {
            return pieces.isEmpty() ? complexMs : UsualTimetable.usualMs(LiftPiece.repsOf(pieces));
        }
    }

    /** Reads a load as coaches write it; a number alone is kilograms. */
    public static Quantity load(String written) {
        return load(written, Unit.KILOGRAM);
    }

    /** Reads a load; a number alone is in this unit. */
    public static Quantity load(String written, Unit unit) {
        return Lift.load(written)
                .or(() -> Lift.load(written.strip() + " " + unit.symbol()))
                .filter(load -> load.value().compareTo(BigDecimal.ZERO) > 0)
                .orElseThrow(
                        () -> new InvalidInput("Write a load like \"85 kg\" or \"187.5 lb\", not \"" + written + "\""));
    }

    /** Bar and plates as the coach wrote them. */
    public static PlateRack rack(String bar, String plates) {
        return new PlateRack(load(bar), PlateRack.rack(plates));
    }

    public static PlanJson of(Plan plan, @Nullable String goal, Optional<LiftPlan> lift) {
        return new PlanJson(
                plan.lines().stream().map(LineJson::of).toList(),
                plan.strategy(),
                plan.roundEveryMs().isPresent()
                        ? ClockTime.of(plan.roundEveryMs().getAsLong()).toSeconds()
                        : null,
                plan.finish().isNone() ? null : plan.finish().written(),
                plan.fallback().map(FallbackJson::of).orElse(null),
                plan.ignored(),
                goal,
                lift.map(LiftJson::of).orElse(null));
    }

    /**
     * The plan it says for a expanded workout.
     *
     * @throws InvalidInput naming what does not fit
     */
    public Plan plan(ExpandedWorkout expanded) {
        return new Plan(
                        lines.stream().map(line -> line.linePacing(expanded)).toList(),
                        school == null ? PacingStrategy.EVEN : school,
                        roundEveryMs(),
                        Finish.NONE,
                        Optional.ofNullable(fallback).map(FallbackJson::fallback),
                        ignored == null ? Map.of() : ignored)
                .withFinish(finish == null ? Finish.NONE : Finish.parse(finish));
    }

    /** Reads a part of a document; what does not fit is refused by the field. */
    public interface Reading {
        <T> T of(String field, Supplier<T> part);
    }

    /**
     * All it says for a expanded workout, each part held to what may be kept.
     *
     * @param reading reads each part, and says of which field it is
     * @throws InvalidInput naming what does not fit
     */
    public KeptPlan checked(ExpandedWorkout expanded, Reading reading) {
        for (LineJson line : lines) {
            reading.of("lines/" + line.lineIndex(), () -> line.linePacing(expanded));
        }
        Plan plan = reading.of("plan", () -> plan(expanded).meantFor(expanded));
        Optional<LiftPlan> lifts =
                Optional.ofNullable(lift).map(written -> reading.of("lift", () -> written.checked(expanded)));
        if (goal != null) {
            reading.of("goal", () -> Goal.parse(goal, expanded, plan));
        }
        return new KeptPlan(plan, goal, lifts);
    }

    private static Format.Lift window(ExpandedWorkout expanded) {
        if (expanded.format() instanceof Format.Lift window) {
            return window;
        }
        throw new InvalidInput("This part is not a max-lift window");
    }

    private OptionalLong roundEveryMs() {
        String plain = roundEvery == null
                ? ""
                : roundEvery.replaceFirst("(?i)every", "").strip();
        return plain.isEmpty()
                ? OptionalLong.empty()
                : OptionalLong.of(ClockTime.parse(plain).ms());
    }
}
