package wake.reading;

import java.util.ArrayList;
import java.util.List;
import wake.workout.Section;

/**
 * A larger piece of the workout: buy-in, a block of rounds, what stands between, cash-out.
 *
 * @param label "buy-in", "3 rounds of thruster and burpee"
 * @param fromMs the clock at its start
 * @param toMs the clock at its end, so far
 * @param lostMs against the baseline; above zero lost
 * @param comparedMs how much of its time the baseline says something about
 */
public record SectionReading(String label, long fromMs, long toMs, long lostMs, long comparedMs) {
    public long elapsedMs() {
        return toMs - fromMs;
    }

    /** Only where there is more than one, and not each a single movement; rounds whose borders lie inside what is not broken down are left whole. */
    static List<SectionReading> of(List<SegmentDelta> deltas) {
        List<SectionReading> readings = new ArrayList<>();
        List<Section> sections = Section.of(deltas.stream()
                .flatMap(delta -> delta.stretch().splits().stream())
                .map(split -> split.segment())
                .toList());
        for (Section section : sections) {
            List<SegmentDelta> inside = deltas.stream()
                    .filter(delta -> delta.stretch().segment().index() >= section.from()
                            && delta.stretch().segment().index() < section.to())
                    .toList();
            if (!inside.isEmpty()) {
                readings.add(new SectionReading(
                        section.label(),
                        inside.getFirst().stretch().startMs(),
                        inside.getLast().stretch().endMs(),
                        inside.stream().mapToLong(SegmentDelta::lostMs).sum(),
                        inside.stream().mapToLong(SegmentDelta::comparedMs).sum()));
            }
        }
        boolean pieces = sections.stream().anyMatch(section -> section.to() - section.from() > 1);
        return readings.size() > 1 && pieces ? readings : List.of();
    }
}
