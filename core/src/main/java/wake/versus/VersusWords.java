package wake.versus;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import wake.reading.Cause;
import wake.units.Digits;

/** What two attempts beside each other say, in sentences that take nobody's side. */
record VersusWords(String one, String other, Digits digits) {
    private static final int TOLD_ONE_BY_ONE = 3;

    /** From this share of the clock on a difference in style is worth a word; an assumption. */
    private static final double STYLE = 0.05;

    /** Two costs within this share of each other are the same; an assumption. */
    private static final double SAME_COST = 0.03;

    /** Who led, where the lead changed and how it ended. */
    String answer(List<Step> steps, Leads leads, List<Border> borders, Ending ending) {
        if (steps.isEmpty()) {
            return "Nothing of the two can be held side by side: no end of a movement or round is noted in both logs.";
        }
        List<Leads.Run> runs = leads.clearRuns();
        if (runs.isEmpty()) {
            return "Level all the way, within the reading error of the marks" + end(ending, "") + ".";
        }
        StringBuilder words = new StringBuilder(led(steps, runs.getFirst(), borders, runs.size() == 1));
        List<Overtake> passed = new ArrayList<>();
        for (int i = 1; i < runs.size(); i++) {
            passed.add(leads.overtake(runs.get(i - 1), runs.get(i)));
        }
        if (passed.size() <= TOLD_ONE_BY_ONE) {
            passed.forEach(overtake -> words.append(", ").append(passing(overtake)));
        } else {
            words.append(", the lead changed ")
                    .append(passed.size())
                    .append(" times, and for good when ")
                    .append(passing(passed.getLast()));
        }
        String ahead = name(runs.getLast().sign());
        return words.append(end(ending, ahead)).append('.').toString();
    }

    private String led(List<Step> steps, Leads.Run run, List<Border> borders, boolean throughout) {
        Step first = steps.get(run.from());
        Step last = steps.get(run.to());
        long from = first.firstMs();
        long to = last.both() ? last.secondMs() : Long.MAX_VALUE;
        Optional<Border> widest = borders.stream()
                .filter(border -> Long.signum(border.leadMs()) == run.sign())
                .filter(border -> Math.max(border.oneClockMs(), border.otherClockMs()) >= from
                        && Math.max(border.oneClockMs(), border.otherClockMs()) <= to)
                .max(Comparator.comparingLong(border -> Math.abs(border.leadMs())));
        String most = widest.map(border -> ", by " + digits.span(Math.abs(border.leadMs())) + " after "
                        + at(border.round(), border.line()))
                .orElse("");
        if (!throughout) {
            return name(run.sign()) + " led first" + most;
        }
        return name(run.sign()) + " led from " + first.where() + " on" + most.replace(", by", ", at most by");
    }

    private String passing(Overtake overtake) {
        String where = name(overtake.one() ? 1 : -1) + " passed in " + overtake.where();
        if (overtake.told() || overtake.toMs() == overtake.fromMs()) {
            return where + " at " + digits.clock(overtake.atMs());
        }
        return where + " between " + Digits.WHOLE.clock(overtake.fromMs()) + " and "
                + Digits.WHOLE.clock(overtake.toMs());
    }

    private String end(Ending ending, String ahead) {
        if (!ending.comparable()) {
            return ahead.isEmpty() ? "" : "; amounts differ, so the ends are not held against each other";
        }
        if (ending.sign() == 0) {
            return ", and they ended level";
        }
        String who = name(ending.sign());
        who = who.equals(ahead) ? "" : who + " ";
        if (ending.alone()) {
            return ", and " + who + "finished, the other "
                    + (ending.margin().isEmpty() ? "did not" : "was " + ending.margin() + " short");
        }
        return ", and " + who + "ended " + ending.margin() + " ahead";
    }

    /** One cause in one line, as one of the two won by it. */
    private record Won(String line, Cause cause, long ms) {
        String words(Digits digits) {
            return Styles.won(cause) + (line.equals(Leg.WHOLE) ? " in " : " in the ") + line + " ("
                    + digits.span(Math.abs(ms)) + ")";
        }
    }

    /** What made the lead at the last border: the two largest gains of whoever is ahead there, and the largest won back. */
    String made(List<LineDifference> lines, List<Border> borders) {
        if (borders.isEmpty()) {
            return "";
        }
        Border last = borders.getLast();
        int sign = Long.signum(last.leadMs());
        if (sign == 0) {
            return "";
        }
        List<Won> all = lines.stream()
                .flatMap(line -> line.gains().entrySet().stream()
                        .filter(entry -> Math.abs(entry.getValue()) > line.readingErrorMs())
                        .map(entry -> new Won(line.line(), entry.getKey(), entry.getValue())))
                .sorted(Comparator.comparingLong((Won won) -> -Math.abs(won.ms())))
                .toList();
        List<Won> ahead = all.stream()
                .filter(won -> Long.signum(won.ms()) == sign)
                .limit(2)
                .toList();
        if (ahead.isEmpty()) {
            return "";
        }
        String back = all.stream()
                .filter(won -> Long.signum(won.ms()) == -sign)
                .findFirst()
                .map(won -> "; " + name(-sign) + " won back most by " + won.words(digits))
                .orElse("");
        return name(sign) + "'s " + digits.span(Math.abs(last.leadMs())) + " after "
                + at(last.round(), last.line()) + " come first from "
                + String.join(
                        " and ", ahead.stream().map(won -> won.words(digits)).toList()) + back + ".";
    }

    /** Lines that cost both the same, each in a way of its own. */
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
        return Optional.of(line.line() + ": " + digits.span(line.oneMs()) + " against " + digits.span(line.otherMs())
                + ", in another way: " + one + " with "
                + Styles.won(best.get().getKey()) + " ("
                + digits.span(best.get().getValue()) + "), " + other + " with "
                + Styles.won(others.get().getKey()) + " ("
                + digits.span(-others.get().getValue()) + ").");
    }

    private static Optional<Map.Entry<Cause, Long>> worth(LineDifference line, long worth, int sign) {
        return line.gains().entrySet().stream()
                .filter(entry -> sign * entry.getValue() > worth && Styles.isWay(entry.getKey()))
                .max(Comparator.comparingLong(entry -> sign * entry.getValue()));
    }

    /** What asks other amounts or loads of the two: "cal row: 12 against 9", once for each way it differs. */
    List<String> unlike(Matching matching) {
        return matching.pairs().stream()
                .filter(pair -> !pair.same())
                .map(pair -> pair.one().segment().label() + " against "
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

    /** "the wall walk of round 3"; "the ski" outside rounds; the round alone where no more was noted. */
    static String at(String round, String line) {
        if (line.equals(Leg.WHOLE)) {
            return round.isEmpty() ? "what was noted" : round;
        }
        return "the " + line + (round.isEmpty() ? "" : " of " + round);
    }
}
