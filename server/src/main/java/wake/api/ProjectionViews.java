package wake.api;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Change;
import wake.projection.Evidence;
import wake.projection.Gain;
import wake.projection.Projection;
import wake.projection.Projection.Call;
import wake.review.Documents.ChangeJson;
import wake.review.Documents.ChangeKind;
import wake.workout.Segment;

/** A retest call as the interface shows it. */
final class ProjectionViews {
    private ProjectionViews() {}

    /** What a retest would score with the chosen changes. */
    record ProjectionView(
            ScoreView before,
            ScoreView together,
            ScoreView onEvidence,
            GainView gain,
            List<CallView> calls,
            List<CadenceView> cadences,
            List<String> cautions,
            @Nullable String notYet) {}

    /** A score in words and figures. */
    record ScoreView(String words, long clockMs, int done, int missing) {}

    /** What is won. */
    record GainView(long ms, int reps) {}

    /** A change, on or off, with what it is worth alone. */
    record CallView(
            ChangeKind kind,
            String movement,
            String unit,
            String words,
            long fromMs,
            long targetMs,
            boolean on,
            GainView gain,
            int touched,
            Evidence evidence,
            String evidenceWords,
            double credit) {}

    /** A movement whose cadence could be chosen. */
    record CadenceView(String movement, String unit) {}

    static ProjectionView of(AttemptLog log, List<ChangeJson> chosen) {
        List<Change> on =
                chosen.stream().filter(ChangeJson::on).map(ChangeJson::change).toList();
        Projection together = Projection.of(log, on);
        Projection alone =
                Projection.of(log, chosen.stream().map(ChangeJson::change).toList());
        List<CallView> calls = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            calls.add(call(chosen.get(i), alone.calls().get(i), log));
        }
        return new ProjectionView(
                score(together.before()),
                score(together.together()),
                score(together.onEvidence()),
                gain(together.gain()),
                calls,
                cadences(log),
                cautions(log),
                log.over() ? null : "The log ends before the attempt does: finish it, or mark the stop, for a call.");
    }

    private static CallView call(ChangeJson chosen, Call call, AttemptLog log) {
        return new CallView(
                chosen.kind(),
                chosen.movement(),
                unit(chosen.movement(), log),
                call.change().words(),
                call.fromMs(),
                chosen.targetMs(),
                chosen.on(),
                gain(call.gain()),
                call.touched(),
                call.evidence(),
                call.evidence().words(),
                call.evidence().credit());
    }

    private static String unit(String movement, AttemptLog log) {
        return log.course().segments().stream()
                .filter(segment -> segment.movement().name().equals(movement))
                .findFirst()
                .map(segment -> segment.amount().unit().symbol())
                .orElse("");
    }

    private static ScoreView score(Score score) {
        int missing = switch (score) {
            case Score.Capped capped -> capped.missing();
            case Score.Partial partial -> partial.missing();
            case Score.Finished finished -> 0;
            case Score.Rounds rounds -> 0;
            case Score.Reps reps -> 0;
            case Score.Load load -> 0;
        };
        return new ScoreView(score.words(), score.clockMs(), score.done(), missing);
    }

    private static GainView gain(Gain gain) {
        return new GainView(gain.ms(), gain.reps());
    }

    private static List<CadenceView> cadences(AttemptLog log) {
        List<CadenceView> cadences = new ArrayList<>();
        Set<String> seen = new TreeSet<>();
        for (Segment segment : log.course().segments()) {
            if (seen.add(segment.movement().name())) {
                cadences.add(new CadenceView(
                        segment.movement().name(), segment.amount().unit().symbol()));
            }
        }
        return cadences;
    }

    /** What to watch for when these movements are pushed harder. */
    private static List<String> cautions(AttemptLog log) {
        List<String> cautions = new ArrayList<>();
        Set<String> seen = new TreeSet<>();
        for (Segment segment : log.course().segments()) {
            segment.movement()
                    .caution()
                    .filter(caution -> seen.add(caution))
                    .ifPresent(caution -> cautions.add(segment.movement().name() + ": " + caution));
        }
        return cautions;
    }
}
