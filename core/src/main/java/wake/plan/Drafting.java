package wake.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.movement.Loads;
import wake.movement.Movement;
import wake.movement.Position;
import wake.plan.Draft.Bars;
import wake.plan.Draft.Basis;
import wake.plan.Plan.LinePacing;
import wake.units.Messages;
import wake.workout.Comparability;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** One draft in the making, line by line and bar by bar. */
final class Drafting {
    /** Between a quick transition (2 s) and a slow one (4 s); common practice, no source. */
    private static final long TRANSITION_MS = 3000;

    /** To a bar that is heavier than the last: the plates have to be changed. An assumption. */
    private static final long CHANGED_BAR_MS = 8000;

    /** A break between two sets with a bar of middling weight: 3 to 8 s; common practice, no source. */
    private static final long REST_MS = 5000;

    /** How long a set of an athlete nobody knows lasts, where what it loads gives out by itself; common practice, no source. */
    private static final double UNKNOWN_SET_S = 25;

    /** What gives out set by set, long before the breath does. */
    private static final Set<Loads> LOCAL = EnumSet.of(Loads.GRIP, Loads.PUSH, Loads.PULL);

    private final ExpandedWorkout expanded;
    private final Figures figures;
    private final Demonstrated demonstrated;
    private final boolean cut;

    /**
     * One draft.
     *
     * @param cut whether sets are cut and bars handled; false for what a workout takes on paper
     */
    Drafting(ExpandedWorkout expanded, Figures figures, Demonstrated demonstrated, boolean cut) {
        this.expanded = expanded;
        this.figures = figures;
        this.demonstrated = demonstrated;
        this.cut = cut;
    }

    Draft draft() {
        List<LinePacing> lines = new ArrayList<>();
        Map<Integer, String> bases = new LinkedHashMap<>();
        for (Segment segment : expanded.firstOfEachLine()) {
            List<Segment> line = expanded.segments().stream()
                    .filter(other -> other.lineIndex() == segment.lineIndex())
                    .toList();
            Bars bars = Bars.of(line);
            LinePacing pacing = line(segment, line, bars);
            lines.add(pacing);
            long up = pacing.every().pickUpMs();
            bases.put(
                    segment.lineIndex(),
                    Draft.basis(segment, bars, figures, demonstrated).words()
                            + (up == 0 ? "" : Messages.of("; pick-up %.1f s (assumed)", up / 1000.0)));
        }
        return new Draft(new Plan(lines), bases);
    }

    /** Every round alike where the bar is, each bar in its own way where it changes. */
    private LinePacing line(Segment first, List<Segment> line, Bars bars) {
        LinePacing pacing = new LinePacing(first.lineIndex(), pacing(first, line, bars), Map.of());
        Segment before = first;
        for (Segment later : line) {
            // What a partner does goes as the athlete's rounds until the coach says otherwise.
            if (!later.isPartners() && !Comparability.comparable(later, first)) {
                boolean changed = !Comparability.comparable(later, before);
                pacing = pacing.withRound(
                        later.lap().number(),
                        pacing(later, line, bars).withTransition(changed ? CHANGED_BAR_MS : TRANSITION_MS));
            }
            before = later.isPartners() ? before : later;
        }
        return pacing;
    }

    private Pacing pacing(Segment segment, List<Segment> line, Bars bars) {
        Basis basis = Draft.basis(segment, bars, figures, demonstrated);
        Optional<LoadProfile> handling = handling(segment);
        return new Pacing(
                        TRANSITION_MS,
                        sets(segment, line, basis.secondsPerUnit()),
                        basis.secondsPerUnit(),
                        handling.map(LoadProfile::restMs).orElse(REST_MS))
                .withPickUp(cut && basis.usual() ? LoadProfile.pickUpMs(segment) : 0)
                .withMisses(handling.map(LoadProfile::missesMs).orElse(0L));
    }

    private Optional<LoadProfile> handling(Segment segment) {
        OptionalDouble share = cut && segment.tappable() ? figures.share(segment) : OptionalDouble.empty();
        return share.isPresent() ? Optional.of(LoadProfile.of(share.getAsDouble())) : Optional.empty();
    }

    /** Even sets where every round asks for as much; where it grows or shrinks, up to so many at a time. */
    private SetScheme sets(Segment segment, List<Segment> line, double secondsPerRep) {
        int most = most(segment, secondsPerRep);
        boolean comparable = line.stream().allMatch(other -> other.steps() == segment.steps());
        if (comparable) {
            return SetScheme.atMost(most, segment.steps());
        }
        boolean grows = expanded.isOpen();
        int largest = line.stream().mapToInt(Segment::steps).max().orElse(0);
        return most < Integer.MAX_VALUE && (grows || largest > most) ? SetScheme.upTo(most) : SetScheme.UNBROKEN;
    }

    /** Whether a set of it ends before the breath does: held or loaded; what comes back to standing every rep goes on. */
    private static boolean givesOut(Segment segment) {
        Movement movement = segment.movement();
        return segment.mass().isPresent()
                || movement.starts() != Position.STANDING
                        && movement.loads().stream().anyMatch(LOCAL::contains);
    }

    /** The most reps in a set: what the unbroken max and the bar leave, of an athlete nobody knows what a set usually lasts; never less than was usually done. */
    private int most(Segment segment, double secondsPerRep) {
        return segment.tappable()
                ? Math.max(assumed(segment, secondsPerRep), demonstrated.usualSet(segment))
                : Integer.MAX_VALUE;
    }

    private int assumed(Segment segment, double secondsPerRep) {
        Optional<Integer> unbroken = figures.unbroken(segment.movement()).map(Draft::most);
        Optional<Integer> bar = handling(segment).map(LoadProfile::most);
        if (unbroken.isPresent() || bar.isPresent()) {
            return Math.min(unbroken.orElse(Integer.MAX_VALUE), bar.orElse(Integer.MAX_VALUE));
        }
        return cut && givesOut(segment) ? Math.max(1, (int) (UNKNOWN_SET_S / secondsPerRep)) : Integer.MAX_VALUE;
    }
}
