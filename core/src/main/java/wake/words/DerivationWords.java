package wake.words;

import java.util.ArrayList;
import java.util.List;
import wake.reading.Cause;
import wake.reading.Finding;
import wake.reading.Finding.Term;
import wake.units.Digits;
import wake.units.Messages;

/** How the figure of a finding was worked out: formula, values, source, a line each. */
public final class DerivationWords {
    private static final String ERROR_SOURCE =
            "u of a time by how its mark was made; of a sum √Σu² (JCGM 100:2008, 5.1.2)";

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
        lines.add(formula(finding.cause()));
        for (Term term : finding.terms()) {
            lines.add(Messages.of(
                    "%s: %s − %s = %s",
                    term.place(),
                    digits.span(term.actualMs()),
                    digits.span(term.actualMs() - term.lostMs()),
                    digits.signed(term.lostMs())));
        }
        lines.add("Total " + digits.signed(finding.lostMs()));
        lines.add("Timing error 2u = " + Digits.TENTHS.span(finding.readingErrorMs()) + ": " + ERROR_SOURCE);
        return lines;
    }

    private static String formula(Cause cause) {
        return switch (cause) {
            case PACE -> "Pace loss = (work − faults) − planned work, per split";
            case REST -> "Rest loss = rest − planned rest, per split";
            case TRANSITION -> "Transition loss = (movement starts − end of the movement before) − planned transition";
            case FAULT ->
                "Fault loss = (next counted rep − the one before) − the median time per rep, less what is planned for failed reps";
            case INTERVAL_REST -> "Interval rest = what was left of the interval − what was planned";
            case UNSEPARATED -> "Unassigned = split − planned split, where only the end of the movement was logged";
            case UNLIKE -> "Different work = split − split in the other attempt, at another load or amount";
            case UNFINISHED -> "Unfinished = end of the attempt − the last unit that counts";
        };
    }

    private static List<String> fastStart(Finding finding, Digits digits) {
        List<String> lines = new ArrayList<>();
        lines.add("Pace loss, round by round: Σ (work − faults − planned work)");
        finding.terms().forEach(term -> lines.add(term.place() + ": " + digits.signed(term.lostMs())));
        lines.add("Faster in round 1: " + digits.span(finding.savedMs()) + "; slower after it: "
                + digits.span(finding.lostMs()));
        lines.add("A start counts as fast from 3% and 2 s on (assumed)");
        return lines;
    }

    private static List<String> slowRound(Finding finding, Digits digits) {
        String slow = finding.moments().getFirst().round();
        List<String> lines = new ArrayList<>();
        lines.add("Each round − planned; a round counts as slow beyond median + 3 · 1.4826 · MAD");
        finding.terms()
                .forEach(term -> lines.add(term.place() + ": " + digits.signed(term.lostMs())
                        + (term.place().equals(slow) ? "  ←" : "")));
        lines.add("Median " + digits.signed(finding.medianMs()));
        return lines;
    }
}
