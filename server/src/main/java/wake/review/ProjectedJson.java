package wake.review;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import wake.log.Lift;
import wake.log.Score;
import wake.projection.Change;
import wake.projection.FatigueCost;
import wake.projection.Projection;
import wake.projection.Range;
import wake.projection.lift.LiftProjection;
import wake.review.RetestJson.BackJson;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.words.LiftProjectionWords;

/**
 * A projection as it stood when the retest was set, so that it can be checked afterwards.
 *
 * @param changes the changes that counted
 * @param before the score of the attempt it was made from
 * @param middle what was to be expected; absent in projections kept before there was one
 * @param back the fatigue cost assumed; absent likewise
 * @param lifts of a lift window, the lifts projected; absent elsewhere
 */
public record ProjectedJson(
        List<ChangeJson> changes,
        ScoreJson before,
        ScoreJson together,
        ScoreJson onEvidence,
        @Nullable ScoreJson p10,
        @Nullable ScoreJson p50,
        @Nullable ScoreJson p90,
        @Nullable ScoreJson middle,
        @Nullable BackJson back,
        @Nullable List<ProjectedLiftJson> lifts) {
    public ProjectedJson {
        changes = List.copyOf(changes);
    }

    /** A lift as it was projected: its load, and how likely it was to be made, 0 to 1. */
    public record ProjectedLiftJson(String load, double chance) {}

    /** A score in figures; of a lift window the load, where a lift was made. */
    public record ScoreJson(
            String kind,
            long clockMs,
            int done,
            int missing,
            int rounds,
            int extra,
            @Nullable String load) {
        private static final String IN_REPS = "rounds in reps";
        private static final Set<String> KINDS =
                Set.of("finished", "capped", "partial", "rounds", IN_REPS, "reps", "load");

        ScoreJson(String kind, long clockMs, int done, int missing, int rounds, int extra) {
            this(kind, clockMs, done, missing, rounds, extra, null);
        }

        static ScoreJson of(Score score) {
            return switch (score) {
                case Score.Finished all -> new ScoreJson("finished", all.clockMs(), all.done(), 0, 0, 0);
                case Score.Capped cap -> new ScoreJson("capped", cap.clockMs(), cap.done(), cap.missing(), 0, 0);
                case Score.Partial part -> new ScoreJson("partial", part.clockMs(), part.done(), part.missing(), 0, 0);
                case Score.Rounds all ->
                    new ScoreJson(
                            all.inReps() ? IN_REPS : "rounds", all.clockMs(), all.done(), 0, all.rounds(), all.extra());
                case Score.Reps reps -> new ScoreJson("reps", reps.clockMs(), reps.done(), 0, 0, 0);
                case Score.Load load ->
                    new ScoreJson(
                            "load",
                            load.clockMs(),
                            0,
                            0,
                            0,
                            0,
                            load.best().map(Quantity::toString).orElse(null));
            };
        }

        void checked() {
            boolean known = kind != null && KINDS.contains(kind);
            if (!known || clockMs < 0 || done < 0 || missing < 0 || rounds < 0 || extra < 0) {
                throw new InvalidInput("A score needs a known kind and no number below zero");
            }
            score();
        }

        public Score score() {
            return switch (kind) {
                case "finished" -> new Score.Finished(clockMs, done);
                case "capped" -> new Score.Capped(clockMs, done, missing);
                case "partial" -> new Score.Partial(clockMs, done, missing);
                case "rounds" -> new Score.Rounds(clockMs, rounds, extra, done, false);
                case IN_REPS -> new Score.Rounds(clockMs, rounds, extra, done, true);
                case "reps" -> new Score.Reps(clockMs, done);
                case "load" -> new Score.Load(Optional.ofNullable(load).flatMap(Lift::load), clockMs);
                default -> throw new IllegalStateException("No kind of score: " + kind);
            };
        }
    }

    /**
     * Refuses what no projection ever was.
     *
     * @throws InvalidInput saying what does not fit
     */
    public ProjectedJson checked() {
        changed();
        for (@Nullable ScoreJson score : Arrays.asList(before, together, onEvidence)) {
            if (score == null) {
                throw new InvalidInput("A projection needs the score before, with all changes, and proven");
            }
        }
        Stream.of(before, together, onEvidence, p10, p50, p90, middle)
                .filter(Objects::nonNull)
                .forEach(ScoreJson::checked);
        taken();
        if (lifts != null) {
            for (ProjectedLiftJson lift : lifts) {
                if (Lift.load(String.valueOf(lift.load())).isEmpty() || !(lift.chance() >= 0 && lift.chance() <= 1)) {
                    throw new InvalidInput("Each lift needs a load and a chance from 0 to 1");
                }
            }
        }
        return this;
    }

    static ProjectedJson of(RetestJson chosen, Projection projection, FatigueCost back) {
        Optional<Range> range = projection.range();
        return new ProjectedJson(
                chosen.changes().stream().filter(ChangeJson::on).toList(),
                ScoreJson.of(projection.before()),
                ScoreJson.of(projection.bestCase()),
                ScoreJson.of(projection.proven()),
                range.map(Range::p10).map(ScoreJson::of).orElse(null),
                range.map(Range::p50).map(ScoreJson::of).orElse(null),
                range.map(Range::p90).map(ScoreJson::of).orElse(null),
                ScoreJson.of(projection.middle()),
                BackJson.of(back),
                null);
    }

    /** The projection of a lift window. */
    static ProjectedJson of(LiftProjection projection, Score before) {
        ScoreJson middle = load(projection.middle(), before);
        return new ProjectedJson(
                List.of(),
                ScoreJson.of(before),
                middle,
                middle,
                load(projection.low(), before),
                middle,
                load(projection.high(), before),
                middle,
                null,
                projection.rows().stream()
                        .map(row -> new ProjectedLiftJson(
                                row.planned().loading().load().toString(), row.chance()))
                        .toList());
    }

    private static ScoreJson load(Optional<Quantity> load, Score before) {
        return ScoreJson.of(new Score.Load(load, before.clockMs()));
    }

    public List<Change> changed() {
        return changes.stream().map(ChangeJson::change).toList();
    }

    public Optional<Range> range() {
        return p10 == null || p50 == null || p90 == null
                ? Optional.empty()
                : Optional.of(new Range(p10.score(), p50.score(), p90.score(), 0));
    }

    /** The outcome of the projection of a lift window, in a sentence; empty where it is of none. */
    public Optional<String> liftsCame(Score actual) {
        return lifts == null
                ? Optional.empty()
                : range().map(range -> LiftProjectionWords.actual(
                        load(score()), load(range.p10()), load(range.p90()), load(before.score()), load(actual)));
    }

    private static Optional<Quantity> load(Score score) {
        return score instanceof Score.Load load ? load.best() : Optional.empty();
    }

    /** The score to hold the outcome against: the middle of the range, else all changes landing. */
    public Score score() {
        if (middle != null) {
            return middle.score();
        }
        return p50 == null ? together.score() : p50.score();
    }

    /** the fatigue cost assumed. */
    public FatigueCost taken() {
        return back == null
                ? FatigueCost.NONE
                : new FatigueCost(back.ways(), back.rests(), back.pace(), FatigueCost.USUAL.unsure(), back.form());
    }
}
