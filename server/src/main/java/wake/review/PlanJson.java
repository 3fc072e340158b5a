package wake.review;

import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
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
import wake.plan.lift.PlateRack;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.workout.Course;
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

    /** The lifts of a window; loads as "100 kg", plates as "20x2 10x1". */
    public record LiftJson(String max, long complexMs, List<LiftAttemptJson> lifts, String bar, String plates) {
        static LiftJson of(LiftPlan lift) {
            return new LiftJson(
                    lift.max().toString(),
                    lift.complexMs(),
                    lift.lifts().stream()
                            .map(one -> new LiftAttemptJson(one.role(), one.percent(), one.startMs()))
                            .toList(),
                    lift.rack().bar().toString(),
                    lift.rack().written());
        }

        /** The lift plan it says. */
        public LiftPlan liftPlan() {
            return new LiftPlan(
                    load(max),
                    complexMs,
                    lifts.stream()
                            .map(one -> new LiftPlan.Attempt(one.role(), one.percent(), one.startMs()))
                            .toList(),
                    rack(bar, plates));
        }
    }

    /** One lift. */
    public record LiftAttemptJson(LiftPlan.Role role, double percent, long startMs) {}

    /** Reads a load as coaches write it; a number alone is kilograms. */
    public static Quantity load(String written) {
        return Lift.load(written)
                .or(() -> Lift.load(written + " kg"))
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
