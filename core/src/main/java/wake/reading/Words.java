package wake.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.Phase;
import wake.units.ClockTime;
import wake.units.Seconds;

/** The sentences of a reading, made from its numbers. */
final class Words {
    private Words() {}

    /** Seconds as coaches say them: "4.2 s" below ten, "14 s" from there, "1:44" from a hundred. */
    static String seconds(long ms) {
        double seconds = Math.abs(ms) / 1000.0;
        if (seconds >= 99.5) {
            return ClockTime.of(Math.abs(ms) + 500).toSeconds();
        }
        return seconds >= 9.95 ? String.format(Locale.ROOT, "%d s", Math.round(seconds)) : Seconds.words(Math.abs(ms));
    }

    private static final double NEARLY_ALL = 0.8;

    static String finding(
            String movement, Cause cause, long lost, List<Finding.Moment> moments, Yardstick.Kind yardstick) {
        String often = often(moments, lost);
        String against = against(yardstick);
        return switch (cause) {
            case PACE ->
                "The " + movement + " ran slower than " + against + ": " + seconds(lost) + " in all"
                        + often(moments, lost, "") + ".";
            case REST -> "Rests in the " + movement + " cost " + seconds(lost) + " more than " + against + often + ".";
            case TRANSITION ->
                "Getting to the " + movement + " took " + seconds(lost) + " more than " + against + often + ".";
            case FAULT -> "Faults in the " + movement + " cost " + seconds(lost) + often(moments, lost, "") + ".";
            case INTERVAL_REST ->
                "Intervals before the " + movement + " left " + seconds(lost) + " more rest than " + against + ".";
            case UNSEPARATED ->
                "The " + movement + " took " + seconds(lost) + " more than " + against
                        + "; the marks do not say whether by pace or rest.";
        };
    }

    private static String against(Yardstick.Kind yardstick) {
        return switch (yardstick) {
            case PLAN, FALLBACK -> "planned";
            case OWN_BEST -> "the best of this attempt";
            case ATTEMPT -> "in the other attempt";
        };
    }

    private static String often(List<Finding.Moment> moments, long lost) {
        return often(moments, lost, moments.size() == 1 ? ", once" : ", " + moments.size() + " times");
    }

    /** Where nearly all of it happened in one place, that place; else the words given. */
    private static String often(List<Finding.Moment> moments, long lost, String otherwise) {
        if (moments.isEmpty()
                || moments.getFirst().lostMs() < NEARLY_ALL * lost
                || !moments.getFirst().label().contains(" · ")) {
            return otherwise;
        }
        String place = moments.getFirst().label().replaceFirst(" · .*", "");
        return moments.size() == 1 ? ", once, in " + place : ", nearly all of it in " + place;
    }

    static String fastStart(long won, long lost, Yardstick.Kind yardstick) {
        return "The first round was " + seconds(won) + " faster than " + against(yardstick)
                + "; the rounds after it ran " + seconds(lost) + " slower.";
    }

    static String slowRound(int round, long lost) {
        return "Round " + round + " took " + seconds(lost) + " longer than the others, and not by one cause alone.";
    }

    /** The answer in one sentence. */
    static String answer(AttemptLog log, Ledger ledger, List<Finding> findings, Yardstick yardstick) {
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
        String against = yardstick.words() + reps(log, yardstick);
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

    /** Of an AMRAP that is over, the difference in reps beside that in seconds at the same work. */
    private static String reps(AttemptLog log, Yardstick yardstick) {
        if (!log.course().isOpen() || !log.over() || yardstick.done().isEmpty()) {
            return "";
        }
        int fewer = yardstick.done().getAsInt() - log.score().done();
        if (fewer == 0) {
            return " at the same work, with as many reps";
        }
        String count = Math.abs(fewer) == 1 ? "1 rep" : Math.abs(fewer) + " reps";
        return " at the same work, " + count + (fewer > 0 ? " fewer" : " more") + " by the bell";
    }

    private static String causeWords(Finding finding) {
        switch (finding.kind()) {
            case FAST_START -> {
                return "the price of a fast first round";
            }
            case SLOW_ROUND -> {
                return finding.moments().getFirst().label();
            }
            case CAUSE -> {}
        }
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
