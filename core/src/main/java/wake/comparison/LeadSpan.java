package wake.comparison;

import java.util.ArrayList;
import java.util.List;

/**
 * A span that one of the two led throughout, what lies within the timing error taken for level.
 *
 * @param sign above 0 where the first attempt led, below where the other did
 * @param mostMs the largest lead at the end of a split in it; 0 where both logs show no such end
 * @param from the movement and round with which it begins
 */
public record LeadSpan(int sign, long mostMs, String from) {
    static List<LeadSpan> of(List<Step> steps, List<Leads.Run> runs, List<Border> borders) {
        List<LeadSpan> spans = new ArrayList<>();
        for (Leads.Run run : runs) {
            Step first = steps.get(run.from());
            Step last = steps.get(run.to());
            long from = first.firstMs();
            long to = last.both() ? last.secondMs() : Long.MAX_VALUE;
            long most = borders.stream()
                    .filter(border -> Long.signum(border.leadMs()) == run.sign()
                            && border.secondMs() >= from
                            && border.secondMs() <= to)
                    .mapToLong(border -> Math.abs(border.leadMs()))
                    .max()
                    .orElse(0);
            spans.add(new LeadSpan(run.sign(), most, first.where()));
        }
        return spans;
    }
}
