package wake.api.athletes;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.retest.RetestViews.RecordView;
import wake.api.today.Summaries.Stage;
import wake.athlete.Figures;
import wake.history.AttemptFacts.Lost;
import wake.history.History.Limited;
import wake.history.HistoryLine;
import wake.history.PersonalBest;
import wake.history.Techniques;
import wake.projection.Calibration;
import wake.projection.EvidenceLevel;
import wake.projection.FatigueCost;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;
import wake.words.HistoryWords;
import wake.words.TechniqueWords;

/** One athlete, as the browser gets it. */
final class AthletePageViews {
    private AthletePageViews() {}

    /**
     * An athlete's page.
     *
     * @param goal what they train for; empty for nothing noted
     * @param answer what became of the lines over time
     * @param beingRead attempts that are still being worked out
     * @param workouts their attempts, by workout, the one done last first
     * @param limiter what the limiters say together; empty for nothing
     */
    record AthletePageView(
            UUID id,
            String name,
            String note,
            String pain,
            boolean recoversSlowly,
            String goal,
            String answer,
            String figures,
            List<String> problems,
            List<String> advice,
            int attempts,
            int beingRead,
            @Nullable LocalDate from,
            List<FigureView> noted,
            List<FigureView> shown,
            List<WorkoutLineView> workouts,
            List<HistoryLineView> lines,
            List<LimitedView> limiters,
            String limiter,
            List<TechniqueView> techniques,
            @Nullable RecordView projections,
            List<String> kinds,
            CalibrationView calibration) {}

    /**
     * A figure.
     *
     * @param line its line in the text, from 1; 0 where it was shown in an attempt
     * @param origin "noted", or the workout it was shown in
     * @param grows whether it is more than what is noted
     * @param asLine the line it would be in the text; absent where it cannot be one
     */
    record FigureView(
            int line,
            Figures.Kind kind,
            String movement,
            String value,
            @Nullable LocalDate on,
            String origin,
            @Nullable UUID attemptId,
            boolean grows,
            @Nullable String asLine) {
        static FigureView of(Figures.Noted noted) {
            return new FigureView(
                    noted.line(),
                    noted.kind(),
                    noted.movement(),
                    noted.value(),
                    noted.on().orElse(null),
                    "noted",
                    null,
                    false,
                    null);
        }

        static FigureView of(PersonalBest best, String title) {
            return new FigureView(
                    0,
                    best.kind(),
                    best.what(),
                    best.value(),
                    best.attempt().on(),
                    title,
                    best.attempt().attempt(),
                    best.grows(),
                    best.line().orElse(null));
        }
    }

    /** A workout and the attempts at it, in order of date. */
    record WorkoutLineView(UUID workoutId, String title, List<PastView> attempts) {}

    /**
     * An attempt.
     *
     * @param change against the attempt at it before, "12.4 s better"; empty for the first in its division at this text of the workout
     * @param better above zero when it was better than the one before, below when worse
     * @param says what its reading, or its projection, says
     */
    record PastView(
            UUID id,
            LocalDate doneOn,
            String division,
            Stage stage,
            String score,
            String change,
            int better,
            boolean retest,
            String says) {}

    /** A figure over the days. */
    record HistoryLineView(
            HistoryLine.Kind kind,
            String title,
            HistoryLine.Verdict verdict,
            String says,
            String now,
            List<HistoryPointView> points) {
        static HistoryLineView of(HistoryLine line) {
            return new HistoryLineView(
                    line.kind(),
                    line.title(),
                    line.verdict(),
                    HistoryWords.line(line),
                    line.points().getLast().words(),
                    line.points().stream().map(HistoryPointView::of).toList());
        }
    }

    /** A figure of one attempt, with the lowest and the highest in it. */
    record HistoryPointView(UUID attemptId, LocalDate on, double value, double low, double high, String words) {
        static HistoryPointView of(HistoryLine.Point point) {
            return new HistoryPointView(
                    point.attempt(), point.on(), point.value(), point.low(), point.high(), point.words());
        }
    }

    /**
     * The movement that lost the most in an attempt.
     *
     * @param atShare where in the attempt it lost most of it, from 0 to 1
     * @param lostShare how much, as a share of the most lost in any attempt
     */
    record LimitedView(UUID attemptId, LocalDate on, String movement, double atShare, double lostShare, String says) {
        static LimitedView of(Limited limited, long mostMs) {
            Lost lost = limited.lost();
            long clock = Math.max(1, limited.attempt().facts().clockMs());
            return new LimitedView(
                    limited.attempt().attempt(),
                    limited.attempt().on(),
                    lost.movement(),
                    Math.clamp((double) lost.atMs() / clock, 0, 1),
                    (double) lost.lostMs() / Math.max(1, mostMs),
                    Messages.of(
                            "%s: %s lost to %s, most from %s of %s",
                            lost.movement(),
                            Digits.WHOLE.span(lost.lostMs()),
                            lost.against(),
                            ClockTime.of(lost.atMs()).toSeconds(),
                            ClockTime.of(clock).toSeconds()));
        }
    }

    /**
     * The techniques of a movement.
     *
     * @param tests what tests show of each, and of each two at the same effort
     * @param over what the fastest instead of each other one would save over the workout asked for
     */
    record TechniqueView(String movement, List<TechniqueShownView> techniques, List<String> tests, List<String> over) {
        static TechniqueView of(Techniques.Movement movement, List<String> over) {
            return new TechniqueView(
                    movement.work().words(),
                    movement.options().stream().map(TechniqueShownView::of).toList(),
                    movement.tests().map(TechniqueWords::tests).orElse(List.of()),
                    over);
        }
    }

    /** A technique of a movement: seconds a unit, the middle, least and most. */
    record TechniqueShownView(String name, double median, double low, double high, int attempts, int figures) {
        static TechniqueShownView of(Techniques.Option option) {
            return new TechniqueShownView(
                    option.name(),
                    option.seconds().median(),
                    option.seconds().low(),
                    option.seconds().high(),
                    option.attempts(),
                    option.figures());
        }
    }

    /** What checked projections have taught, a line each, and on what that rests. */
    record CalibrationView(List<String> lines, String says) {
        static CalibrationView of(Calibration calibration) {
            FatigueCost back = calibration.fatigueCost();
            List<String> lines = List.of(
                    Messages.of(
                            "Fatigue cost: %.0f%% on transitions, %.0f%% on rests, %.0f%% on pace.",
                            100 * back.transitions(), 100 * back.rests(), 100 * back.pace()),
                    Messages.of("Day-to-day variation: ±%.1f%%.", 100 * back.form()),
                    "Counts as proven: " + credits(calibration) + ".");
            return new CalibrationView(lines, Messages.capital(calibration.says()) + ".");
        }

        private static String credits(Calibration calibration) {
            return java.util.Arrays.stream(EvidenceLevel.values())
                    .map(one -> Messages.of(
                            "%s %.0f%%",
                            one.words(), 100 * calibration.credits().of(one)))
                    .collect(java.util.stream.Collectors.joining(", "));
        }
    }
}
