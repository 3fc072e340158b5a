package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Replay.Changed;

/**
 * The projection: what an attempt would score with chosen things changed.
 *
 * @param before the attempt's own score
 * @param projectedChanges each change on its own
 * @param bestCase the score with all of them when every one lands and it costs no fatigue: the most there is; its gain is
 *     not the sum of theirs
 * @param withFatigue the same when the body takes its share back
 * @param proven the score when each saving counts only as far as it is backed, and the body takes its share of that
 * @param range what most of many replays with all of them score; empty where too little was logged to say
 */
public record Projection(
        Score before,
        List<ProjectedChange> projectedChanges,
        Score bestCase,
        Score withFatigue,
        Score proven,
        Optional<Range> range) {
    /** Fixed, so that the same log and changes give the same range. */
    private static final long SEED = 20_011;

    public static final String NO_RANGE = "No range: the log needs splits of movements or rounds.";

    public Projection {
        projectedChanges = List.copyOf(projectedChanges);
    }

    /**
     * One change on its own.
     *
     * @param change the change
     * @param gain what it is worth alone when it lands and it costs no fatigue
     * @param withFatigue what is left of that when the body takes its share back
     * @param proven what of that counts as proven
     * @param share what it contributes to all the chosen ones together, milliseconds; empty where it is not one of them
     * @param range what it is worth in most replays; empty where too little was logged, or sets change
     * @param fromMs the slowest figure it would change: milliseconds of pause, or per unit
     * @param touched how many pauses or sets that happened it would change
     * @param beyond how many more beyond the buzzer, where the attempt is carried on as it went
     * @param evidence how well it is backed, for most of what it would save
     * @param breakEven where its effect is not arithmetic, what would have to come of it
     * @param reason why it has nothing to work on; empty where it has
     */
    public record ProjectedChange(
            Change change,
            Gain gain,
            Gain withFatigue,
            Gain proven,
            OptionalLong share,
            Optional<Range.OfGain> range,
            long fromMs,
            int touched,
            int beyond,
            EvidenceLevel evidence,
            List<Condition> breakEven,
            Optional<String> reason) {
        public ProjectedChange {
            breakEven = List.copyOf(breakEven);
        }

        /** What to expect of it: what the body leaves. */
        public Gain expected() {
            return withFatigue;
        }
    }

    /**
     * How a projection is worked out.
     *
     * @param others the athlete's other logged attempts, for evidence
     * @param credits what evidence is worth
     * @param fatigueCost the fatigue cost, and the form of the day
     * @param replays how many replays a range is made of; 0 for none
     * @param replaysAlone how many the range of a single change is made of; 0 for none
     */
    public record Terms(
            Collection<AttemptLog> others,
            EvidenceWeights credits,
            FatigueCost fatigueCost,
            int replays,
            int replaysAlone) {
        /** Bare arithmetic. */
        public static final Terms PLAIN = new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.NONE, 0, 0);

        public Terms {
            others = List.copyOf(others);
        }

        /** The same with fewer replays, for a projection that is made anew several times a second. */
        public Terms quick() {
            return new Terms(others, credits, fatigueCost, (replays + 4) / 5, (replaysAlone + 1) / 2);
        }

        /** The same, without replays. */
        Terms withoutRanges() {
            return new Terms(others, credits, fatigueCost, 0, 0);
        }
    }

    public static Projection of(AttemptLog log, List<? extends Change> changes) {
        return of(log, changes, Terms.PLAIN);
    }

    public static Projection of(AttemptLog log, List<? extends Change> changes, Terms terms) {
        return of(log, changes, changes, terms);
    }

    /**
     * A projection with some of the changes.
     *
     * @param changes each projected on its own
     * @param chosen those of them that count together
     */
    public static Projection of(
            AttemptLog log, List<? extends Change> changes, List<? extends Change> chosen, Terms terms) {
        return new Projector(log, terms).project(changes, chosen);
    }

    /** The one score that is promised: what the body leaves of all of them. It is the clock of the retest's plan, and the middle of the range. */
    public Score middle() {
        return withFatigue;
    }

    /** What is to be expected of all of them. */
    public Gain expected() {
        return Gain.between(before, middle());
    }

    /** What all of them are worth when every one lands and it costs no fatigue. */
    public Gain gain() {
        return Gain.between(before, bestCase);
    }

    /** Works out projections for one attempt; what it shows is gathered once. */
    static final class Projector {
        private final Replay replay;
        private final Terms terms;
        private final Score before;
        private final Evidence shownBefore;
        private final Optional<Scatter> scatter;
        private final BreakEven breakEven;
        private final Map<Change, Function<TimeSlice, Effect>> effects = new HashMap<>();

        Projector(AttemptLog log, Terms terms) {
            this.replay = Replay.of(log);
            this.terms = terms;
            this.before = log.score();
            this.shownBefore = Evidence.of(replay, terms.others());
            // Only a range draws from it.
            this.scatter = (terms.replays() > 0 || terms.replaysAlone() > 0)
                            && !replay.slices().isEmpty()
                    ? Optional.of(Scatter.of(replay)).filter(known -> !known.tooLittle())
                    : Optional.empty();
            this.breakEven = new BreakEven(replay);
        }

        Projection project(List<? extends Change> changes, List<? extends Change> chosen) {
            Changed all = replay.with(chosen);
            Score promised = all.withFatigue(terms.fatigueCost());
            long[] unchanged = scatter.filter(known -> terms.replaysAlone() > 0)
                    .map(known -> new Bootstrap(replay.with(List.of()), known, terms.fatigueCost())
                            .keys(terms.replaysAlone(), SEED))
                    .orElse(new long[0]);
            Map<Change, Long> shares = replay.shares(chosen, everywhere -> true);
            List<ProjectedChange> projectedChanges = new ArrayList<>();
            for (Change change : changes) {
                Long share = shares.get(change);
                projectedChanges.add(
                        project(change, share == null ? OptionalLong.empty() : OptionalLong.of(share), unchanged));
            }
            Optional<Range> range = scatter.filter(known -> terms.replays() > 0)
                    .map(known -> new Bootstrap(all, known, terms.fatigueCost())
                            .range(terms.replays(), SEED)
                            .around(promised));
            return new Projection(before, projectedChanges, all.score(), promised, proven(chosen), range);
        }

        /** What is backed of some changes; little evidence for what would save makes none of them cost more than they do. */
        Score proven(List<? extends Change> changes) {
            Score backed = replay.with(
                            changes, (change, slice) -> terms.credits().of(evidence(change, slice)))
                    .withFatigue(terms.fatigueCost());
            boolean worse = Score.compare(backed, before) < 0;
            return worse && Score.compare(replay.with(changes).withFatigue(terms.fatigueCost()), before) >= 0
                    ? before
                    : backed;
        }

        Replay replay() {
            return replay;
        }

        private EvidenceLevel evidence(Change change, TimeSlice slice) {
            Effect effect =
                    effects.computeIfAbsent(change, each -> each.on(replay)).apply(slice);
            return change.evidenceLevel(shownBefore, slice, effect);
        }

        private ProjectedChange project(Change change, OptionalLong share, long[] unchanged) {
            List<Change> alone = List.of(change);
            Changed changed = replay.with(alone);
            Gain gain = Gain.between(before, changed.score());
            Gain promised = Gain.between(before, changed.withFatigue(terms.fatigueCost()));
            Optional<Range.OfGain> range = scatter.filter(
                            known -> unchanged.length > 0 && !remade(change) && !gain.isNothing())
                    .map(known -> new Bootstrap(changed, known, terms.fatigueCost())
                            .gainOver(unchanged, SEED)
                            .around(promised));
            Touched touched = touched(change);
            return new ProjectedChange(
                    change,
                    gain,
                    promised,
                    Gain.between(before, proven(alone)),
                    share,
                    range,
                    touched.slowest(),
                    touched.count(),
                    touched.beyond(),
                    touched.evidence(),
                    change.breakEven(breakEven, gain),
                    change.reason(replay));
        }

        /** Replays of pieces laid anew cannot be broken down one by one from those of the old ones. */
        private boolean remade(Change change) {
            return replay.slices().stream().anyMatch(change::remakes);
        }

        private record Touched(long slowest, int count, int beyond, EvidenceLevel evidence) {}

        private Touched touched(Change change) {
            Function<TimeSlice, Effect> on = change.on(replay);
            long slowest = 0;
            int count = 0;
            int beyond = 0;
            Map<EvidenceLevel, Long> savings = new EnumMap<>(EvidenceLevel.class);
            for (TimeSlice slice : replay.slices()) {
                Effect effect = on.apply(slice);
                boolean sets = change.remakes(slice);
                if (effect == Effect.NONE && !sets) {
                    continue;
                }
                long saving = sets ? 1 : slice.ms() - effect.newMs(slice);
                if (saving != 0 && !slice.observed()) {
                    beyond++;
                }
                if (!slice.observed()) {
                    continue;
                }
                slowest = Math.max(slowest, Math.round(slice.figure(slice.coreMs())));
                if (saving != 0) {
                    count++;
                }
                if (saving > 0) {
                    savings.merge(evidence(change, slice), saving, Long::sum);
                }
            }
            EvidenceLevel most = savings.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .map(Map.Entry::getKey)
                    .orElse(EvidenceLevel.SHOWN_LATE);
            return new Touched(slowest, count, beyond, most);
        }
    }
}
