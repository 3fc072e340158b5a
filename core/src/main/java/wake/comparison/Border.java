package wake.comparison;

import java.util.EnumMap;
import java.util.Map;
import wake.log.Cause;
import wake.log.SegmentSplit;

/**
 * The end of a place both show, with what each did in the leg up to it.
 *
 * @param place where: "round 3, 12 toes-to-bar", as the first attempt did it
 * @param otherPlace the same as the other did it, where amounts or loads differ; else the same words
 * @param oneClockMs when the first attempt had it done
 * @param otherClockMs when the other had
 * @param oneMs what the leg took the first
 * @param otherMs what it took the other
 * @param one what the first did in it; empty columns where the log does not break it down
 * @param other the same of the other
 * @param gains what the first won (above 0) or lost in the leg by cause; all legs so far add up to the lead
 * @param clear whether the difference of the leg is beyond the reading error
 */
public record Border(
        String place,
        String otherPlace,
        String round,
        String line,
        long oneClockMs,
        long otherClockMs,
        long oneMs,
        long otherMs,
        Column one,
        Column other,
        Map<Cause, Long> gains,
        boolean clear) {
    public Border {
        gains = new EnumMap<>(gains);
    }

    /** By how much the first attempt is ahead there; below 0 where the other is. */
    public long leadMs() {
        return otherClockMs - oneClockMs;
    }

    /** The clock of whoever came there second. */
    long secondMs() {
        return Math.max(oneClockMs, otherClockMs);
    }

    /** What the first won on the other in the leg. */
    public long gainMs() {
        return otherMs - oneMs;
    }

    static Border of(Leg leg) {
        SegmentSplit one = leg.one().last();
        SegmentSplit other = leg.other().last();
        boolean separated = leg.separated();
        return new Border(
                leg.one().place(),
                leg.single() ? other.segment().place() : leg.one().place(),
                one.segment().inRounds() ? one.segment().lap().words() : "",
                leg.name(),
                one.endMs(),
                other.endMs(),
                leg.one().elapsedMs(),
                leg.other().elapsedMs(),
                leg.single() ? Column.of(one, separated) : Column.NOTHING,
                leg.single() ? Column.of(other, separated) : Column.NOTHING,
                leg.gains(),
                Math.abs(leg.gainMs()) > leg.readingErrorMs());
    }
}
