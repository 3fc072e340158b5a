package wake.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.Phase;
import wake.units.ClockTime;

/** The sentences of a reading, made from its numbers. */
final class Words {
    private Words() {}

    /** Seconds as coaches say them: "4.2 s" below ten, "14 s" from there, "1:44" from a hundred. */
    static String seconds(long ms) {
        double seconds = Math.abs(ms) / 1000.0;
        if (seconds >= 99.5) {
            return ClockTime.of(Math.abs(ms) + 500).toSeconds();
        }
        return seconds >= 9.95
                ? String.format(Locale.ROOT, "%d s", Math.round(seconds))
                : String.format(Locale.ROOT, "%.1f s", seconds);
    }

    static String finding(
            String movement, Cause cause, long lost, List<SegmentDelta> involved, Yardstick.Kind yardstick) {
        long times = involved.stream()
                .filter(delta -> delta.byCause().getOrDefault(cause, 0L) > 0)
                .count();
        String often = times == 1 ? "once" : times + " times";
        String against = yardstick == Yardstick.Kind.PLAN ? "planned" : "the best of this attempt";
        return switch (cause) {
            case PACE -> "The " + movement + " ran slower than " + against + ": " + seconds(lost) + " in all.";
            case REST ->
                "Rests in the " + movement + " cost " + seconds(lost) + " more than " + against + ", " + often + ".";
            case TRANSITION ->
                "Getting to the " + movement + " took " + seconds(lost) + " more than " + against + ", " + often + ".";
            case FAULT -> "Faults in the " + movement + " cost " + seconds(lost) + ".";
            case INTERVAL_REST ->
                "Intervals before the " + movement + " left " + seconds(lost) + " more rest than " + against + ".";
            case UNSEPARATED ->
                "The " + movement + " took " + seconds(lost) + " more than " + against
                        + "; the marks do not say whether by pace or rest.";
        };
    }

    /** The answer in one sentence. */
    static String answer(AttemptLog log, Ledger ledger, List<Finding> findings, Yardstick.Kind yardstick) {
        if (!log.lifts().isEmpty()) {
            long made = log.lifts().stream().filter(Lift::made).count();
            return "Best " + log.score().words() + ", " + made + " of "
                    + log.lifts().size() + " lifts made.";
        }
        if (log.splits().isEmpty()) {
            return "Nothing is logged yet.";
        }
        String soFar = log.phase() == Phase.FINISHED || log.phase() == Phase.STOPPED ? "" : "So far: ";
        long behind = ledger.totalMs();
        String against = yardstick.words();
        Optional<Finding> first = findings.stream().findFirst();
        if (Math.abs(behind) < 50) {
            return soFar + "on " + against + " to the tenth.";
        }
        String lead = soFar + seconds(behind) + (behind > 0 ? " behind " : " ahead of ") + against;
        if (first.isEmpty()) {
            return lead + "; no single cause stands out.";
        }
        String cause = causeWords(first.get());
        if (behind < 0) {
            return lead + ", even with " + seconds(first.get().lostMs()) + " lost to " + cause + ".";
        }
        return first.get().lostMs() > behind
                ? lead + "; " + cause + " cost " + seconds(first.get().lostMs()) + ", some of it won back elsewhere."
                : lead + "; " + seconds(first.get().lostMs()) + " of it is " + cause + ".";
    }

    private static String causeWords(Finding finding) {
        return switch (finding.cause()) {
            case PACE -> "the pace of the " + finding.movement();
            case REST -> "rest in the " + finding.movement();
            case TRANSITION -> "getting to the " + finding.movement();
            case FAULT -> "faults in the " + finding.movement();
            case INTERVAL_REST -> "rest between intervals";
            case UNSEPARATED -> "somewhere in the " + finding.movement();
        };
    }
}
