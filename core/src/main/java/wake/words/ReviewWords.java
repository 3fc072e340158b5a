package wake.words;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Lift;
import wake.reading.Baseline;
import wake.reading.Compared;
import wake.reading.Finding;
import wake.reading.MaxReps;
import wake.reading.ObservationCount;
import wake.reading.OutOfReach;
import wake.reading.Reading;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;

/** A review in sentences: the headline, each finding, what went out of reach. */
public final class ReviewWords {
    private static final double NEARLY_ALL = 0.8;
    private static final int WHOLE_PERCENT = 90;
    private static final String NO_BEST_SPLITS =
            ", so there are no best splits. Compare with a plan or another attempt.";

    private final Reading reading;
    private final Digits digits;

    private ReviewWords(Reading reading) {
        this.reading = reading;
        this.digits = reading.log().digits();
    }

    /** The answer, then the biggest loss. */
    public static String headline(Reading reading) {
        return new ReviewWords(reading).headline();
    }

    /**
     * What – how much – compared with what – where.
     *
     * @param digits the precision of the times in the log
     */
    public static String finding(Finding finding, Digits digits) {
        return switch (finding.kind()) {
            case CAUSE -> byCause(finding, digits);
            case FAST_START -> fastStart(finding, digits);
            case SLOW_ROUND -> slowRound(finding, digits);
        };
    }

    private static String byCause(Finding finding, Digits digits) {
        String movement = finding.movement();
        String name = Messages.capital(movement);
        String time = digits.span(finding.lostMs());
        String than = baseline(finding.against());
        String where = where(finding.moments());
        return switch (finding.cause()) {
            case PACE ->
                name + ": " + time + " lost to " + (finding.reps() ? "slower reps" : "a slower pace") + " than " + than
                        + where + ".";
            case REST -> name + ": " + time + " more rest than " + than + where + ".";
            case TRANSITION ->
                (finding.moments().size() == 1 ? "Transition into " : "Transitions into ") + movement + ": " + time
                        + " longer than " + than + where + ".";
            case FAULT ->
                name + ": " + time + " lost to " + (finding.faults() == 1 ? "1 fault" : finding.faults() + " faults")
                        + where + ".";
            case INTERVAL_REST -> "Before " + movement + ": " + time + " more interval rest than " + than + ".";
            case UNSEPARATED ->
                name + ": " + time + " " + over(finding.against()) + where
                        + (finding.roundsOnly()
                                ? ". Log movement splits to see where."
                                : ". Log its sets to see whether that was pace or rest.");
            case UNLIKE -> name + ": different work in the other attempt, not compared.";
            case UNFINISHED -> name + ": cut off at the end of the attempt.";
        };
    }

    private static String baseline(Baseline.Kind baseline) {
        return switch (baseline) {
            case PLAN, EDITED_PLAN, FALLBACK -> "planned";
            case BEST_SPLITS -> "the best splits";
            case ATTEMPT -> "in the other attempt";
        };
    }

