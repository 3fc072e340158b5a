package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.Stretch;

/**
 * Where the clock went, without any baseline. The entries of either list add up to the clock, to the millisecond; programmed rest and interval rest are entries of their own.
 *
 * @param byLine the lines of the workout, in the order they first come
 * @param byRound its rounds, and what stands outside them, in order
 * @param total all of it
 */
public record ClockBudget(List<Entry> byLine, List<Entry> byRound, Entry total) {
    public ClockBudget {
        byLine = List.copyOf(byLine);
        byRound = List.copyOf(byRound);
    }

    /**
     * Some of the clock, in milliseconds.
     *
     * @param name what it was spent on: a line, a round
     * @param fromMs the clock at which it first begins
     * @param toMs the clock at which it last ends
     * @param workMs in sets, without the cost of faults
     * @param restMs in breaks
     * @param transitionMs getting there
     * @param faultMs what faults cost, as far as it lies in what is broken down as work
     * @param waitMs waiting for an interval to open
     * @param unseparatedMs what the marks do not break down
     * @param unfinishedMs from the last unit that counts to the buzzer
     */
    public record Entry(
            String name,
            long fromMs,
            long toMs,
            long workMs,
            long restMs,
            long transitionMs,
            long faultMs,
            long waitMs,
            long unseparatedMs,
            long unfinishedMs) {
        public long totalMs() {
            return workMs + restMs + transitionMs + faultMs + waitMs + unseparatedMs + unfinishedMs;
        }

        private Entry plus(Entry other) {
            return new Entry(
                    name,
                    Math.min(fromMs, other.fromMs),
                    Math.max(toMs, other.toMs),
                    workMs + other.workMs,
                    restMs + other.restMs,
                    transitionMs + other.transitionMs,
                    faultMs + other.faultMs,
                    waitMs + other.waitMs,
                    unseparatedMs + other.unseparatedMs,
                    unfinishedMs + other.unfinishedMs);
        }
    }

    static ClockBudget of(AttemptLog log) {
        Map<String, Entry> lines = new LinkedHashMap<>();
        Map<String, Entry> rounds = new LinkedHashMap<>();
        Entry total = new Entry("all", 0, 0, 0, 0, 0, 0, 0, 0, 0);
        for (Stretch stretch : Stretch.of(log, java.util.Set.of())) {
            Entry entry = entry(stretch);
            Entry rest = rest(log, stretch);
            total = total.plus(entry).plus(rest);
            lines.merge(stretch.name(), entry, Entry::plus);
            String round = round(log, stretch);
            rounds.merge(round, named(entry, round), Entry::plus);
            if (stretch.first().waitMs() > 0) {
                lines.merge(rest.name(), rest, Entry::plus);
                rounds.merge(rest.name(), rest, Entry::plus);
            }
        }
        return new ClockBudget(List.copyOf(lines.values()), new ArrayList<>(rounds.values()), total);
    }

    /** What is waited for is in no movement's time and in no round's. */
    private static Entry rest(AttemptLog log, Stretch stretch) {
        boolean interval = log.expanded().startsAtMs(stretch.segment().index()).isPresent();
        return new Entry(
                interval ? "interval rest" : "programmed rest",
                stretch.arrivalMs(),
                stretch.startMs(),
                0,
                0,
                0,
                0,
                stretch.first().waitMs(),
                0,
                0);
    }

    private static String round(AttemptLog log, Stretch stretch) {
        if (stretch.whole()) {
            return stretch.place();
        }
        var segment = stretch.segment();
        return segment.inRounds() && !log.expanded().isMostRep(segment)
                ? segment.lap().words()
                : segment.line().name();
    }

    private static Entry named(Entry entry, String name) {
        return new Entry(
                name,
                entry.fromMs,
                entry.toMs,
                entry.workMs,
                entry.restMs,
                entry.transitionMs,
                entry.faultMs,
                entry.waitMs,
                entry.unseparatedMs,
                entry.unfinishedMs);
    }

    private static Entry entry(Stretch stretch) {
        SegmentSplit split = stretch.first();
        if (stretch.whole()) {
            return new Entry(
                    stretch.name(),
                    stretch.startMs(),
                    stretch.endMs(),
                    0,
                    0,
                    0,
                    0,
                    0,
                    stretch.elapsedMs() - split.waitMs() - stretch.unfinishedMs(),
                    stretch.unfinishedMs());
        }
        long faults = Math.min(split.faultMs(), split.workMs());
        return new Entry(
                stretch.name(),
                stretch.startMs(),
                stretch.endMs(),
                split.workMs() - faults,
                split.restMs(),
                split.transitionMs(),
                faults,
                0,
                split.unseparatedMs(),
                split.unfinishedMs());
    }
}
