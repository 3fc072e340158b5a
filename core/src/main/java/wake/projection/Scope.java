package wake.projection;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.workout.Segment;

/**
 * Where in an attempt a change applies.
 *
 * @param movement whose; empty for all
 * @param from the first round; 0 for the first there is
 * @param to the last round; 0 for the last there is
 * @param section of which block of rounds, by its name; empty for any
 * @param load only with this load, as it is written: "70 kg"; empty for any
 * @param set only this set of a segment, or the rest after it, from 1; 0 for all
 */
public record Scope(String movement, int from, int to, String section, String load, int set) {
    public static final Scope EVERYWHERE = new Scope("", 0, 0, "", "", 0);

    private static final int MOST_ROUNDS_LISTED = 30;
    private static final int MOST_SETS_LISTED = 6;

    /** @throws InvalidInput where rounds or sets do not start at 1, or the last round comes before the first */
    public Scope {
        if (from < 0 || to < 0 || set < 0 || (to > 0 && to < from)) {
            throw new InvalidInput("Rounds and sets start at 1, and the last round follows the first: " + from + " to "
                    + to + ", set " + set);
        }
    }

    public static Scope of(String movement) {
        return new Scope(movement, 0, 0, "", "", 0);
    }

    public Scope fromRound(int round) {
        return new Scope(movement, round, 0, section, load, set);
    }

    public Scope onlyRound(int round) {
        return new Scope(movement, round, round, section, load, set);
    }

    public Scope withSection(String name) {
        return new Scope(movement, from, to, name, load, set);
    }

    public Scope withLoad(String written) {
        return new Scope(movement, from, to, section, written, set);
    }

    public Scope withSet(int number) {
        return new Scope(movement, from, to, section, load, number);
    }

    /** The same movement, everywhere. */
    public Scope whole() {
        return of(movement);
    }

    /** Whether a segment of the athlete's lies in it; a partner's rounds no change can be meant for. */
    boolean has(Segment segment) {
        int round = segment.lap().number();
        boolean rounds = from == 0 && to == 0 || segment.inRounds() && round >= from && (to == 0 || round <= to);
        return rounds
                && !segment.isPartners()
                && (movement.isEmpty() || segment.movement().name().equals(movement))
                && (section.isEmpty() || segment.lap().block().name().equals(section))
                && (load.isEmpty() || written(segment).equals(load));
    }

    boolean has(TimeSlice slice) {
        return has(slice.segment()) && (set == 0 || slice.set() == set);
    }

    private static String written(Segment segment) {
        return segment.mass().map(Quantity::toString).orElse("");
    }

    /** How much it takes in, for telling which of two changes is the narrower: 0 for one place, more for more. */
    int breadth() {
        int narrowed = (from > 0 || to > 0 ? 1 : 0) + (load.isEmpty() ? 0 : 1) + (set == 0 ? 0 : 1);
        return (movement.isEmpty() ? 4 : 2) - Math.min(1, narrowed);
    }

    /** "in thruster" with a word before it, or nothing where every movement is meant. */
    public String movement(String preposition) {
        return movement.isEmpty() ? "" : " " + preposition + " " + movement;
    }

    /** ", from round 3, at 70 kg"; empty where it applies throughout. */
    public String places() {
        StringBuilder words = new StringBuilder();
        if (from > 0 && from == to) {
            words.append(", in round ").append(from);
        } else if (from > 0 && to > 0) {
            words.append(", in rounds ").append(from).append(" to ").append(to);
        } else if (from > 0) {
            words.append(", from round ").append(from);
        } else if (to > 0) {
            words.append(", up to round ").append(to);
        }
        if (!section.isEmpty()) {
            words.append(from > 0 || to > 0 ? " of " : ", in the rounds of ").append(section);
        }
        if (!load.isEmpty()) {
            words.append(", at ").append(load);
        }
        if (set > 0) {
            words.append(", set ").append(set);
        }
        return words.toString();
    }

    /** "everywhere", "from round 3, at 70 kg". */
    public String words() {
        String places = places();
        return places.isEmpty() ? "everywhere" : places.substring(2);
    }

    /**
     * The places in an attempt to choose from for the same movement, the widest first.
     *
     * @param bySet whether a single set can be meant
     */
    List<Scope> choices(Replay replay, boolean bySet) {
        Scope all = whole();
        List<Segment> segments = replay.slices().stream()
                .filter(slice -> slice.observed() && all.has(slice))
                .map(TimeSlice::segment)
                .distinct()
                .toList();
        Set<Scope> choices = new LinkedHashSet<>();
        choices.add(all);
        Set<String> sections = new LinkedHashSet<>();
        segments.stream()
                .filter(Segment::inRounds)
                .forEach(one -> sections.add(one.lap().block().name()));
        for (String section : sections) {
            Scope within = sections.size() == 1 ? all : all.withSection(section);
            choices.add(within);
            List<Integer> rounds = segments.stream()
                    .filter(one -> one.inRounds() && one.lap().block().name().equals(section))
                    .map(one -> one.lap().number())
                    .distinct()
                    .limit(MOST_ROUNDS_LISTED)
                    .toList();
            if (rounds.size() > 1) {
                rounds.stream().skip(1).forEach(round -> choices.add(within.fromRound(round)));
                rounds.forEach(round -> choices.add(within.onlyRound(round)));
            }
        }
        List<String> loads = segments.stream()
                .map(Scope::written)
                .filter(load -> !load.isEmpty())
                .distinct()
                .toList();
        if (loads.size() > 1) {
            loads.forEach(load -> choices.add(all.withLoad(load)));
        }
        if (bySet) {
            int sets = replay.slices().stream()
                    .filter(slice -> slice.observed() && slice.isWork() && all.has(slice))
                    .mapToInt(TimeSlice::set)
                    .max()
                    .orElse(0);
            for (int set = 1; sets > 1 && set <= Math.min(sets, MOST_SETS_LISTED); set++) {
                choices.add(all.withSet(set));
            }
        }
        return new ArrayList<>(choices);
    }
}
