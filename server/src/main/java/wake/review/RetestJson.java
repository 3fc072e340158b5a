package wake.review;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import wake.projection.Change;
import wake.projection.Credits;
import wake.projection.Evidence;

/**
 * What is chosen for a retest.
 *
 * @param changes on and off
 * @param credits the share of a gain that counts, by how well it is backed; the usual ones where it says nothing
 * @param goal a score to reach, as written; empty for none
 * @param others scores of others to come before, one to a line; empty for none
 * @param place the place to take among them, from 1
 */
public record RetestJson(
        List<ChangeJson> changes,
        @Nullable Map<Evidence, Double> credits,
        @Nullable String goal,
        @Nullable String others,
        @Nullable Integer place) {
    public RetestJson {
        changes = List.copyOf(changes);
    }

    public static RetestJson of(List<ChangeJson> changes) {
        return new RetestJson(changes, null, null, null, null);
    }

    public Credits usedCredits() {
        if (credits == null) {
            return Credits.USUAL;
        }
        Map<Evidence, Double> shares = new EnumMap<>(Credits.USUAL.shares());
        shares.putAll(credits);
        return new Credits(shares);
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
     * @throws IllegalArgumentException naming the change and what was expected
     */
    public RetestJson checked() {
        for (int i = 0; i < changes.size(); i++) {
            try {
                changes.get(i).change();
            } catch (IllegalArgumentException unfit) {
                throw new IllegalArgumentException("Change " + (i + 1) + ": " + unfit.getMessage(), unfit);
            }
        }
        usedCredits();
        return this;
    }
}
