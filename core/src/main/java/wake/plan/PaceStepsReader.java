package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.plan.PaceSteps.Step;
import wake.units.InvalidInput;

/**
 * Reads a pace that changes inside the piece: {@code 1:50 for 15, 1:58, 1:50 from 60}. Each stretch in any words that {@link PaceReader} knows;
 * {@code for} says how long it is, {@code to} where it ends, {@code from} or {@code at} where it begins.
 */
public final class PaceStepsReader {
    private static final Pattern STRETCH =
            Pattern.compile("(.+?)(?:\\s+(for|to|until|from|at)\\s+(\\d{1,6}(?:\\.\\d{1,3})?)\\s*[a-z]*)?");
    private static final Pattern BETWEEN = Pattern.compile("\\s*(?:;|,\\s+then\\s|\\sthen\\s|,\\s)\\s*");

    private static final int LONGEST = 400;

    private PaceStepsReader() {}

    /**
     * A pace for all of a piece, and how it changes in it.
     *
     * @param in what it was said in, the last stretch where several differ
     */
    public record Paced(double secondsPerUnit, PaceSteps effort, PaceUnit in) {}

    /**
     * What a text says; a single pace is even, and a number alone in the unit of the stretch before it.
     *
     * @param before what the pace was said in so far
     * @throws InvalidInput when a stretch has no pace, or nobody can tell where it begins
     */
    public static Paced read(String text, PacedWork work, PaceUnit before) {
        if (text.length() > LONGEST) {
            throw new InvalidInput("A pace has at most " + LONGEST + " characters");
        }
        String[] written = BETWEEN.split(text.strip());
        if (written.length < 2) {
            PaceReader.Said said = PaceReader.read(text, work, before);
            return new Paced(said.secondsPerUnit(), PaceSteps.EVEN, said.in());
        }
        PaceUnit in = before;
        List<Step> stretches = new ArrayList<>();
        double next = 0;
        for (String one : written) {
            Matcher matcher = STRETCH.matcher(one.strip());
            if (!matcher.matches()) {
                throw unlike(text);
            }
            String how = matcher.group(2) == null ? "" : matcher.group(2);
            double place = how.isEmpty() ? 0 : Double.parseDouble(matcher.group(3));
            boolean begins = how.equals("from") || how.equals("at");
            double from = begins ? place : next;
            boolean apart = begins && !stretches.isEmpty() && Double.isFinite(next) && place != next;
            boolean inOrder = Double.isFinite(from)
                    && !apart
                    && (stretches.isEmpty()
                            ? from == 0
                            : from > stretches.getLast().from())
                    && from < work.amount();
            if (!inOrder) {
                throw unlike(text);
            }
            PaceReader.Said said = PaceReader.read(matcher.group(1), work, in);
            in = said.in();
            stretches.add(new Step(from, said.secondsPerUnit()));
            next = begins || how.isEmpty() ? Double.POSITIVE_INFINITY : how.equals("for") ? from + place : place;
        }
        return paced(stretches, work.amount(), in);
    }

    private static Paced paced(List<Step> stretches, double amount, PaceUnit in) {
        double seconds = 0;
        for (int i = 0; i < stretches.size(); i++) {
            double to = i + 1 < stretches.size() ? stretches.get(i + 1).from() : amount;
            seconds += (to - stretches.get(i).from()) * stretches.get(i).secondsPerUnit();
        }
        return new Paced(seconds / amount, new PaceSteps(stretches), in);
    }

    private static InvalidInput unlike(String text) {
        return new InvalidInput(
                "Write one pace, or changes in order like \"1:50 for 15, 1:58, 1:50 from 60\", not \"" + text + "\"");
    }
}
