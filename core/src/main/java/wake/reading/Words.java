package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.units.Digits;
import wake.units.Say;
import wake.workout.Lap;

/** The sentences of a reading, made from its numbers. */
final class Words {
    private static final double NEARLY_ALL = 0.8;
    private static final int WHOLE_PERCENT = 90;

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
        String often = often(moments, moments.size() == 1 ? ", once" : ", " + moments.size() + " times");
        String against = against(yardstick);
        boolean whole = involved.stream().allMatch(delta -> delta.stretch().whole());
        return switch (cause) {
            case PACE ->
                "The " + movement + " ran slower than " + against + ": " + digits.span(lost) + " in all"
                        + often(moments, "") + ".";
            case REST ->
                "Rests in the " + movement + " cost " + digits.span(lost) + " more than " + against + often + ".";
            case TRANSITION ->
                "Getting to the " + movement + " took " + digits.span(lost) + " more than " + against + often + ".";
            case FAULT -> "Faults in the " + movement + " cost " + digits.span(lost) + often(moments, "") + ".";
            case INTERVAL_REST ->
                "Intervals before the " + movement + " left " + digits.span(lost) + " more rest than " + against + ".";
            case UNSEPARATED ->
                whole
                        ? "The " + movement + " took " + digits.span(lost) + " more than " + against
                                + often(moments, "")
                                + "; only their ends were noted, so which movement it was is not known."
                        : "The " + movement + " took " + digits.span(lost) + " more than " + against
                                + often(moments, "") + "; the marks do not say whether by pace or rest.";
            case UNLIKE -> "The " + movement + " is not the same work as in the other attempt.";
            case UNFINISHED -> "The " + movement + " were cut off by the bell.";
        };
    }

    private static String against(Yardstick.Kind yardstick) {
        return switch (yardstick) {
            case PLAN, FALLBACK -> "planned";
            case OWN_BEST -> "the best of this attempt";
            case ATTEMPT -> "in the other attempt";
        };
    }

    /** Where nearly all that was lost was lost in one place, that place; else the words given. */
    private static String often(List<Finding.Moment> moments, String otherwise) {
        long lost = moments.stream().mapToLong(Finding.Moment::lostMs).sum();
        if (moments.isEmpty() || moments.getFirst().lostMs() < NEARLY_ALL * lost) {
            return otherwise;
        }
        String label = moments.getFirst().label();
        if (!label.startsWith("round ")) {
            return otherwise;
        }
        String place = label.replaceFirst(" · .*", "");
        return moments.size() == 1 ? ", once, in " + place : ", nearly all of it in " + place;
    }

    String fastStart(Lap first, long won, long lost, Yardstick.Kind yardstick) {
        String block = first.block().name();
        return "The first round" + (block.isEmpty() ? "" : " of " + block) + " was " + digits.span(won)
                + " faster than " + against(yardstick) + "; the rounds after it ran " + digits.span(lost)
                + " slower.";
    }

    String slowRound(Lap lap, long lost, boolean whole) {
        return Say.capital(lap.words()) + " took " + digits.span(lost)
                + " longer than the others"
                + (whole ? "; only its end was noted, so where is not known." : ", and not by one cause alone.");
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
        String against = yardstick.words() + reps(log, yardstick);
        Optional<Finding> first = findings.stream().findFirst();
        String part =
                compared.percent() >= WHOLE_PERCENT ? "" : " in the " + compared.words() + " that can be compared";
        String said;
        if (digits.nothing(behind)) {
            said = "on " + against + (digits == Digits.TENTHS ? " to the tenth" : " to the second") + part + ".";
        } else {
            said = digits.span(Math.abs(behind))
                    + (behind > 0 ? " behind " : " ahead of ")
                    + against
                    + part
                    + because(first, behind);
        }
        return soFar + (soFar.isEmpty() ? Say.capital(said) : said);
    }

    private String because(Optional<Finding> first, long behind) {
        if (first.isEmpty()) {
            return "; no single cause stands out.";
        }
        Optional<String> round = wholeRound(first.get());
        if (round.isPresent()) {
            return behind < 0 ? "." : "; " + round.get() + " took the most of it.";
        }
        String cause = causeWords(first.get());
        String lost = digits.span(first.get().lostMs());
        if (behind < 0) {
            return ", even with " + lost + " lost to " + cause + ".";
        }
        if (lost.equals(digits.span(behind))) {
            return ", all of it " + cause + ".";
        }
        return first.get().lostMs() > behind
                ? "; " + cause + " cost " + lost + ", some of it won back elsewhere."
                : "; " + lost + " of it is " + cause + ".";
    }

    /** The dearest round, where a finding is of rounds of which only the ends were noted. */
    private static Optional<String> wholeRound(Finding finding) {
        return finding.cause() == Cause.UNSEPARATED
                ? finding.moments().stream()
                        .limit(1)
                        .map(Finding.Moment::label)
                        .filter(label -> label.startsWith("round ") && !label.contains(" · "))
                        .findFirst()
                : Optional.empty();
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
            case UNSEPARATED, UNLIKE, UNFINISHED -> "somewhere in the " + finding.movement();
        };
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
            said.add("Nothing stands out in the " + compared.words()
                    + " that can be compared; of the rest nothing can be said.");
        } else {
            said.add("Nothing cost more than a second that the reading error could not explain.");
        }
        if (!unmatched.isEmpty()) {
            said.add("Not in the other attempt: " + String.join(", ", unmatched) + ".");
        }
        return String.join(" ", said);
    }
}
