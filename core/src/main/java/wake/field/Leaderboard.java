package wake.field;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import wake.log.AttemptLog.TieBreak;
import wake.log.Score;
import wake.units.Digits;

/**
 * Who stands where in a division: each athlete by the best of the attempts, the others of the same athlete between them without a place.
 *
 * @param rows the best first
 */
public record Leaderboard(List<Row> rows) {
    public Leaderboard {
        rows = List.copyOf(rows);
    }

    /**
     * An attempt.
     *
     * @param of which of those given
     * @param place of the athlete's best, 1 for the first; equal ones share it
     * @param percentile of the athlete's best: percentile rank among all bests; empty of fewer than five
     * @param behindFirst by how much it is behind the first, in words; empty of the first
     * @param behindNext by how much it is behind the place before
     */
    public record Row(
            int of,
            OptionalInt place,
            OptionalDouble percentile,
            Optional<String> behindFirst,
            Optional<String> behindNext) {
        public boolean isBest() {
            return place.isPresent();
        }
    }

    /**
     * Puts attempts of a division in order.
     *
     * @param athletes who each of them is of
     */
    public static Leaderboard of(List<Entry> entries, List<?> athletes) {
        List<Integer> bests = new ArrayList<>();
        List<Integer> order =
                Standings.of(entries).stream().map(Standings.Standing::of).toList();
        Set<Object> seen = new HashSet<>();
        for (int of : order) {
            if (seen.add(athletes.get(of))) {
                bests.add(of);
            }
        }
        List<Standings.Standing> standings =
                Standings.of(bests.stream().map(entries::get).toList());
        List<Row> ranked = new ArrayList<>();
        for (Standings.Standing standing : standings) {
            ranked.add(row(standing, ranked, bests, entries));
        }
        List<Row> rows = new ArrayList<>();
        int next = 0;
        for (int of : order) {
            boolean best = next < ranked.size() && ranked.get(next).of() == of;
            rows.add(
                    best
                            ? ranked.get(next++)
                            : new Row(
                                    of,
                                    OptionalInt.empty(),
                                    OptionalDouble.empty(),
                                    Optional.empty(),
                                    Optional.empty()));
        }
        return new Leaderboard(rows);
    }

    private static Row row(Standings.Standing standing, List<Row> before, List<Integer> bests, List<Entry> entries) {
        int of = bests.get(standing.of());
        int place = standing.place();
        Optional<Row> first = before.stream().findFirst().filter(row -> place > 1);
        Optional<Row> next = first.map(row -> before.get(place - 2));
        return new Row(
                of,
                OptionalInt.of(place),
                bests.size() < Field.FEWEST ? OptionalDouble.empty() : OptionalDouble.of(standing.percentile()),
                first.map(row -> behind(entries.get(of), entries.get(row.of()))),
                next.map(row -> behind(entries.get(of), entries.get(row.of()))));
    }

    /** Who stands next above one of those given, the last of the place before; empty where it is first. Both are bests. */
    public OptionalInt above(int of) {
        int place = rows.stream()
                .filter(row -> row.of() == of)
                .findFirst()
                .flatMap(row -> row.place().stream().boxed().findFirst())
                .orElse(1);
        return rows.stream()
                .filter(row -> row.place().isPresent() && row.place().getAsInt() < place)
                .mapToInt(Row::of)
                .reduce((before, after) -> after);
    }

    /** By how much one is behind a better one: what it needs more or less, or that the clock at a tie-break decided. */
    static String behind(Entry entry, Entry better) {
        if (Score.compare(entry.score(), better.score()) != 0) {
            Digits digits = entry.digits() == Digits.WHOLE ? Digits.WHOLE : better.digits();
            return Score.margin(entry.score(), better.score(), digits);
        }
        for (int i = entry.tieBreaks().size() - 1; i >= 0; i--) {
            TieBreak own = entry.tieBreaks().get(i);
            Optional<TieBreak> its = better.tieBreaks().stream()
                    .filter(tie -> tie.lastIndex() == own.lastIndex() && tie.clockMs() < own.clockMs())
                    .findFirst();
            if (its.isPresent()) {
                return entry.digits().span(own.clockMs() - its.get().clockMs()) + " at the tie-break";
            }
        }
        return "no tie-break noted";
    }
}
