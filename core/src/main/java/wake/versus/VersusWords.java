package wake.versus;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import wake.reading.Cause;
import wake.units.Digits;
import wake.units.Say;

/** What two attempts beside each other say, in sentences that take nobody's side. */
record VersusWords(String one, String other, Digits digits) {
    /** From this share of the clock on a difference in style is worth a word; an assumption. */
    private static final double STYLE = 0.05;

    /** Two costs within this share of each other are the same; an assumption. */
    private static final double SAME_COST = 0.03;

    /** A headline has whole seconds, from ten on. */
    private static final long WHOLE_FROM_MS = 10_000;

    /** How it ended, who led and when the lead changed. */
    String answer(List<Step> steps, Leads leads, List<Border> borders, Ending ending) {
        if (steps.isEmpty()) {
            return "These two can't be compared: no split is logged in both.";
        }
        String result = result(ending);
        List<Leads.Run> runs = leads.clearRuns();
        if (runs.isEmpty()) {
            return result + "Neck and neck throughout: never apart by more than the timing error.";
        }
        StringBuilder words = new StringBuilder(result).append(led(steps, runs.getFirst(), borders, runs.size() == 1));
        if (runs.size() > 1) {
            Overtake last = leads.overtake(runs.get(runs.size() - 2), runs.getLast());
            words.append(runs.size() == 2 ? " until " : ". Lead changes: " + (runs.size() - 1) + ", the last when ")
                    .append(passing(last));
        }
        return words.append('.').toString();
    }

    private String led(List<Step> steps, Leads.Run run, List<Border> borders, boolean throughout) {
        Step first = steps.get(run.from());
        Step last = steps.get(run.to());
        long from = first.firstMs();
        long to = last.both() ? last.secondMs() : Long.MAX_VALUE;
        String most = borders.stream()
                .filter(border -> Long.signum(border.leadMs()) == run.sign())
                .filter(border -> Math.max(border.oneClockMs(), border.otherClockMs()) >= from
                        && Math.max(border.oneClockMs(), border.otherClockMs()) <= to)
                .mapToLong(border -> Math.abs(border.leadMs()))
                .max()
                .stream()
                .mapToObj(lead -> " by up to " + (lead < WHOLE_FROM_MS ? digits : Digits.WHOLE).span(lead))
                .findFirst()
                .orElse("");
        return name(run.sign()) + " led" + most + (throughout ? ", from " + first.where() + " on" : "");
    }

    private String passing(Overtake overtake) {
        String who = name(overtake.one() ? 1 : -1) + " passed ";
        String when = overtake.told() || overtake.toMs() == overtake.fromMs()
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

    /** Where one of the two was faster, and by what. */
    private record Edge(String line, Cause cause, long ms) {
        String words(Digits digits) {
            return Styles.won(cause) + (line.equals(Leg.WHOLE) ? "" : " on " + line) + " (" + digits.span(Math.abs(ms))
                    + ")";
        }
    }

    /** What made the lead at the last shared split: the two largest savings of whoever is ahead there, and the other's largest. */
    String made(List<LineDifference> lines, List<Border> borders) {
        if (borders.isEmpty()) {
            return "";
        }
        Border last = borders.getLast();
        int sign = Long.signum(last.leadMs());
        if (sign == 0) {
            return "";
        }
        List<Edge> all = lines.stream()
                .flatMap(line -> line.gains().entrySet().stream()
                        .filter(entry -> Math.abs(entry.getValue()) > line.readingErrorMs())
                        .map(entry -> new Edge(line.line(), entry.getKey(), entry.getValue())))
                .sorted(Comparator.comparingLong((Edge edge) -> -Math.abs(edge.ms())))
                .toList();
        List<Edge> ahead = all.stream()
                .filter(edge -> Long.signum(edge.ms()) == sign)
                .limit(2)
                .toList();
        if (ahead.isEmpty()) {
            return "";
        }
        String others = all.stream()
                .filter(edge -> Long.signum(edge.ms()) == -sign)
                .findFirst()
                .map(edge -> " " + name(-sign) + "'s: " + edge.words(digits) + ".")
                .orElse("");
        return name(sign) + "'s edge: "
                + String.join(
                        ", ", ahead.stream().map(edge -> edge.words(digits)).toList()) + "." + others;
    }

    /** Lines that took both the same time, each by a strength of its own. */
    List<String> styles(List<LineDifference> lines) {
        return lines.stream().flatMap(line -> style(line).stream()).toList();
    }

    private Optional<String> style(LineDifference line) {
        long most = Math.max(line.oneMs(), line.otherMs());
        long same = Math.max(line.readingErrorMs(), Math.round(SAME_COST * most));
        if (Math.abs(line.gainMs()) > same) {
            return Optional.empty();
        }
        long worth = Math.max(line.readingErrorMs(), Math.round(STYLE * most));
        Optional<Map.Entry<Cause, Long>> best = worth(line, worth, 1);
        Optional<Map.Entry<Cause, Long>> others = worth(line, worth, -1);
        if (best.isEmpty() || others.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(Say.capital(line.line()) + ": about equal (" + digits.span(line.oneMs()) + " / "
                + digits.span(line.otherMs()) + "). " + one + ": "
                + Styles.won(best.get().getKey()) + " ("
                + digits.span(best.get().getValue()) + "); " + other + ": "
                + Styles.won(others.get().getKey()) + " ("
                + digits.span(-others.get().getValue()) + ").");
    }

    private static Optional<Map.Entry<Cause, Long>> worth(LineDifference line, long worth, int sign) {
        return line.gains().entrySet().stream()
                .filter(entry -> sign * entry.getValue() > worth && Styles.isWay(entry.getKey()))
                .max(Comparator.comparingLong(entry -> sign * entry.getValue()));
    }

    /** What asks other amounts or loads of the two: "12 cal row vs 9 cal row", once for each way it differs. */
    List<String> unlike(Matching matching) {
        return matching.pairs().stream()
                .filter(pair -> !pair.same())
                .map(pair -> pair.one().segment().label() + " vs "
                        + pair.other().segment().label())
                .distinct()
                .toList();
    }

    List<String> unmatched(Matching matching) {
        return Stream.concat(
                        matching.onlyOne().stream().map(line -> line + ": only " + one),
                        matching.onlyOther().stream().map(line -> line + ": only " + other))
                .toList();
    }

    private String name(int sign) {
        return sign > 0 ? one : other;
    }

    /** "wall walk, round 3"; "ski" outside rounds; the round alone where no more was logged. */
    static String at(String round, String line) {
        if (line.equals(Leg.WHOLE)) {
            return round.isEmpty() ? "the whole" : round;
        }
        return line + (round.isEmpty() ? "" : ", " + round);
    }
}
