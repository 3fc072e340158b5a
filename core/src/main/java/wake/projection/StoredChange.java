package wake.projection;

import java.util.List;
import java.util.OptionalLong;
import wake.units.InvalidInput;

/**
 * A change in figures and words, as it is kept and sent.
 *
 * @param kind the code of its kind
 * @param scope where it applies
 * @param targets what it aims at, in the unit of the kind: seconds of a pause, seconds per rep or unit, percent, an exponent; a single
 *     0 where it has none
 * @param sets of a set scheme, as written: "8-7", "5s"; else empty
 * @param atMs the clock a kick starts from, or a pause began at
 */
public record StoredChange(String kind, Scope scope, List<Double> targets, String sets, OptionalLong atMs) {
    public StoredChange {
        targets = List.copyOf(targets);
    }

    static StoredChange of(ChangeKind kind, Scope scope, Targets targets) {
        return new StoredChange(kind.code(), scope, targets.each(), "", OptionalLong.empty());
    }

    static StoredChange of(ChangeKind kind, Scope scope) {
        return of(kind, scope, Targets.of(0));
    }

    public Targets aims() {
        return new Targets(targets);
    }

    double target() {
        return aims().first();
    }

    long targetMs() {
        return Math.round(1000 * target());
    }

    long at() {
        return atMs.orElseThrow(() -> new InvalidInput("Give the clock time it starts at, in milliseconds, as atMs"));
    }
}
