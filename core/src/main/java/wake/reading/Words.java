package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.units.Digits;
import wake.units.Say;
import wake.units.Unit;
import wake.workout.Lap;

/** The sentences of a reading, made from its numbers. */
final class Words {
    private static final double NEARLY_ALL = 0.8;
    private static final int WHOLE_PERCENT = 90;
    private static final long WHOLE_FROM_MS = 10_000;

    private final Digits digits;

    Words(Digits digits) {
        this.digits = digits;
    }

    String finding(
            String movement,
            Cause cause,
            long lost,
            List<SegmentDelta> involved,
            List<Finding.Moment> moments,
            Yardstick.Kind yardstick) {
        String name = Say.capital(movement);
        String time = digits.span(lost);
        String where = where(moments);
        return switch (cause) {
            case PACE ->
                name + ": " + time + " lost to " + rate(involved) + " than " + baseline(yardstick) + where + ".";
            case REST -> name + ": " + time + " more rest than " + baseline(yardstick) + where + ".";
            case TRANSITION ->
                (moments.size() == 1 ? "Transition into " : "Transitions into ") + movement + ": " + time
                        + " longer than " + baseline(yardstick) + where + ".";
            case FAULT -> name + ": " + time + " lost to " + faults(involved) + where + ".";
            case INTERVAL_REST ->
                "Before " + movement + ": " + time + " more interval rest than " + baseline(yardstick) + ".";
            case UNSEPARATED ->
                name + ": " + time + " " + over(yardstick) + where
                        + (involved.stream().allMatch(delta -> delta.stretch().whole())
                                ? ". Log movement splits to see where."
                                : ". Log its sets to see whether that was pace or rest.");
            case UNLIKE -> name + ": different work in the other attempt, not compared.";
            case UNFINISHED -> name + ": cut off at the end of the attempt.";
        };
    }

    private static String baseline(Yardstick.Kind yardstick) {
        return switch (yardstick) {
            case PLAN, FALLBACK -> "planned";
            case OWN_BEST -> "the best splits";
            case ATTEMPT -> "in the other attempt";
        };
    }

    private static String over(Yardstick.Kind yardstick) {
        return switch (yardstick) {
            case PLAN, FALLBACK -> "over plan";
            case OWN_BEST -> "over the best splits";
            case ATTEMPT -> "over the other attempt";
        };
    }

    /** Reps are slower, machines and distances have a pace. */
    private static String rate(List<SegmentDelta> involved) {
        return involved.stream()
                        .allMatch(delta -> delta.stretch().segment().amount().unit() == Unit.REP)
                ? "slower reps"
                : "a slower pace";
    }

    private static String faults(List<SegmentDelta> involved) {
        int count = involved.stream()
                .flatMap(delta -> delta.stretch().splits().stream())
                .mapToInt(split -> split.faults().size())
                .sum();
        return count == 1 ? "1 fault" : count + " faults";
    }

    /** The round where nearly all of it was lost; else over how many splits it is spread. */
    private static String where(List<Finding.Moment> moments) {
        if (moments.isEmpty()) {
            return "";
        }
        long lost = moments.stream().mapToLong(Finding.Moment::lostMs).sum();
        Finding.Moment largest = moments.getFirst();
        if (largest.lostMs() >= NEARLY_ALL * lost && !largest.round().isEmpty()) {
            return moments.size() == 1 ? ", in " + largest.round() : ", nearly all in " + largest.round();
        }
        return moments.size() == 1 ? "" : ", across " + moments.size() + " splits";
    }

    String fastStart(Lap first, long won, long lost, Yardstick.Kind yardstick) {
        String block = first.block().name();
        return "Fast start" + (block.isEmpty() ? "" : " in " + block) + ": round 1 was " + digits.span(won)
                + " faster than " + baseline(yardstick) + ", the later rounds " + digits.span(lost) + " slower.";
    }

    String slowRound(Lap lap, long lost, boolean whole) {
        return Say.capital(lap.words()) + " was " + digits.span(lost) + " slower than the others"
                + (whole ? ". Log movement splits to see where." : ", for several reasons.");
    }

