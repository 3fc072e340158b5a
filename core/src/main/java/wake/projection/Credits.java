package wake.projection;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import wake.units.InvalidInput;

/**
 * The share of a gain that counts on evidence, by how well it is backed, each from 0 to 1. Assumptions; a coach may set them.
 */
public record Credits(Map<Evidence, Double> shares) {
    /** 100, 75, 50 and 25 percent. */
    public static final Credits USUAL = new Credits(Map.of(
            Evidence.SHOWN_LATE, 1.0, Evidence.SHOWN, 0.75, Evidence.ELSEWHERE, 0.5, Evidence.NOT_YET_SHOWN, 0.25));

    public Credits {
        Map<Evidence, Double> told = new EnumMap<>(Evidence.class);
        told.putAll(shares);
        shares = Collections.unmodifiableMap(told);
        for (Evidence evidence : Evidence.values()) {
            Double share = shares.get(evidence);
            if (share == null || !(share >= 0 && share <= 1)) {
                throw new InvalidInput("A share is 0 to 100%, for \"" + evidence.words() + "\" not " + share);
            }
        }
    }

    public double of(Evidence evidence) {
        return shares.getOrDefault(evidence, 0.0);
    }
}
