package wake.api.retest;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.retest.ProjectionViews.ProjectionView;
import wake.api.retest.ScoreViews.ScoreView;
import wake.log.PaceWords;
import wake.plan.SetScheme;
import wake.projection.CallRecord;
import wake.projection.KindRecord;
import wake.projection.NextAttempt;
import wake.projection.Outcome;
import wake.projection.Range;
import wake.projection.RetestDate;
import wake.review.CalledJson;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.review.Retests.Compared;
import wake.units.Digits;
import wake.units.Say;
import wake.workout.Segment;

/** The retest step as the interface shows it. */
public final class RetestViews {
    private static final double TWICE = 2;
    private static final long WORTH_SAYING_MS = 1000;

    private RetestViews() {}

    /**
     * A retest call, when it can be done, and what came of calls before.
     *
     * @param version how often choices were made, to be named with the next ones
     * @param chosen as it is kept
     * @param latestFor the score the latest clocks are worked out for
     * @param next the next attempt with the chosen changes, a stop for each segment
     * @param retests attempts that retest this one
     * @param came when this attempt is a retest itself, what came of its call
     */
    public record RetestView(
            long version,
            ProjectionView call,
            RetestJson chosen,
            DateView date,
            List<StopView> next,
            String latestFor,
            List<NextView> retests,
            @Nullable CameView came) {
        RetestView keptAs(long newVersion) {
            return new RetestView(newVersion, call, chosen, date, next, latestFor, retests, came);
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
                    stop.secondsPerUnit().isPresent()
                            ? PaceWords.of(segment, stop.secondsPerUnit().getAsDouble())
                            : "",
                    stop.restMs() == 0 ? "" : Digits.TENTHS.span(stop.restMs()),
                    segment.index() == 0 || !stop.separated() ? "" : Digits.TENTHS.span(stop.wayMs()),
                    Digits.WHOLE.clock(stop.endMs()),
                    stop.latestMs().isPresent() ? latest(stop.latestMs().getAsLong(), stop.endMs()) : null,
                    stop.changed());
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
     * Called against came.
     *
     * @param answer the whole of it in a sentence
     * @param wonMs by how much the retest was quicker over the work both did
     * @param inRange whether the score lies between P10 and P90; absent where no range was called
     * @param back what the body was taken to take back, and what it took; absent where neither is much
     * @param typicalErrorPercent of the athlete's repeat attempts; absent with fewer than three
     */
    public record CameView(
            UUID firstId,
            LocalDate firstOn,
            String answer,
            ScoreView before,
            ScoreView came,
            @Nullable ScoreView called,
            @Nullable ScoreView onEvidence,
            @Nullable ScoreView p10,
            @Nullable ScoreView p90,
            @Nullable Boolean inRange,
            long wonMs,
            int segments,
            List<ChangeCameView> changes,
            List<ElsewhereView> elsewhere,
            @Nullable String back,
            @Nullable Double typicalErrorPercent) {}

    /**
     * A change, called and come.
     *
     * @param says "came", "came in part", "did not come", "better than projected"
     */
    public record ChangeCameView(String words, long calledMs, long cameMs, String says) {}

    /** What was won (or lost, when negative) without having been called. */
    public record ElsewhereView(String what, long wonMs) {}

    /** How past calls came out, in a sentence and figures. */
    public record RecordView(int calls, int hits, int ranged, double biasPercent, double errorPercent, String says) {}

    public static DateView date(RetestDate date) {
        return new DateView(date.earliest(), date.reason(), date.blocked().orElse(null));
    }

    public static RecordView record(CallRecord record) {
        return new RecordView(
                record.calls(),
                record.hits(),
                record.ranged(),
                record.biasPercent(),
                record.errorPercent(),
                says(record));
    }

    /** "Keep the rests short, 3 times: 28 s called, 19 s came". */
    public static String says(KindRecord kind) {
        String times = kind.changes() == 1 ? "" : " (" + kind.changes() + "×)";
        String came = Digits.WHOLE.span(Math.abs(kind.cameMs())) + (kind.cameMs() < 0 ? " lost" : " saved");
        return kind.title() + times + ": " + Digits.WHOLE.span(kind.calledMs()) + " projected, " + came;
    }

    private static String says(CallRecord record) {
        String calls = record.calls() == 1 ? "1 checked" : record.calls() + " checked";
        String hits = record.ranged() == 0
                ? ""
                : Say.of(", %d of %d inside the likely range", record.hits(), record.ranged());
        String bias = Math.abs(record.biasPercent()) < 0.05
                ? ", no bias"
                : String.format(
                        java.util.Locale.ROOT,
                        "; results %.1f%% %s than projected on average",
                        Math.abs(record.biasPercent()),
                        record.biasPercent() > 0 ? "worse" : "better");
        return calls + hits + bias + ".";
    }

    public static CameView came(Compared compared) {
        Optional<CalledJson> called = compared.called();
        Optional<Range> range = called.flatMap(CalledJson::range);
        Outcome outcome = compared.outcome();
        Boolean inRange = range.map(of -> new CallRecord.Checked(of.p50(), range, compared.came()).hit())
                .orElse(null);
        return new CameView(
                compared.first().id(),
                compared.first().doneOn(),
                answer(compared, inRange),
                ScoreViews.score(compared.before(), compared.digits()),
                ScoreViews.score(compared.came(), compared.digits()),
                called.map(call -> ScoreViews.projected(call.called())).orElse(null),
                called.map(call -> ScoreViews.projected(call.onEvidence().score()))
                        .orElse(null),
                range.map(of -> ScoreViews.projected(of.p10())).orElse(null),
                range.map(of -> ScoreViews.projected(of.p90())).orElse(null),
                inRange,
                outcome.wonMs(),
                outcome.segments(),
                outcome.changes().stream()
                        .map(one -> new ChangeCameView(
                                one.change().title(), one.calledMs(), one.cameMs(), says(one, compared)))
                        .toList(),
                outcome.elsewhere().stream()
                        .map(one -> new ElsewhereView(one.what(), one.wonMs()))
                        .toList(),
                back(outcome.back()),
                compared.typicalErrorPercent().orElse(null));
    }

    private static @Nullable String back(Outcome.Back back) {
        if (Math.abs(back.calledMs()) < WORTH_SAYING_MS) {
            return null;
        }
        String took = Math.abs(back.cameMs()) < WORTH_SAYING_MS
                ? "kept its pace"
                : "got " + Digits.WHOLE.span(Math.abs(back.cameMs())) + (back.cameMs() > 0 ? " slower" : " faster");
        return "Fatigue cost: " + Digits.WHOLE.span(back.calledMs()) + " projected. The unchanged work " + took + ".";
    }

    private static String answer(Compared compared, @Nullable Boolean inRange) {
        String difference = Outcome.difference(compared.before(), compared.came(), compared.digits());
        String actual = "Retest " + compared.came().words(compared.digits()) + ", " + difference;
        if (compared.called().isEmpty()) {
            return actual + ". No projection was saved before it.";
        }
        String projected = compared.called().get().called().brief(Digits.WHOLE);
        String range = inRange == null ? "" : inRange ? ", inside the likely range" : ", outside the likely range";
        return actual + ". Projected " + projected + range + ".";
    }

    /** Nearer than half the call is "came"; less than twice the typical error of the clock is noise. */
    private static String says(Outcome.Came one, Compared compared) {
        double noise = compared.typicalErrorPercent()
                .map(percent -> TWICE * percent / 100 * compared.before().clockMs())
                .orElse(0.0);
        if (Math.abs(one.cameMs()) < noise && compared.outcome().changes().size() == 1) {
            return "within normal variation";
        }
        if (one.calledMs() <= 0) {
            return one.cameMs() >= one.calledMs() ? "no worse than projected" : "cost more than projected";
        }
        double share = (double) one.cameMs() / one.calledMs();
        return share > 1.25
                ? "better than projected"
                : share >= 0.75 ? "as projected" : share >= 0.25 ? "partly" : "missed";
    }
}
