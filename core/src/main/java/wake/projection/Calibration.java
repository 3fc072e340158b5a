package wake.projection;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import wake.units.Messages;

/**
 * What checked projections have taught of an athlete: the fatigue cost, the form of the day, and what evidence is worth. Each is a
 * weighted mean of the assumption and of what came, the weights in proportion to how much each knows: an assumption as much as it is
 * unsure, a retest as much as what was saved stands out from the form of a day. What the rest of the gym has taught counts as an
 * assumption does, and no more.
 *
 * @param fatigueCost the fatigue cost
 * @param credits what evidence is worth
 * @param projections checked projections of this athlete that it rests on
 * @param gymProjections those of others that moved where it begins
 * @param evidenceShare the share of the figure for the body that rests on the athlete's own projections, from 0 to 1
 */
public record Calibration(
        FatigueCost fatigueCost, EvidenceWeights credits, int projections, int gymProjections, double evidenceShare) {
    public static final Calibration NOTHING = new Calibration(FatigueCost.USUAL, EvidenceWeights.USUAL, 0, 0, 0);

    /** A fatigue cost measured beyond so many times the usual counts as this; an assumption. */
    private static final double MOST_ANSWER = 2.5;
    /** However many retests, so much of the spread stays; an assumption. */
    private static final double LEAST_UNSURE = 0.2;
    /** A credit assumed is worth as much as so many changes checked. */
    private static final double CREDIT_WEIGHT = 4;
    /** A change counts in full from so much projected; an assumption. */
    private static final double FULL_MS = 5000;

    /** Fewer repeat attempts say nothing of day-to-day variation. */
    private static final int FEWEST_PAIRS = 3;
    /** The assumed day-to-day variation is worth as much as so many pairs; an assumption. */
    private static final double PAIR_WEIGHT = 3;

    /** A mean and how much it knows: one over its variance. */
    private record Estimate(double mean, double precision) {
        Estimate and(double observed, double knows) {
            double all = precision + knows;
            return new Estimate((mean * precision + observed * knows) / all, all);
        }
    }

    /** Nothing learned yet, with what evidence is taken to be worth. */
    public static Calibration nothing(EvidenceWeights assumed) {
        return new Calibration(FatigueCost.USUAL, assumed, 0, 0, 0);
    }

    /**
     * What is known of an athlete.
     *
     * @param own the athlete's checked projections
     * @param gym those of all others
     * @param typicalErrorPercent of the athlete's repeat attempts; empty with fewer than three pairs
     * @param pairs how many there are
     */
    public static Calibration of(
            Collection<CalibrationPoint> own,
            Collection<CalibrationPoint> gym,
            OptionalDouble typicalErrorPercent,
            int pairs) {
        return of(own, gym, typicalErrorPercent, pairs, EvidenceWeights.USUAL);
    }

    /** @param assumed what evidence is taken to be worth before anything is learned */
    public static Calibration of(
            Collection<CalibrationPoint> own,
            Collection<CalibrationPoint> gym,
            OptionalDouble typicalErrorPercent,
            int pairs,
            EvidenceWeights assumed) {
        double knows = 1 / (FatigueCost.USUAL.unsure() * FatigueCost.USUAL.unsure());
        Estimate others = answer(new Estimate(1, knows), gym);
        Estimate prior = new Estimate(others.mean(), knows);
        Estimate answer = answer(prior, own);
        FatigueCost usual = FatigueCost.USUAL;
        double factor = Math.clamp(answer.mean(), 0, MOST_ANSWER);
        FatigueCost times = usual.times(factor);
        FatigueCost fatigueCost = new FatigueCost(
                times.transitions(),
                times.rests(),
                times.pace(),
                Math.max(LEAST_UNSURE, 1 / Math.sqrt(answer.precision())),
                form(typicalErrorPercent, pairs));
        return new Calibration(
                fatigueCost, credits(own, assumed), own.size(), gym.size(), 1 - prior.precision() / answer.precision());
    }

    /** How many times the usual fatigue cost was measured: each projection weighted by how far the fatigue cost it assumed stands out. */
    private static Estimate answer(Estimate prior, Collection<CalibrationPoint> points) {
        Estimate estimate = prior;
        for (CalibrationPoint point : points) {
            Outcome outcome = point.outcome();
            double projected = sum(outcome, true);
            double actual = sum(outcome, false);
            if (projected <= 0 || point.clockMs() <= 0) {
                continue;
            }
            double expected = outcome.fatigueCost().projectedMs() * Math.clamp(actual / projected, 0, 2);
            double noise = Math.sqrt(2) * FatigueCost.USUAL.form() * point.clockMs();
            if (expected > 0) {
                double knows = (expected / noise) * (expected / noise);
                estimate = estimate.and(outcome.fatigueCost().actualMs() / expected, knows);
            }
        }
        return estimate;
    }

    private static double sum(Outcome outcome, boolean projected) {
        return outcome.changes().stream()
                .mapToLong(one -> projected ? one.projectedMs() : one.actualMs())
                .sum();
    }

    private static double form(OptionalDouble typicalErrorPercent, int pairs) {
        double usual = FatigueCost.USUAL.form();
        if (typicalErrorPercent.isEmpty() || pairs < FEWEST_PAIRS) {
            return usual;
        }
        double shown = typicalErrorPercent.getAsDouble() / 100;
        return Math.sqrt((PAIR_WEIGHT * usual * usual + pairs * shown * shown) / (PAIR_WEIGHT + pairs));
    }

    /** The outcome of changes by how well they were backed. */
    private static EvidenceWeights credits(Collection<CalibrationPoint> points, EvidenceWeights assumed) {
        Map<EvidenceLevel, double[]> sums = new EnumMap<>(EvidenceLevel.class);
        for (CalibrationPoint point : points) {
            for (int i = 0; i < point.evidence().size(); i++) {
                Outcome.ChangeOutcome actual = point.outcome().changes().get(i);
                if (actual.projectedMs() > 0) {
                    double weight = Math.min(1, actual.projectedMs() / FULL_MS);
                    double[] sum = sums.computeIfAbsent(point.evidence().get(i), each -> new double[2]);
                    sum[0] += weight * Math.clamp((double) actual.actualMs() / actual.projectedMs(), 0, 1);
                    sum[1] += weight;
                }
            }
        }
        Map<EvidenceLevel, Double> shares = new EnumMap<>(EvidenceLevel.class);
        for (EvidenceLevel evidence : EvidenceLevel.values()) {
            double[] sum = sums.getOrDefault(evidence, new double[2]);
            double share = (CREDIT_WEIGHT * assumed.of(evidence) + sum[0]) / (CREDIT_WEIGHT + sum[1]);
            shares.put(evidence, Math.round(100 * share) / 100.0);
        }
        return new EvidenceWeights(shares);
    }

    /** What it is based on, in a few words. */
    public String says() {
        String assumed = "assumed values"
                + (gymProjections == 0
                        ? ""
                        : " adjusted by " + gymProjections + (gymProjections == 1 ? " retest" : " retests")
                                + " of other athletes");
        if (projections == 0) {
            return assumed + "; no retest of this athlete checked yet";
        }
        return Messages.of(
                "based on %d checked %s (%.0f%%) and on %s",
                projections, projections == 1 ? "retest" : "retests", 100 * evidenceShare, assumed);
    }
}
