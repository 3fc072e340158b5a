package wake.comparison;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wake.reading.TechniqueReading;
import wake.reading.TechniqueReading.Technique;
import wake.workout.Comparability;

/**
 * A movement that two did with techniques that go by other names, at the same load.
 *
 * @param movement the line
 * @param one the technique the first used most
 * @param other the one the other used most
 * @param units how much of the movement both have in common, in its unit
 */
public record TechniqueGap(String movement, Technique one, Technique other, double units) {
    static List<TechniqueGap> of(Side one, Side other) {
        List<TechniqueReading> others = TechniqueReading.of(other.log().own());
        List<TechniqueGap> gaps = new ArrayList<>();
        for (TechniqueReading reading : TechniqueReading.of(one.log().own())) {
            others.stream()
                    .filter(its -> Comparability.comparable(reading.like(), its.like()))
                    .findFirst()
                    .flatMap(its -> of(reading, its))
                    .ifPresent(gaps::add);
        }
        return gaps;
    }

    private static Optional<TechniqueGap> of(TechniqueReading one, TechniqueReading other) {
        Optional<Technique> ones = usual(one);
        Optional<Technique> others = usual(other);
        return ones.isEmpty()
                        || others.isEmpty()
                        || ones.get().name().equalsIgnoreCase(others.get().name())
                ? Optional.empty()
                : Optional.of(new TechniqueGap(
                        one.movement(), ones.get(), others.get(), Math.min(one.units(), other.units())));
    }

    /** The named technique that most figures are of. */
    private static Optional<Technique> usual(TechniqueReading reading) {
        return reading.techniques().stream()
                .filter(technique -> !technique.name().isEmpty() && technique.comparable())
                .max(Comparator.comparingInt(Technique::figures));
    }

    /** What the first took less for each unit, seconds; below zero it took more. */
    public double perUnit() {
        return other.secondsPerUnit() - one.secondsPerUnit();
    }
}
