package wake.projection;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import wake.units.InvalidInput;

/**
 * The share of a gain that counts as proven, by how well it is backed, each from 0 to 1. Assumptions; a coach may set them.
 */
public record EvidenceWeights(Map<EvidenceLevel, Double> shares) {
    /** 100, 75, 50 and 25 percent. */
    public static final EvidenceWeights USUAL = new EvidenceWeights(Map.of(
            EvidenceLevel.SHOWN_LATE,
            1.0,
            EvidenceLevel.SHOWN,
            0.75,
            EvidenceLevel.ELSEWHERE,
            0.5,
            EvidenceLevel.NOT_YET_SHOWN,
            0.25));

    /** @throws InvalidInput where a share is not from 0 to 1 */
    public EvidenceWeights {
        Map<EvidenceLevel, Double> known = new EnumMap<>(EvidenceLevel.class);
        known.putAll(shares);
        shares = Collections.unmodifiableMap(known);
        for (EvidenceLevel evidence : EvidenceLevel.values()) {
            Double share = shares.get(evidence);
            if (share == null || !(share >= 0 && share <= 1)) {
                throw new InvalidInput("A share is 0 to 100%, for \"" + evidence.words() + "\" not " + share);
            }
        }
    }

    public double of(EvidenceLevel evidence) {
        return shares.getOrDefault(evidence, 0.0);
    }
}
