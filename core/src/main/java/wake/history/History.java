package wake.history;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.history.AttemptFacts.Lost;
import wake.history.AttemptFacts.Spread;
import wake.history.HistoryLine.Dated;
import wake.history.HistoryLine.Kind;
import wake.history.HistoryLine.Point;
import wake.history.LikeWorkouts.Figure;
import wake.reading.PerceivedExertion;
import wake.units.ClockTime;

/**
 * An athlete over many attempts.
 *
 * @param lines each figure over the days; cadences with most attempts first
 * @param limiters which movement lost the most in each attempt that tells
 * @param mostLimiting which of them comes most often; empty with fewer than two
 */
public record History(List<HistoryLine> lines, List<Limited> limiters, Optional<MostLimiting> mostLimiting) {
    private static final long MINUTE_MS = 60_000;
    /** An effort logged so near a clock counts for it; between two it is taken as even. An assumption. */
    private static final long NEAR_MS = 30_000;

    public History {
        lines = List.copyOf(lines);
        limiters = List.copyOf(limiters);
    }

    /** The movement that lost the most in an attempt. */
    public record Limited(Dated attempt, Lost lost) {}

    /**
     * The movement that lost the most most often.
     *
     * @param times in how many attempts; 1 where it was another each time
     * @param of of how many
     */
    public record MostLimiting(String movement, int times, int of) {}

    /** Looks over attempts, in any order. */
    public static History of(List<Dated> attempts) {
        List<Dated> inOrder =
                attempts.stream().sorted(Comparator.comparing(Dated::on)).toList();
        List<HistoryLine> lines = new ArrayList<>(cadences(inOrder));
        lines.addAll(spread(inOrder, Kind.TRANSITIONS, "Transitions", AttemptFacts::transitions));
        lines.addAll(spread(inOrder, Kind.RESTS, "Rests", AttemptFacts::rests));
        lines.addAll(single(inOrder, Kind.DECREMENT, "Fade across rounds", AttemptFacts::decrementPercent));
        lines.addAll(single(inOrder, Kind.FAULTS, "Faults", AttemptFacts::faultsPerHundred));
        lines.addAll(effort(inOrder));
        List<Limited> limiters = inOrder.stream()
                .flatMap(one -> one.facts().lost().map(lost -> new Limited(one, lost)).stream())
                .toList();
        return new History(lines, limiters, mostLimiting(limiters));
    }

    /** At like load only: a heavier bar is another line. */
    private static List<HistoryLine> cadences(List<Dated> attempts) {
        List<Work> works = new ArrayList<>();
        List<List<Figure>> figures = new ArrayList<>();
        for (Dated attempt : attempts) {
            for (AttemptFacts.Cadence cadence : attempt.facts().cadences()) {
                int at = Work.indexOf(works, cadence.work());
                if (at < 0) {
                    at = works.size();
                    works.add(cadence.work());
                    figures.add(new ArrayList<>());
                }
                List<Figure> line = figures.get(at);
                // Two of an attempt within one likeness, as 40 and 40.5 kg: the first stands for it.
                if (line.isEmpty() || !line.getLast().attempt().equals(attempt)) {
                    Point point = Point.of(attempt, cadence.seconds(), cadence.words());
                    line.add(new Figure(attempt, cadence.units(), point));
                }
            }
        }
        List<HistoryLine> lines = new ArrayList<>();
        for (int i = 0; i < works.size(); i++) {
            lines.addAll(lines(Kind.CADENCE, works.get(i).words(), figures.get(i)));
        }
        lines.sort(Comparator.comparingInt((HistoryLine line) -> line.points().size())
                .reversed());
        return lines;
    }

    /** One line where all is alike; else one for each likeness that came more than once, which says how long its attempts went. */
    private static List<HistoryLine> lines(Kind kind, String title, List<Figure> inOrder) {
        List<LikeWorkouts> all = LikeWorkouts.of(inOrder).stream()
                .filter(like -> like.figures().size() > 1)
                .toList();
        List<String> lengths = all.stream().map(LikeWorkouts::lengths).toList();
        List<HistoryLine> lines = new ArrayList<>();
        for (LikeWorkouts like : all) {
            boolean twice = Collections.frequency(lengths, like.lengths()) > 1;
            String which = like.lengths() + (twice ? ", " + like.amounts() + " in all" : "");
            HistoryLine.of(kind, all.size() == 1 ? title : title + ", " + which, like.points())
                    .ifPresent(lines::add);
        }
        return lines;
    }

