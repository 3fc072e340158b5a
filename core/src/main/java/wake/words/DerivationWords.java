package wake.words;

import java.util.ArrayList;
import java.util.List;
import wake.log.Cause;
import wake.reading.Baseline;
import wake.reading.Finding;
import wake.reading.Finding.Term;
import wake.units.Digits;
import wake.units.Messages;

/** How the figure of a finding was worked out: formula, values, source, a line each. */
public final class DerivationWords {
    private static final String ERROR_SOURCE =
            "u of a time by how its mark was made; of a sum √Σu² (JCGM 100:2008, 5.1.2)";

    private static final String VARIATION =
            "Best: the least of the comparable splits. Within normal variation nothing counts as lost: 2% (assumed) or the scatter they show,"
                    + " times the range of as many (studentized range, 98%; Tippett 1925)";

    private DerivationWords() {}

    /**
     * The lines behind "How this is calculated".
     *
     * @param digits the precision of the times in the log
     */
    public static List<String> of(Finding finding, Digits digits) {
        return switch (finding.kind()) {
            case CAUSE -> byCause(finding, digits);
            case FAST_START -> fastStart(finding, digits);
            case SLOW_ROUND -> slowRound(finding, digits);
        };
    }

    private static List<String> byCause(Finding finding, Digits digits) {
        List<String> lines = new ArrayList<>();
        lines.add(formula(finding.cause(), finding.against()));
        for (Term term : finding.terms()) {
            lines.add(Messages.of(
                    "%s: %s − %s = %s",
                    term.place(),
                    digits.span(term.actualMs()),
                    digits.span(term.actualMs() - term.lostMs()),
                    digits.signed(term.lostMs())));
        }
        lines.add("Total " + digits.signed(finding.lostMs()));
        if (finding.against() == Baseline.Kind.BEST_SPLITS && finding.cause() != Cause.FAULT) {
            lines.add(VARIATION);
        }
        lines.add("Timing error 2u = " + Digits.TENTHS.span(finding.readingErrorMs()) + ": " + ERROR_SOURCE);
        return lines;
    }

    private static String formula(Cause cause, Baseline.Kind against) {
        String of = switch (against) {
            case PLAN, EDITED_PLAN, FALLBACK -> "planned ";
            case BEST_SPLITS -> "best ";
            case ATTEMPT -> "the other attempt's ";
        };
        return switch (cause) {
            case PACE -> "Pace loss = (work − faults) − " + of + "work, per split";
            case REST -> "Rest loss = rest − " + of + "rest, per split";
            case TRANSITION ->
                "Transition loss = (movement starts − end of the movement before) − " + of + "transition";
            case FAULT ->
                "Fault loss = (next counted rep − the one before) − the median time per rep, less what is planned for failed reps";
            case INTERVAL_REST -> "Interval rest = what was left of the interval − what was planned";
            case UNSEPARATED -> "Unassigned = split − " + of + "split, where only the end of the movement was logged";
            case UNLIKE -> "Different work = split − split in the other attempt, at another load or amount";
            case UNFINISHED -> "Unfinished = end of the attempt − the last unit that counts";
        };
    }

    private static List<String> fastStart(Finding finding, Digits digits) {
        List<String> lines = new ArrayList<>();
        lines.add("Pace loss, round by round: Σ (work − faults − expected work)");
        finding.terms().forEach(term -> lines.add(term.place() + ": " + digits.signed(term.lostMs())));
        lines.add("Faster in round 1: " + digits.span(finding.savedMs()) + "; slower after it: "
                + digits.span(finding.lostMs()));
        lines.add("A start counts as fast from 3% and 2 s on (assumed)");
        return lines;
    }

    private static List<String> slowRound(Finding finding, Digits digits) {
        String slow = finding.moments().getFirst().round();
        List<String> lines = new ArrayList<>();
        lines.add("Each round − expected; a round counts as slow beyond their trend (Theil–Sen) + 3 · 1.4826 · MAD");
        finding.terms()
                .forEach(term -> lines.add(term.place() + ": " + digits.signed(term.lostMs())
                        + (term.place().equals(slow) ? "  ←" : "")));
        lines.add("Expected by the trend of the rounds " + digits.signed(finding.trendMs()));
        return lines;
    }
}
