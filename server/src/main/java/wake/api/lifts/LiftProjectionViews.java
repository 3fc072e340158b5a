package wake.api.lifts;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.plan.LiftWindowViews;
import wake.api.retest.RetestViews.DateView;
import wake.api.retest.RetestViews.NextView;
import wake.log.Lift;
import wake.log.Score;
import wake.projection.lift.LiftProjection;
import wake.reading.lift.LiftReading;
import wake.review.PlanJson.LiftJson;
import wake.review.ProjectedJson;
import wake.review.ProjectedJson.ProjectedLiftJson;
import wake.store.AttemptStore.Attempt;
import wake.units.Quantity;
import wake.words.LiftProjectionWords;

/** The projection for a lift window as the interface shows it. */
final class LiftProjectionViews {
    private LiftProjectionViews() {}

    /**
     * The projection.
     *
     * @param notYet why there is none yet
     * @param chancesWords where the chances come from
     * @param plan the timetable it is of
     * @param proposed whether it is the one proposed, and not the coach's
     * @param nextPart what it does to the part that follows
     */
    record LiftProjectionView(
            long version,
            @Nullable String notYet,
            String answer,
            String chancesWords,
            @Nullable LiftJson plan,
            boolean proposed,
            LiftWindowViews.@Nullable TimetableView timetable,
            List<ChanceView> chances,
            List<OutcomeView> outcomes,
            List<WhatIfView> whatIfs,
            List<String> checks,
            @Nullable String nextPart,
            DateView date,
            List<NextView> retests,
            @Nullable LiftsActualView actual) {}

    /** How likely a lift is made, and what the last window shows of its load. */
    record ChanceView(double chance, String words, String evidence) {}

    /** A score with how likely it is. */
    record OutcomeView(String best, double chance, String words, boolean beats) {}

    /** Something that could be otherwise. */
    record WhatIfView(String words, String beats, LiftJson plan) {}

    /** Projected vs actual. */
    record LiftsActualView(UUID firstId, LocalDate firstOn, String answer, List<LiftOutcomeView> lifts) {}

    /** A lift as it was projected, and the one done in its place. */
    record LiftOutcomeView(
            int number,
            @Nullable String projected,
            @Nullable String chance,
            @Nullable String actual) {}

    static List<OutcomeView> outcomes(LiftProjection projection) {
        Optional<Quantity> before = projection.terms().before();
        return projection.outcomes().stream()
                .map(outcome -> new OutcomeView(
                        outcome.best().map(Quantity::toString).orElse("no lift made"),
                        outcome.chance(),
                        LiftProjectionWords.chance(outcome.chance()),
                        Score.compare(new Score.Load(outcome.best(), 0), new Score.Load(before, 0)) > 0))
                .toList();
    }

    static List<ChanceView> chances(LiftProjection projection, LiftReading reading) {
        return projection.rows().stream()
                .map(row -> new ChanceView(
                        row.chance(),
                        LiftProjectionWords.chance(row.chance()),
                        LiftProjectionWords.evidence(
                                row, reading, projection.terms().chances())))
                .toList();
    }

    /** The outcome of a projection, lift by lift; empty where none was kept with its lifts. */
    static Optional<LiftsActualView> actual(LiftReading reading, Score score, Attempt first, ProjectedJson projected) {
        List<ProjectedLiftJson> lifts = Optional.ofNullable(projected.lifts()).orElse(List.of());
        List<LiftOutcomeView> rows = new ArrayList<>();
        for (int i = 0; i < Math.max(lifts.size(), reading.rows().size()); i++) {
            rows.add(new LiftOutcomeView(
                    i + 1,
                    i < lifts.size() ? lifts.get(i).load() : null,
                    i < lifts.size() ? LiftProjectionWords.chance(lifts.get(i).chance()) : null,
                    i < reading.rows().size() ? actual(reading, i) : null));
        }
        return projected.liftsCame(score).map(answer -> new LiftsActualView(first.id(), first.doneOn(), answer, rows));
    }

    private static String actual(LiftReading reading, int at) {
        Lift lift = reading.rows().get(at).lift();
        return lift.load().map(Quantity::toString).orElse("no load logged") + ", "
                + lift.outcome().words();
    }
}
