package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.log.AttemptLog;

/**
 * Changes worth proposing for an attempt, those that gain most first: its own lower quartiles as targets, its faults and the
 * pauses that stand out. What costs nothing but attention is switched on, and the one cadence that gains most; what has to be
 * paid for elsewhere is proposed switched off. Of what else could be changed, what gains more than all of those and has been shown is
 * proposed as well.
 */
public final class Suggestions {
    private final Observed observed;
    private final Evidence evidence;
    private final Map<Change, Long> gains = new HashMap<>();

    private Suggestions(AttemptLog log) {
        this.observed = new Observed(Replay.of(log));
        this.evidence = Evidence.of(observed.replay(), List.of());
    }

    /**
     * A change to propose.
     *
     * @param on whether it is part of the projection to begin with
     */
    public record Suggestion(Change change, boolean on) {}

    /** The changes switched on to begin with. */
    public static List<Change> of(AttemptLog log) {
        return all(log).stream().filter(Suggestion::on).map(Suggestion::change).toList();
    }

    public static List<Suggestion> all(AttemptLog log) {
        Suggestions made = new Suggestions(log);
        List<Suggestion> proposed = new ArrayList<>();
        for (ChangeKind kind : ChangeKind.all()) {
            proposed.addAll(kind.proposed().apply(made.observed));
        }
        made.largestShown(proposed).ifPresent(change -> proposed.add(new Suggestion(change, false)));
        return made.inOrder(proposed.stream().map(made::onlyIfShown).toList());
    }

    /** What was never done is offered, and part of no projection unless the coach says so. */
    private Suggestion onlyIfShown(Suggestion proposed) {
        return new Suggestion(proposed.change(), proposed.on() && isShown(proposed.change()));
    }

    /** What could be changed besides and gains more than anything proposed, as far as this attempt has shown it. */
    private Optional<Change> largestShown(List<Suggestion> proposed) {
        long most = proposed.stream().mapToLong(one -> gain(one.change())).max().orElse(0);
        return AvailableChanges.in(observed).stream()
                // What only names a split says nothing of where its time went, which this log may tell.
                .filter(change -> !(change instanceof CapSplits))
                .filter(change ->
                        proposed.stream().noneMatch(one -> one.change().sameThing(change)))
                .filter(change -> gain(change) > most && isShown(change))
                .max(Comparator.comparingLong(this::gain));
    }

    private boolean isShown(Change change) {
        var on = change.on(observed.replay());
        return observed.replay().slices().stream()
                .filter(TimeSlice::observed)
                .filter(slice -> on.apply(slice).newMs(slice) < slice.ms())
                .allMatch(
                        slice -> change.evidenceLevel(evidence, slice, on.apply(slice)) != EvidenceLevel.NOT_YET_SHOWN);
    }

    private long gain(Change change) {
        return gains.computeIfAbsent(change, observed::gain);
    }

    private List<Suggestion> inOrder(List<Suggestion> proposed) {
        Comparator<Suggestion> byGain = Comparator.comparingLong(one -> gain(one.change()));
        Comparator<Suggestion> onFirst =
                Comparator.comparing(Suggestion::on).thenComparing(byGain).reversed();
        List<Suggestion> once = proposed.stream()
                .distinct()
                .filter(one -> gain(one.change()) > 0)
                .sorted(onFirst)
                .toList();
        return eachSecondOnce(once).stream().sorted(onFirst).toList();
    }

    /** Of those that would win the same seconds only the one that wins most is part of the projection. */
    private List<Suggestion> eachSecondOnce(List<Suggestion> dearestFirst) {
        List<Change> chosen = new ArrayList<>();
        List<Suggestion> once = new ArrayList<>();
        for (Suggestion one : dearestFirst) {
            boolean on = one.on()
                    && chosen.stream().noneMatch(other -> observed.replay().sameSeconds(other, one.change()));
            if (on) {
                chosen.add(one.change());
            }
            once.add(new Suggestion(one.change(), on));
        }
        return once;
    }
}
