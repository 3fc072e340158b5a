package wake.review;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import wake.projection.Change;
import wake.projection.EvidenceLevel;
import wake.projection.EvidenceWeights;
import wake.projection.FatigueCost;
import wake.review.PlanJson.LiftJson;
import wake.units.InvalidInput;

/**
 * What is chosen for a retest.
 *
 * @param changes on and off
 * @param credits the share of a gain that counts, by how well it is backed; the usual ones where it says nothing
 * @param goal a score to reach, as written; empty for none
 * @param others scores of others to come before, one to a line; empty for none
 * @param place the place to take among them, from 1
 * @param back what the coach has set that fatigue costs; absent for what is known of the athlete
 * @param lift of a lift window, the timetable for the next time; absent for what is worth proposing
 */
public record RetestJson(
        List<ChangeJson> changes,
        @Nullable Map<EvidenceLevel, Double> credits,
        @Nullable String goal,
        @Nullable String others,
        @Nullable Integer place,
        @Nullable BackJson back,
        @Nullable LiftJson lift) {
    public static final int MOST_CHANGES = 50;
    public static final int LONGEST_GOAL = 40;
    public static final int LONGEST_OTHERS = 20_000;
    public static final int LAST_PLACE = 100_000;

    public RetestJson {
        changes = List.copyOf(changes);
    }

    public static RetestJson of(List<ChangeJson> changes) {
        return new RetestJson(changes, null, null, null, null, null, null);
    }

    /** The same with the timetable for the next lift window. */
    public RetestJson withLift(@Nullable LiftJson other) {
        return new RetestJson(changes, credits, goal, others, place, back, other);
    }

    /** Of a second saved on transitions, rests and by pace, seconds that come back, and the form of the day as a share of the clock. */
    public record BackJson(double ways, double rests, double pace, double form) {
        public static BackJson of(FatigueCost back) {
            return new BackJson(back.transitions(), back.rests(), back.pace(), back.form());
        }
    }

    /** The fatigue cost: what the coach has set, else what is known. */
    public FatigueCost usedBack(FatigueCost known) {
        return back == null
                ? known
                : new FatigueCost(back.ways(), back.rests(), back.pace(), known.unsure(), back.form());
    }

    /** What evidence is worth: what the coach has set, else what is known. */
    public EvidenceWeights usedCredits(EvidenceWeights known) {
        if (credits == null) {
            return known;
        }
        Map<EvidenceLevel, Double> shares = new EnumMap<>(known.shares());
        shares.putAll(credits);
        return new EvidenceWeights(shares);
    }

    /** The changes that count. */
    public List<Change> on() {
        return changes.stream().filter(ChangeJson::on).map(ChangeJson::change).toList();
    }

    /** All of them, on or off, in order. */
    public List<Change> all() {
        return changes.stream().map(ChangeJson::change).toList();
    }

    /**
     * Refuses what cannot be meant.
     *
     * @throws InvalidInput naming the change and what was expected
     */
    public RetestJson checked() {
        for (int i = 0; i < changes.size(); i++) {
            try {
                changes.get(i).change();
            } catch (InvalidInput unfit) {
                throw new InvalidInput("Change " + (i + 1) + ": " + unfit.getMessage(), unfit);
            }
        }
        if (changes.size() > MOST_CHANGES) {
            throw new InvalidInput("At most " + MOST_CHANGES + " changes");
        }
        if (goal != null && goal.length() > LONGEST_GOAL || others != null && others.length() > LONGEST_OTHERS) {
            throw new InvalidInput("The goal or the scores of others are too long");
        }
        if (place != null && (place < 1 || place > LAST_PLACE)) {
            throw new InvalidInput("A place is 1 to " + LAST_PLACE);
        }
        usedCredits(EvidenceWeights.USUAL);
        usedBack(FatigueCost.USUAL);
        return this;
    }
}
