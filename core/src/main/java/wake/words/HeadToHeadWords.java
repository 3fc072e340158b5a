package wake.words;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wake.comparison.Edge;
import wake.comparison.Ending;
import wake.comparison.HeadToHead;
import wake.comparison.LeadSpan;
import wake.comparison.Overtake;
import wake.comparison.Style;
import wake.comparison.TechniqueGap;
import wake.log.Cause;
import wake.units.Digits;
import wake.units.Messages;

/** Two attempts beside each other in sentences that take nobody's side. */
public record HeadToHeadWords(HeadToHead versus) {
    /** How it ended, who led and when the lead changed. */
    public String headline() {
        if (!versus.comparable()) {
            return "These two can't be compared: no split is logged in both.";
        }
        String result = result(versus.ending());
        List<LeadSpan> leads = versus.leads();
        if (leads.isEmpty()) {
            return result + "Neck and neck throughout: never apart by more than the timing error.";
        }
        return result + led(leads.getFirst(), leads.size() == 1)
                + versus.lastChange()
                        .map(last -> (leads.size() == 2
                                        ? " until "
                                        : ". Lead changes: " + (leads.size() - 1) + ", the last when ")
                                + passing(last))
                        .orElse("")
                + ".";
    }

    private String led(LeadSpan span, boolean throughout) {
        return name(span.sign()) + " led"
                + (span.mostMs() == 0 ? "" : " by up to " + versus.digits().headline(span.mostMs()))
                + (throughout ? ", from " + span.from() + " on" : "");
    }

    private String passing(Overtake overtake) {
        String who = name(overtake.one() ? 1 : -1) + " passed ";
        String when = overtake.known() || overtake.toMs() == overtake.fromMs()
                ? "at " + Digits.WHOLE.clock(overtake.atMs())
                : "between " + Digits.WHOLE.clock(overtake.fromMs()) + " and " + Digits.WHOLE.clock(overtake.toMs());
        return who + when;
    }

    private String result(Ending ending) {
        if (!ending.comparable()) {
            return "Different amounts, so only splits are compared. ";
        }
        if (ending.sign() == 0) {
            return "Tie. ";
        }
        String ahead = name(ending.sign());
        if (ending.alone()) {
            return ahead + " finished, " + name(-ending.sign())
                    + (ending.margin().isEmpty() ? " did not. " : " " + ending.margin() + " short. ");
        }
        return ahead + " by " + ending.margin() + ". ";
    }

    /**
     * What made the lead at the last shared split: the two largest savings of whoever is ahead there, and the other's largest. Empty where
     * nothing of it is known.
     */
    public String edge() {
        int sign = Long.signum(versus.leadMs());
        List<Edge> ahead = of(sign).limit(2).toList();
        if (sign == 0 || ahead.isEmpty()) {
            return "";
        }
        return name(sign) + "'s edge: " + ahead.stream().map(this::edge).collect(Collectors.joining(", ")) + "."
                + of(-sign)
                        .findFirst()
                        .map(edge -> " " + name(-sign) + "'s: " + edge(edge) + ".")
                        .orElse("");
    }

    private Stream<Edge> of(int sign) {
        return versus.edges().stream().filter(edge -> Long.signum(edge.ms()) == sign);
    }

    private String edge(Edge edge) {
        return saving(edge.cause()) + (edge.line().isEmpty() ? "" : " on " + edge.line()) + " ("
                + versus.digits().span(Math.abs(edge.ms())) + ")";
    }

    private static String saving(Cause cause) {
        return switch (cause) {
            case PACE -> "a faster rate";
            case REST -> "less rest";
            case TRANSITION -> "faster transitions";
            case FAULT -> "fewer faults";
            case INTERVAL_REST -> "less interval rest";
            case UNSEPARATED -> "less time";
            case UNLIKE -> "different work";
            case UNFINISHED -> "unfinished work";
        };
    }

    /** Lines that took both the same time, each by a strength of its own. */
    public List<String> styles() {
        return versus.styles().stream().map(this::style).toList();
    }

    private String style(Style style) {
        Digits digits = versus.digits();
        return Messages.capital(style.line().line()) + ": about equal ("
                + digits.span(style.line().oneMs()) + " / "
                + digits.span(style.line().otherMs()) + "). "
                + versus.one() + ": " + saving(style.one()) + " (" + digits.span(style.oneMs()) + "); "
                + versus.other() + ": " + saving(style.other()) + " (" + digits.span(style.otherMs()) + ").";
    }

    /** Movements the two did with other techniques, and what that is worth over what both have to do. */
    public List<String> techniques() {
        return versus.techniques().stream().map(this::technique).toList();
    }

    private String technique(TechniqueGap gap) {
        double perUnit = Math.abs(gap.perUnit());
        return Messages.of(
                "%s: %s %s %.2f s, %s %s %.2f s; %.2f s × %.0f = %s.",
                Messages.capital(gap.movement()),
                versus.one(),
                gap.one().name(),
                gap.one().secondsPerUnit(),
                versus.other(),
                gap.other().name(),
                gap.other().secondsPerUnit(),
                perUnit,
                gap.units(),
                versus.digits().span(Math.round(1000 * perUnit * gap.units())));
    }

    /** What asks other amounts or loads of the two: "12 cal row vs 9 cal row". */
    public List<String> differentWork() {
        return versus.differentWork().stream()
                .map(differentWork -> differentWork.one() + " vs " + differentWork.other())
                .toList();
    }

    /** What only one of them has. */
    public List<String> unmatched() {
        return Stream.concat(
                        versus.onlyOne().stream().map(line -> line + ": only " + versus.one()),
                        versus.onlyOther().stream().map(line -> line + ": only " + versus.other()))
                .toList();
    }

    private String name(int sign) {
        return sign > 0 ? versus.one() : versus.other();
    }
}
