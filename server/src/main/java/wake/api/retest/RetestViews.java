package wake.api.retest;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.retest.ProjectionViews.ProjectionView;
import wake.api.retest.ScoreViews.ScoreView;
import wake.log.PaceFormat;
import wake.plan.SetScheme;
import wake.projection.NextAttempt;
import wake.projection.Outcome;
import wake.projection.ProjectionRecord;
import wake.projection.Range;
import wake.projection.RetestDate;
import wake.review.ProjectedJson;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.review.Retests.Compared;
import wake.units.Digits;
import wake.words.ChangeWords;
import wake.words.RetestWords;
import wake.workout.Segment;

/** The retest step as the interface shows it. */
public final class RetestViews {

    private RetestViews() {}

    /**
     * A projection, when it can be done, and the outcome of projections before.
     *
     * @param version how often choices were made, to be named with the next ones
     * @param chosen as it is kept
     * @param latestFor the score the latest clocks are worked out for
     * @param next the next attempt with the chosen changes, a stop for each segment
     * @param retests attempts that retest this one
     * @param actual when this attempt is a retest itself, the outcomes projection
     */
    public record RetestView(
            long version,
            ProjectionView projection,
            RetestJson chosen,
            DateView date,
            List<StopView> next,
            String latestFor,
            List<NextView> retests,
            @Nullable ActualView actual) {
        RetestView keptAs(long newVersion) {
            return new RetestView(newVersion, projection, chosen, date, next, latestFor, retests, actual);
        }
    }

    /** The earliest sensible day; blocked while something hurts. */
    public record DateView(
            LocalDate earliest, String reason, @Nullable String blocked) {}

    /**
     * A segment of the next attempt, in words.
     *
     * @param round the round it stands in; empty outside rounds
     * @param end the clock it should be left at
     * @param latest the latest clock from which everything after it can still be made; absent where nothing is asked after it
     * @param changed whether a change acts here
     */
    public record StopView(
            String round,
            String movement,
            String sets,
            String pace,
            String rest,
            String transition,
            String end,
            @Nullable String latest,
            boolean changed) {
        public static StopView of(NextAttempt.Stop stop) {
            Segment segment = stop.segment();
            return new StopView(
                    segment.inRounds() ? segment.lap().words() : "",
                    stop.whole() ? whole(segment) : segment.label(),
                    stop.sets().size() < 2
                            ? segment.tappable() && stop.separated() ? "unbroken" : ""
                            : SetScheme.dashed(stop.sets()),
                    pace(stop),
                    stop.restMs() == 0 ? "" : Digits.TENTHS.span(stop.restMs()),
                    segment.index() == 0 || !stop.separated() ? "" : Digits.TENTHS.span(stop.transitionMs()),
                    Digits.WHOLE.clock(stop.endMs()),
                    stop.latestMs().isPresent() ? latest(stop.latestMs().getAsLong(), stop.endMs()) : null,
                    stop.changed());
        }

        /** Of what is known only as a whole, that. */
        private static String pace(NextAttempt.Stop stop) {
            if (stop.secondsPerUnit().isPresent()) {
                return PaceFormat.of(stop.segment(), stop.secondsPerUnit().getAsDouble());
            }
            return stop.whole() || stop.separated() ? "" : "split " + Digits.WHOLE.clock(stop.splitMs());
        }

        private static String whole(Segment last) {
            return last.inRounds() ? "the whole round" : "up to " + last.label();
        }

        /** Cut to the second, so that nobody is late by it; never before the clock it stands beside, which is rounded. */
        private static String latest(long latestMs, long endMs) {
            return Digits.WHOLE.clock(latestMs - endMs < 1000 ? endMs : latestMs / 1000 * 1000);
        }
    }

    /** An attempt that retests this one. */
    public record NextView(
            UUID id, LocalDate doneOn, @Nullable String score) {}

    public static List<NextView> next(List<Retests.Followed> followed) {
        return followed.stream()
                .map(one -> new NextView(one.id(), one.doneOn(), one.score().orElse(null)))
                .toList();
    }

    /**
     * Projected vs actual.
     *
     * @param answer the whole of it in a sentence
     * @param wonMs by how much the retest was faster over the work both did
     * @param inRange whether the score lies between P10 and P90; absent where no range was projected
     * @param back the fatigue cost assumed, and measured; absent where neither is much
     * @param variationPercent normal variation of the athlete's repeat attempts, percent of the score; absent with fewer than three
     */
    public record ActualView(
            UUID firstId,
            LocalDate firstOn,
            String answer,
            ScoreView before,
            ScoreView actual,
            @Nullable ScoreView projected,
            @Nullable ScoreView proven,
            @Nullable ScoreView p10,
            @Nullable ScoreView p90,
            @Nullable Boolean inRange,
            long wonMs,
            int segments,
            List<ChangeOutcomeView> changes,
            List<ElsewhereView> elsewhere,
            @Nullable String back,
            @Nullable Double variationPercent) {}

    /**
     * A change, projected and actual.
     *
     * @param says "came", "came in part", "did not come", "better than projected"
     */
    public record ChangeOutcomeView(
            String words, long projectedMs, @Nullable Long actualMs, String says) {}

    /** What was saved (or lost, when negative) without having been projected. */
    public record ElsewhereView(String what, long wonMs) {}

    /** How past projections came out, in a sentence and figures. */
    public record RecordView(
            int projections, int hits, int ranged, double biasPercent, double errorPercent, String says) {}

    public static DateView date(RetestDate date) {
        return new DateView(date.earliest(), date.reason(), date.blocked().orElse(null));
    }

    public static RecordView record(ProjectionRecord record) {
        return new RecordView(
                record.projections(),
                record.hits(),
                record.ranged(),
                record.biasPercent(),
                record.errorPercent(),
                RetestWords.record(record));
    }

    public static ActualView actual(Compared compared) {
        Optional<ProjectedJson> projected = compared.projected();
        Optional<Range> range = projected.flatMap(ProjectedJson::range);
        Outcome outcome = compared.outcome();
        return new ActualView(
                compared.first().id(),
                compared.first().doneOn(),
                compared.words(),
                ScoreViews.score(compared.before(), compared.digits()),
                ScoreViews.score(compared.actual(), compared.digits()),
                projected
                        .map(projection -> ScoreViews.projected(projection.score()))
                        .orElse(null),
                projected
                        .map(projection ->
                                ScoreViews.projected(projection.onEvidence().score()))
                        .orElse(null),
                range.map(of -> ScoreViews.projected(of.p10())).orElse(null),
                range.map(of -> ScoreViews.projected(of.p90())).orElse(null),
                compared.inRange().orElse(null),
                outcome.wonMs(),
                outcome.segments(),
                outcome.changes().stream()
                        .map(one -> new ChangeOutcomeView(
                                ChangeWords.title(one.change()),
                                one.promisedMs(),
                                one.isUntold() ? null : one.actualMs(),
                                RetestWords.verdict(
                                        outcome.verdict(one, compared.before(), compared.variationPercent()))))
                        .toList(),
                outcome.elsewhere().stream()
                        .map(one -> new ElsewhereView(one.what(), one.wonMs()))
                        .toList(),
                RetestWords.fatigue(outcome.fatigueCost()).orElse(null),
                compared.variationPercent().orElse(null));
    }
}