    /** The answer in one sentence. */
    String answer(AttemptLog log, Ledger ledger, List<Finding> findings, Yardstick yardstick, Compared compared) {
        if (!log.lifts().isEmpty()) {
            long made = log.lifts().stream().filter(Lift::made).count();
            return "Best " + log.scoreWords() + ", " + made + " of "
                    + log.lifts().size() + (log.lifts().size() == 1 ? " lift made." : " lifts made.");
        }
        if (log.splits().isEmpty()) {
            return "Nothing is logged yet.";
        }
        String soFar = log.over() ? "" : "So far: ";
        if (compared.nothing()) {
            return soFar.isEmpty() ? compared.missing() : soFar + lower(compared.missing());
        }
        long behind = ledger.totalMs() - ledger.totals().getOrDefault(Cause.UNLIKE, 0L);
        String said = gap(behind, yardstick)
                + reps(log, yardstick)
                + (compared.percent() >= WHOLE_PERCENT ? "" : " (" + compared.words() + " compared)")
                + "."
                + (findings.isEmpty() && digits.nothing(behind) ? "" : biggest(findings));
        return soFar.isEmpty() ? said : soFar + lower(said);
    }

    private String gap(long behind, Yardstick yardstick) {
        boolean plan = yardstick.kind() == Yardstick.Kind.PLAN || yardstick.kind() == Yardstick.Kind.FALLBACK;
        if (digits.nothing(behind)) {
            return (plan ? "Exactly on " : "Level with ") + yardstick.words();
        }
        String gap = rounded(Math.abs(behind));
        if (plan) {
            return gap + (behind > 0 ? " behind " : " ahead of ") + yardstick.words();
        }
        return gap + (behind > 0 ? " slower than " : " faster than ") + yardstick.words();
    }

    /** A headline has whole seconds, from ten on. */
    private String rounded(long ms) {
        return (ms < WHOLE_FROM_MS ? digits : Digits.WHOLE).span(ms);
    }

    private String biggest(List<Finding> findings) {
        if (findings.isEmpty()) {
            return " No single cause stands out.";
        }
        Finding first = findings.getFirst();
        String lost = rounded(first.lostMs());
        return " Biggest loss: "
                + switch (first.kind()) {
                    case FAST_START -> lost + " after a fast first round.";
                    case SLOW_ROUND ->
                        lost + " in " + first.moments().getFirst().round() + ".";
                    case CAUSE -> byCause(first, lost) + ".";
                };
    }

    private static String byCause(Finding finding, String lost) {
        return switch (finding.cause()) {
            case PACE -> lost + " at a slower rate on " + finding.movement();
            case REST -> lost + " extra rest on " + finding.movement();
            case TRANSITION -> lost + " in transitions into " + finding.movement();
            case FAULT -> lost + " of faults on " + finding.movement();
            case INTERVAL_REST -> lost + " of interval rest";
            case UNSEPARATED, UNLIKE, UNFINISHED ->
                finding.moments().stream()
                        .limit(1)
                        .map(Finding.Moment::round)
                        .filter(round -> !round.isEmpty())
                        .map(round -> lost + " on " + finding.movement() + ", most of it in " + round)
                        .findFirst()
                        .orElse(lost + " on " + finding.movement());
        };
    }

    private static String lower(String words) {
        return words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    /** Of an AMRAP that is over, the difference in reps beside that in seconds at the same work. */
    private static String reps(AttemptLog log, Yardstick yardstick) {
        if (!log.course().isOpen() || !log.over() || yardstick.done().isEmpty()) {
            return "";
        }
        int fewer = yardstick.done().getAsInt() - log.score().done();
        if (fewer == 0) {
            return " for the same work, with as many reps";
        }
        String reps = Math.abs(fewer) == 1 ? " rep" : " reps";
        return " for the same work, " + Math.abs(fewer) + (fewer > 0 ? " fewer" : " more") + reps + " at the buzzer";
    }

    /** What a list of findings says when it is empty. */
    static String noFindings(AttemptLog log, Compared compared, List<String> unmatched) {
        if (log.splits().isEmpty()) {
            return "Nothing is logged yet.";
        }
        List<String> said = new ArrayList<>();
        if (compared.nothing()) {
            said.add(compared.missing());
        } else if (compared.percent() < WHOLE_PERCENT) {
            said.add("Nothing stands out in what could be compared, " + compared.words() + ".");
        } else {
            said.add("No loss bigger than a second or the timing error.");
        }
        if (!unmatched.isEmpty()) {
            said.add("Not in the other attempt: " + String.join(", ", unmatched) + ".");
        }
        return String.join(" ", said);
    }
}
