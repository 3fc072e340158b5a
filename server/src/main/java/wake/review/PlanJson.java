package wake.review;

import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import wake.log.Lift;
import wake.plan.Fallback;
import wake.plan.PaceReader;
import wake.plan.Pacing;
import wake.plan.Pacing.LongerRest;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.School;
import wake.plan.SetScheme;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Course;
import wake.workout.Format.LiftPiece;
import wake.workout.Segment;

/**
 * A plan as the JSON document it is kept and sent as.
 *
 * @param lines pacing per movement line
 * @param school how the start is spent; even when it is not said
 * @param roundEvery when rounds start on a mark: how far apart, as "1:10"
 * @param fallback what to do when a movement fails
 * @param ignored checks set aside, by key, with the note why
 * @param goal the score the coach last planned for, as they wrote it
 * @param lift of a lift window, its lifts
 */
public record PlanJson(
        @NotNull List<LineJson> lines,
        @Nullable School school,
        @Nullable String roundEvery,
        @Nullable FallbackJson fallback,
        @Nullable Map<String, String> ignored,
        @Nullable String goal,
        @Nullable LiftJson lift) {

    /**
     * How a movement line is paced; sets as coaches write them.
     *
     * @param pace when given, a pace in words that stands instead of {@code secondsPerUnit}: "2:05/500m"
     */
    public record PacingJson(
            long transitionMs,
            String sets,
            double secondsPerUnit,
            long restMs,
            @Nullable LongerRestJson longerRest,
            @Nullable Long missesMs,
            @Nullable String pace) {
        static PacingJson of(Pacing pacing) {
            return new PacingJson(
                    pacing.transitionMs(),
                    pacing.sets().written(),
                    pacing.secondsPerUnit(),
                    pacing.restMs(),
                    pacing.longerRest()
                            .map(longer -> new LongerRestJson(longer.afterSet(), longer.ms()))
                            .orElse(null),
                    pacing.missesMs(),
                    null);
        }

        /**
         * The pacing it says for a movement.
         *
         * @throws IllegalArgumentException when a figure is impossible
         */
        Pacing pacing(Segment segment) {
            return new Pacing(
                    transitionMs,
                    SetScheme.parse(sets),
                    pace == null
                            ? secondsPerUnit
                            : PaceReader.secondsPerUnit(
                                    pace, segment.movement(), segment.amount().unit(), segment.units()),
                    restMs,
                    Optional.ofNullable(longerRest).map(longer -> new LongerRest(longer.afterSet(), longer.ms())),
                    missesMs == null ? 0 : missesMs);
        }
    }

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

        /** The line's pacing, for the course it belongs to. */
        public LinePacing linePacing(Course course) {
            Segment segment = course.firstOf(lineIndex)
                    .orElseThrow(() -> new IllegalArgumentException("The workout has no line " + (lineIndex + 1)));
            Map<Integer, Pacing> paced = new TreeMap<>();
            rounds.forEach((round, pacing) ->
                    paced.put(round, pacing.pacing(pacing.pace() == null ? segment : inRound(course, round, segment))));
            return new LinePacing(lineIndex, every.pacing(segment), paced, Boolean.TRUE.equals(locked));
        }
    }

    /** A line as it stands in one round, where a pace may be said for all of it. */
    private static Segment inRound(Course course, int round, Segment first) {
        return course.throughRound(Math.min(round, MOST_ROUNDS_SAID)).stream()
                .filter(segment -> segment.lineIndex() == first.lineIndex()
                        && segment.lap().number() == round)
                .findFirst()
                .orElse(first);
    }

    /** Rounds of an open part that are looked through for one. */
    private static final int MOST_ROUNDS_SAID = 100;

    /** What to do when a movement fails. */
    public record FallbackJson(int lineIndex, int fromRound, String portions, long wayBackMs) {
        static FallbackJson of(Fallback fallback) {
            return new FallbackJson(
                    fallback.lineIndex(),
                    fallback.fromRound(),
                    fallback.portions().written(),
                    fallback.wayBackMs());
        }

        Fallback fallback() {
            return new Fallback(lineIndex, fromRound, SetScheme.parse(portions), wayBackMs);
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
         * The lift plan it says.
         *
         * @throws IllegalArgumentException naming the lift that does not fit
         */
        public LiftPlan liftPlan() {
            PlateRack rack = rack(bar, plates);
            List<LiftPlan.Attempt> attempts = new ArrayList<>();
            for (int i = 0; i < lifts.size(); i++) {
                try {
                    attempts.add(lifts.get(i).attempt(complexMs, rack.bar().unit()));
                } catch (IllegalArgumentException unfit) {
                    throw new IllegalArgumentException("Lift " + (i + 1) + ": " + unfit.getMessage(), unfit);
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
                            .orElseThrow(() -> new IllegalArgumentException(
                                    "expected what is lifted with its reps, as in \"1 clean\", got \"" + pieces
                                            + "\""));
            return new LiftPlan.Attempt(
                    role, want(bar), startMs, lengthMs == null ? usualMs(lifted, complexMs) : lengthMs, lifted);
        }

        private Want want(Unit bar) {
            if (load != null && !load.isBlank()) {
                return new Want.Load(PlanJson.load(load, bar));
            }
            if (percent == null) {
                throw new IllegalArgumentException("expected a share of the max or a load");
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
                .orElseThrow(() -> new IllegalArgumentException(
                        "Expected a load as \"85 kg\" or \"187.5 lb\", got \"" + written + "\""));
    }

    /** Bar and plates as the coach wrote them. */
    public static PlateRack rack(String bar, String plates) {
        return new PlateRack(load(bar), PlateRack.rack(plates));
    }

    public static PlanJson of(Plan plan, @Nullable String goal, Optional<LiftPlan> lift) {
        return new PlanJson(
                plan.lines().stream().map(LineJson::of).toList(),
                plan.school(),
                plan.roundEveryMs().isPresent()
                        ? ClockTime.of(plan.roundEveryMs().getAsLong()).toSeconds()
                        : null,
                plan.fallback().map(FallbackJson::of).orElse(null),
                plan.ignored(),
                goal,
                lift.map(LiftJson::of).orElse(null));
    }

    /**
     * The plan it says for a course.
     *
     * @throws IllegalArgumentException naming what does not fit
     */
    public Plan plan(Course course) {
        return new Plan(
                lines.stream().map(line -> line.linePacing(course)).toList(),
                school == null ? School.EVEN : school,
                roundEveryMs(),
                Optional.ofNullable(fallback).map(FallbackJson::fallback),
                ignored == null ? Map.of() : ignored);
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