    private static String over(Baseline.Kind baseline) {
        return switch (baseline) {
            case PLAN, EDITED_PLAN, FALLBACK -> "over plan";
            case BEST_SPLITS -> "over the best splits";
            case ATTEMPT -> "over the other attempt";
        };
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

    private static String fastStart(Finding finding, Digits digits) {
        return "Fast start" + (finding.movement().isEmpty() ? "" : " in " + finding.movement()) + ": round 1 was "
                + digits.span(finding.savedMs()) + " faster than " + baseline(finding.against())
                + ", the later rounds " + digits.span(finding.lostMs()) + " slower.";
    }

    private static String slowRound(Finding finding, Digits digits) {
        return Messages.capital(finding.moments().getFirst().round()) + " was " + digits.span(finding.lostMs())
                + " slower than the others"
                + (finding.roundsOnly() ? ". Log movement splits to see where." : ", for several reasons.");
    }

    private String headline() {
        AttemptLog log = reading.log();
        if (!log.lifts().isEmpty()) {
            long made = log.lifts().stream().filter(Lift::made).count();
            return "Best " + log.scoreWords() + ", " + made + " of "
                    + log.lifts().size() + (log.lifts().size() == 1 ? " lift made." : " lifts made.");
        }
        if (log.splits().isEmpty()) {
            return "Nothing is logged yet.";
        }
        String soFar = log.over() ? "" : "So far: ";
        Optional<MaxReps> most = MaxReps.of(log).filter(reps -> reps.done() > 0);
        if (most.isPresent() && reading.compared().nothing()) {
            return most(most.get());
        }
        if (reading.compared().nothing()) {
            return soFar.isEmpty() ? missing(reading.compared()) : soFar + lower(missing(reading.compared()));
        }
        long behind = reading.ledger().totalMs() - reading.ledger().totals().getOrDefault(Cause.UNLIKE, 0L);
        String said = gap(behind)
                + reps()
                + (reading.compared().percent() >= WHOLE_PERCENT
                        ? ""
                        : " (" + reading.compared().words() + " compared)")
                + "."
                + (reading.findings().isEmpty() && digits.nothing(behind) ? "" : biggest());
        return soFar.isEmpty() ? said : soFar + lower(said);
    }

    /** Reps by the minute, and the gap. */
    private String most(MaxReps most) {
        if (most.fromMs() == most.untilMs()) {
            return most.done() + " " + most.movement() + ", all logged at "
                    + ClockTime.of(most.fromMs()).toSeconds() + ", with no time between them.";
        }
        String reps = most.done() + " " + most.movement() + " in "
                + ClockTime.of(most.untilMs() - most.fromMs()).toSeconds() + ", "
                + most.minutes().getFirst().done() + " in the first minute.";
        return reps
                + most.pauses().stream()
                        .max(Comparator.comparingLong(MaxReps.Pause::overMs))
                        .map(pause -> " Longest gap: " + digits.span(pause.toMs() - pause.fromMs()) + " at "
                                + ClockTime.of(pause.fromMs()).toSeconds() + ".")
                        .orElse("");
    }

    private String gap(long behind) {
        Baseline baseline = reading.baseline();
        boolean plan = baseline.kind().isPlan();
        if (digits.nothing(behind)) {
            return (plan ? "Exactly on " : "Level with ") + baseline.words();
        }
        String gap = digits.headline(Math.abs(behind));
        if (plan) {
            return gap + (behind > 0 ? " behind " : " ahead of ") + baseline.words();
        }
        return gap + (behind > 0 ? " slower than " : " faster than ") + baseline.words();
    }

    private String biggest() {
        if (reading.findings().isEmpty()) {
            return " No single cause stands out.";
        }
        Finding first = reading.findings().getFirst();
        String lost = digits.headline(first.lostMs());
        return " Biggest loss: "
                + switch (first.kind()) {
                    case FAST_START -> lost + " after a fast first round.";
                    case SLOW_ROUND ->
                        lost + " in " + first.moments().getFirst().round() + ".";
                    case CAUSE -> shortly(first, lost) + ".";
                };
    }

    private static String shortly(Finding finding, String lost) {
        return switch (finding.cause()) {
            case PACE -> lost + " at a slower " + (finding.reps() ? "rate" : "pace") + " on " + finding.movement();
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
    private String reps() {
        AttemptLog log = reading.log();
        Baseline baseline = reading.baseline();
        if (!log.expanded().isOpen() || !log.over() || baseline.done().isEmpty()) {
            return "";
        }
        int fewer = baseline.done().getAsInt() - log.score().done();
        if (fewer == 0) {
            return " for the same work, with as many reps";
        }
        String reps = Math.abs(fewer) == 1 ? " rep" : " reps";
        return " for the same work, " + Math.abs(fewer) + (fewer > 0 ? " fewer" : " more") + reps + " at the buzzer";
    }

    /** What a list of findings says when it is empty. */
    public static String noFindings(Reading reading) {
        if (reading.log().splits().isEmpty()) {
            return "Nothing is logged yet.";
        }
        List<String> said = new ArrayList<>();
        if (reading.compared().nothing()) {
            said.add(missing(reading.compared()));
        } else if (reading.compared().percent() < WHOLE_PERCENT) {
            said.add("Nothing stands out in what could be compared, "
                    + reading.compared().words() + ".");
        } else {
            said.add("No loss bigger than a second or the timing error.");
        }
        if (!reading.baseline().unmatched().isEmpty()) {
            said.add("Not in the other attempt: "
                    + String.join(", ", reading.baseline().unmatched()) + ".");
        }
        return String.join(" ", said);
    }

    private static String missing(Compared compared) {
        return switch (compared.missing()) {
            case LIKE_WORK -> "The other attempt has none of this work at the same load. Compare with a plan.";
            case SPLITS ->
                "Only round splits were logged, and the rounds differ. Compare with a plan or another attempt.";
            case REPEATS -> "No movement repeats" + NO_BEST_SPLITS;
            case REPEATS_AT_LOAD -> "No movement repeats at the same load" + NO_BEST_SPLITS;
        };
    }

    /** "“Heels lifted”: 5 times in 30 reps of wall-ball shot, rounds 2 and 3". */
    public static String observed(ObservationCount count) {
        String rounds = count.rounds().isEmpty()
                ? ""
                : ", round" + (count.rounds().size() > 1 ? "s " : " ") + Messages.listed(count.rounds());
        return "“" + Messages.capital(count.text()) + "”: " + count.times() + " times in "
                + (count.ofReps().isPresent() ? count.ofReps().getAsInt() + " reps of " : "") + count.movement()
                + rounds;
    }

    /** Where a cut-off, the cap or the goal was lost. */
    public static String outOfReach(OutOfReach lost, Digits digits) {
        String what = Messages.capital(lost.what().words());
        return lost.lateMs().isPresent()
                ? Messages.of(
                        "%s went out of reach at %s, in %s: from %s to spare to %s late, at planned pace for what was left.",
                        what,
                        ClockTime.of(lost.toMs()).toSeconds(),
                        lost.place(),
                        digits.span(lost.toSpareMs()),
                        digits.span(lost.lateMs().getAsLong()))
                : Messages.of(
                        "%s was still on at %s, with %s to spare at planned pace. It was lost in %s.",
                        what, ClockTime.of(lost.fromMs()).toSeconds(), digits.span(lost.toSpareMs()), lost.place());
    }
}
