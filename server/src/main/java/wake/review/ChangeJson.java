package wake.review;

import java.util.List;
import java.util.Objects;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.projection.Change;
import wake.projection.ChangeKind;
import wake.projection.Scope;
import wake.projection.StoredChange;
import wake.units.InvalidInput;

/**
 * A change as chosen.
 *
 * @param kind what it does: the code of its kind
 * @param movement whose; empty for all, or where it concerns no movement
 * @param target seconds of a pause, seconds per rep or unit, percent of a kick, or the exponent of an even spread; else 0
 * @param sets of a set scheme, as written: "8-7", "5s"
 * @param atMs the clock a kick starts from, or a pause began at
 * @param on whether it counts
 * @param targets targets that differ by place, in the order the places come; absent where one holds for all
 * @param where the places it is meant for; absent for all of them
 */
public record ChangeJson(
        String kind,
        String movement,
        double target,
        @Nullable String sets,
        @Nullable Long atMs,
        boolean on,
        @Nullable List<Double> targets,
        @Nullable WhereJson where) {
    public ChangeJson {
        movement = Objects.requireNonNullElse(movement, "");
        targets = targets == null || targets.size() < 2 ? null : List.copyOf(targets);
        where = where == null || where.isAnywhere() ? null : where;
    }

    /**
     * The places a change is meant for.
     *
     * @param from the first round; 0 for the first there is
     * @param to the last; 0 for the last there is
     * @param section of which block of rounds, by its name; empty for any
     * @param load only with this load, as written; empty for any
     * @param set only this set of a segment, from 1; 0 for all
     */
    public record WhereJson(
            int from,
            int to,
            @Nullable String section,
            @Nullable String load,
            int set) {
        boolean isAnywhere() {
            return from == 0
                    && to == 0
                    && set == 0
                    && (section == null || section.isEmpty())
                    && (load == null || load.isEmpty());
        }

        public static @Nullable WhereJson of(Scope scope) {
            return scope.equals(scope.whole())
                    ? null
                    : new WhereJson(scope.from(), scope.to(), scope.section(), scope.load(), scope.set());
        }
    }

    public ChangeJson(
            String kind, String movement, double target, @Nullable String sets, @Nullable Long atMs, boolean on) {
        this(kind, movement, target, sets, atMs, on, null, null);
    }

    public static ChangeJson of(Change change, boolean on) {
        StoredChange written = change.written();
        return new ChangeJson(
                written.kind(),
                written.scope().movement(),
                written.targets().getFirst(),
                written.sets().isEmpty() ? null : written.sets(),
                written.atMs().isPresent() ? written.atMs().getAsLong() : null,
                on,
                written.targets(),
                WhereJson.of(written.scope()));
    }

    private Scope scope() {
        return where == null
                ? Scope.of(movement)
                : new Scope(
                        movement,
                        where.from(),
                        where.to(),
                        Objects.requireNonNullElse(where.section(), ""),
                        Objects.requireNonNullElse(where.load(), ""),
                        where.set());
    }

    /**
     * The change it says.
     *
     * @throws InvalidInput when its target is none for that kind
     */
    public Change change() {
        return ChangeKind.read(new StoredChange(
                Objects.requireNonNullElse(kind, ""),
                scope(),
                targets == null ? List.of(target) : targets,
                sets == null ? "" : sets,
                atMs == null ? OptionalLong.empty() : OptionalLong.of(atMs)));
    }

    /** The same, to be on or off. */
    public ChangeJson turned(boolean toOn) {
        return new ChangeJson(kind, movement, target, sets, atMs, toOn, targets, where);
    }
}
