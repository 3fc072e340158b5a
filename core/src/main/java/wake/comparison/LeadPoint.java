package wake.comparison;

import java.util.ArrayList;
import java.util.List;

/**
 * A point of the lead over the clock.
 *
 * @param clockMs when whoever was behind came to the same rep; at a change of the lead, when it changed
 * @param leadMs by how much the first attempt had it sooner
 * @param border whether it is the end of a place
 * @param known whether both clocks were logged
 */
public record LeadPoint(long clockMs, long leadMs, boolean border, boolean known) {
    /** As many as a picture can show beside the borders and the changes. */
    private static final int SHOWN = 800;

    static List<LeadPoint> of(List<Step> steps, Leads leads) {
        int every = 1 + steps.size() / SHOWN;
        List<LeadPoint> points = new ArrayList<>();
        points.add(new LeadPoint(0, 0, false, true));
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            if (!step.both()) {
                continue;
            }
            if (leads.changesAt(i)) {
                points.add(new LeadPoint(step.firstMs(), 0, false, step.known()));
            }
            if (step.border() || i % every == 0 || leads.startsAt(i)) {
                points.add(new LeadPoint(step.secondMs(), step.leadMs(), step.border(), step.known()));
            }
        }
        return points;
    }
}
