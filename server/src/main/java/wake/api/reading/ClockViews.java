package wake.api.reading;

import java.util.List;
import wake.api.reading.ReadingViews.ClockEntryView;
import wake.api.reading.ReadingViews.ClockView;
import wake.reading.ClockBudget;

/** Where the clock went, as the interface shows it. */
final class ClockViews {
    private ClockViews() {}

    static ClockView of(ClockBudget clock) {
        double all = Math.max(1, clock.total().totalMs());
        return new ClockView(entries(clock.byLine(), all), entries(clock.byRound(), all), entry(clock.total(), all));
    }

    private static List<ClockEntryView> entries(List<ClockBudget.Entry> entries, double all) {
        return entries.stream().map(one -> entry(one, all)).toList();
    }

    private static ClockEntryView entry(ClockBudget.Entry entry, double all) {
        return new ClockEntryView(
                entry.name(),
                entry.fromMs(),
                entry.toMs(),
                entry.totalMs(),
                100 * entry.totalMs() / all,
                entry.workMs(),
                entry.restMs(),
                entry.transitionMs(),
                entry.faultMs(),
                entry.waitMs(),
                entry.unseparatedMs(),
                entry.unfinishedMs());
    }
}
