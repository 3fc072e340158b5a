package wake.api.lifts;

import static wake.api.Boxed.boxed;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.log.Lift;
import wake.plan.lift.Timetable;
import wake.reading.lift.DemonstratedMaxes;
import wake.reading.lift.LiftNotes;
import wake.reading.lift.LiftReading;
import wake.reading.lift.LiftRow;
import wake.units.Digits;
import wake.units.Quantity;
import wake.units.Unit;
import wake.words.LiftReviewWords;
import wake.words.TwoLifters;
import wake.workout.Format.LiftPiece;

/** A lift window's reading as the interface shows it. */
final class LiftViews {
    private LiftViews() {}

    /**
     * A lift window read.
     *
     * @param maxWords what percentages are of, or what is missing for them
     * @param max the max they are of
     * @param maxKg the same in kilograms, to be drawn
     * @param planned the timetable it is read against; empty where there is none
     * @param others attempts at the same window to hold it beside
     */
    record LiftReadingView(
            String answer,
            String maxWords,
            @Nullable String max,
            @Nullable Double maxKg,
            Digits digits,
            long windowMs,
            List<LiftRowReadView> rows,
            List<PlannedPlaceView> planned,
            List<LiftFindingView> findings,
            List<MaxView> maxes,
            List<OtherLifterView> others,
            @Nullable BesideView beside) {}

    /**
     * A lift.
     *
     * @param percent of the max; empty where that is not known
     * @param jump from the lift before, in the unit of its load
     * @param missedPiece the movement it was missed on
     * @param plan what the timetable had in its place, in words
     * @param lateMs how much later than planned it left the floor
     */
    record LiftRowReadView(
            int number,
            String load,
            @Nullable Double loadKg,
            String pieces,
            boolean isComplex,
            String percent,
            String jump,
            long atMs,
            @Nullable Long lengthMs,
            @Nullable Long restMs,
            long sinceMs,
            Lift.Outcome outcome,
            @Nullable Integer missedOn,
            int reps,
            @Nullable String missedPiece,
            @Nullable String plan,
            @Nullable Long lateMs) {}

    /** Where a planned lift stands on the clock, and how heavy it is. */
    record PlannedPlaceView(long startMs, long lengthMs, String load, double loadKg) {}

    record LiftFindingView(String words, long fromMs, long toMs) {}

    /**
     * A movement's max as made lifts show it.
     *
     * @param grows whether more was made than is noted
     * @param estimated what reps point to, in words
     */
    record MaxView(
            String movement,
            String load,
            @Nullable String known,
            boolean grows,
            @Nullable String estimated) {}

    record OtherLifterView(UUID id, String words) {}

    /** Two lifters beside each other. */
    record BesideView(SideView one, SideView other, List<String> words, List<LiftRowReadView> rows) {}

    record SideView(
            String name,
            String best,
            String percent,
            String made,
            String opener,
            String firstJump,
            @Nullable Long restBeforeLastMs) {}

    static LiftReadingView of(
            LiftReading reading,
            Optional<Timetable> timetable,
            List<DemonstratedMaxes> maxes,
            List<OtherLifterView> others,
            Optional<BesideView> beside) {
        return new LiftReadingView(
                LiftReviewWords.headline(reading),
                LiftReviewWords.maxWords(reading),
                reading.max().max().map(Quantity::toString).orElse(null),
                reading.max().max().map(max -> max.in(Unit.KILOGRAM)).orElse(null),
                reading.digits(),
                reading.window().windowMs(),
                reading.rows().stream().map(LiftViews::row).toList(),
                timetable.map(Timetable::rows).orElse(List.of()).stream()
                        .map(row -> new PlannedPlaceView(
                                row.attempt().startMs(),
                                row.attempt().lengthMs(),
                                row.loading().load().toString(),
                                row.loading().load().in(Unit.KILOGRAM)))
                        .toList(),
                LiftNotes.of(reading).stream()
                        .map(one -> new LiftFindingView(LiftReviewWords.note(one, reading), one.fromMs(), one.toMs()))
                        .toList(),
                maxes.stream()
                        .map(max -> new MaxView(
                                max.movement(),
                                max.made(),
                                max.known().map(Quantity::toString).orElse(null),
                                max.grows(),
                                max.estimated().orElse(null)))
                        .toList(),
                others,
                beside.orElse(null));
    }

    static LiftRowReadView row(LiftRow row) {
        Lift lift = row.lift();
        return new LiftRowReadView(
                row.number(),
                lift.load().map(Quantity::toString).orElse(""),
                lift.load().map(load -> load.in(Unit.KILOGRAM)).orElse(null),
                LiftPiece.written(row.pieces()),
                lift.scores(),
                LiftReviewWords.percentWords(row.percent()),
                LiftReviewWords.jumpWords(row),
                lift.atMs(),
                boxed(lift.lengthMs()),
                boxed(row.restMs()),
                row.sinceMs(),
                lift.outcome(),
                boxed(lift.missedOn()),
                LiftPiece.repsOf(row.pieces()),
                row.missedPiece().orElse(null),
                LiftReviewWords.planWords(row).orElse(null),
                boxed(row.lateMs()));
    }

    static BesideView beside(TwoLifters.Beside beside, LiftReading theirs) {
        return new BesideView(
                side(beside.one()),
                side(beside.other()),
                beside.words(),
                theirs.rows().stream().map(LiftViews::row).toList());
    }

    private static SideView side(TwoLifters.Side side) {
        return new SideView(
                side.name(),
                side.best(),
                percent(side.bestPercent()),
                side.made(),
                side.opener(),
                side.firstJump(),
                boxed(side.restBeforeLast()));
    }

    private static String percent(OptionalDouble percent) {
        return LiftReviewWords.percentWords(percent);
    }
}