    private static List<HistoryLine> spread(
            List<Dated> attempts,
            Kind kind,
            String title,
            java.util.function.Function<AttemptFacts, Optional<Spread>> of) {
        List<Figure> figures = attempts.stream()
                .flatMap(one -> of.apply(one.facts()).stream()
                        .map(spread -> new Figure(one, 0, Point.of(one, spread, words(kind, spread.median())))))
                .toList();
        return lines(kind, title, figures);
    }

    private static List<HistoryLine> single(
            List<Dated> attempts,
            Kind kind,
            String title,
            java.util.function.Function<AttemptFacts, OptionalDouble> of) {
        List<Figure> figures = attempts.stream()
                .flatMap(one -> of.apply(one.facts()).stream()
                        .mapToObj(value -> new Figure(one, 0, Point.of(one, value, words(kind, value)))))
                .toList();
        return lines(kind, title, figures);
    }

    private static String words(Kind kind, double value) {
        return HistoryLine.number(value) + kind.afterFigure();
    }

    /** At the whole minute at which most attempts tell an effort; of several the latest. */
    private static List<HistoryLine> effort(List<Dated> attempts) {
        Map<Long, List<Figure>> byMinute = new HashMap<>();
        for (Dated attempt : attempts) {
            long last = attempt.facts().efforts().stream()
                    .mapToLong(PerceivedExertion::atMs)
                    .max()
                    .orElse(0);
            for (long minute = 1; minute * MINUTE_MS <= last + NEAR_MS; minute++) {
                List<Figure> figures = byMinute.computeIfAbsent(minute, first -> new ArrayList<>());
                at(attempt.facts().efforts(), minute * MINUTE_MS)
                        .ifPresent(level -> figures.add(
                                new Figure(attempt, 0, Point.of(attempt, level, words(Kind.EFFORT, level)))));
            }
        }
        return byMinute.entrySet().stream()
                .max(Comparator.comparingInt((Map.Entry<Long, List<Figure>> one) ->
                                one.getValue().size())
                        .thenComparing(Map.Entry::getKey))
                .map(one -> lines(
                        Kind.EFFORT,
                        "Effort at " + ClockTime.of(one.getKey() * MINUTE_MS).toSeconds(),
                        one.getValue()))
                .orElse(List.of());
    }

    /** The effort at a clock: even between the one before and the one after, else one logged near it. */
    private static OptionalDouble at(List<PerceivedExertion> efforts, long ms) {
        Optional<PerceivedExertion> before = efforts.stream()
                .filter(effort -> effort.atMs() <= ms)
                .max(Comparator.comparingLong(PerceivedExertion::atMs));
        Optional<PerceivedExertion> after = efforts.stream()
                .filter(effort -> effort.atMs() >= ms)
                .min(Comparator.comparingLong(PerceivedExertion::atMs));
        if (before.isPresent() && after.isPresent()) {
            long span = after.get().atMs() - before.get().atMs();
            double share = span == 0 ? 0 : (double) (ms - before.get().atMs()) / span;
            return OptionalDouble.of(before.get().level()
                    + share * (after.get().level() - before.get().level()));
        }
        return before.or(() -> after)
                .filter(effort -> Math.abs(effort.atMs() - ms) <= NEAR_MS)
                .map(effort -> OptionalDouble.of(effort.level()))
                .orElse(OptionalDouble.empty());
    }

    private static Optional<MostLimiting> mostLimiting(List<Limited> limiters) {
        if (limiters.size() < 2) {
            return Optional.empty();
        }
        Map<String, Integer> times = new HashMap<>();
        limiters.forEach(one -> times.merge(one.lost().movement(), 1, Integer::sum));
        return times.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .map(most -> new MostLimiting(most.getKey(), most.getValue(), limiters.size()));
    }
}
