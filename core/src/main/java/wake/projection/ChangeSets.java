package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.plan.SetScheme;
import wake.statistics.Statistics;

/**
 * Another set scheme for a movement: the same work at the same cadence, with as many breaks as the scheme asks for, each as long
 * as the movement's median rest. What fewer or smaller sets do to the cadence is not arithmetic: see {@link BreakEven}.
 *
 * @param scope of which movement, and where
 */
public record ChangeSets(Scope scope, SetScheme sets) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CHANGE_SETS",
            written -> new ChangeSets(written.scope(), SetScheme.parse(written.sets())),
            ChangeSets::possible,
            observed -> List.of());

    /** To shake the arms out takes 3–4 s; common practice, no source. */
    private static final double UNSEEN_REST_MS = 3500;

    public ChangeSets(String movement, SetScheme sets) {
        this(Scope.of(movement), sets);
    }

    private static List<Change> possible(Observed observed) {
        return Cadences.movementsWithWork(observed).stream()
                .filter(movement -> {
                    TimeSlice first = observed.work(Scope.of(movement)).getFirst();
                    return first.segment().tappable()
                            && first.segment().movement().modality() != Modality.CYCLIC;
                })
                .<Change>map(movement -> {
                    double[] sizes = observed.work(Scope.of(movement)).stream()
                            .mapToDouble(TimeSlice::units)
                            .toArray();
                    int usual = (int) Math.max(1, Math.round(Statistics.median(sizes)));
                    return new ChangeSets(movement, new SetScheme(List.of(usual, usual)));
                })
                .toList();
    }

    String movement() {
        return scope.movement();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return new StoredChange(KIND.code(), scope, List.of(0.0), sets.written(), OptionalLong.empty());
    }

    /** It makes the pieces anew, before anything else is done to them. */
    @Override
    public int breadth() {
        return 1;
    }

    @Override
    public boolean remakes(TimeSlice slice) {
        return touches(slice) && slice.isWork();
    }

    /** By the largest set it asks for. */
    @Override
    public EvidenceLevel evidenceLevel(Evidence evidence, TimeSlice slice, Effect effect) {
        int largest = sets.sets(slice.segment().steps()).stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
        return evidence.ofSet(slice.segment(), largest);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.REST && scope.has(split.segment());
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.sets(this);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.slices().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No sets of " + movement() + " were logged.");
    }

    boolean touches(TimeSlice slice) {
        return slice.isOf(movement())
                && scope.has(slice.segment())
                && slice.segment().tappable()
                && (slice.isWork() || slice.kind() == TimeSlice.Kind.REST);
    }

    /** The rest of this movement that is usual in an attempt, milliseconds. */
    double usualRestMs(Replay replay) {
        double[] rests = replay.slices().stream()
                .filter(slice -> slice.observed() && slice.kind() == TimeSlice.Kind.REST && slice.isOf(movement()))
                .mapToDouble(TimeSlice::ms)
                .toArray();
        return rests.length == 0 ? UNSEEN_REST_MS : Statistics.median(rests);
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        return slice -> Effect.NONE;
    }

    @Override
    public List<TimeSlice> reshape(Replay replay, List<TimeSlice> slices, ToDoubleFunction<TimeSlice> credit) {
        double rest = usualRestMs(replay);
        List<TimeSlice> reshaped = new ArrayList<>();
        int i = 0;
        while (i < slices.size()) {
            int end = i;
            while (end < slices.size()
                    && touches(slices.get(end))
                    && slices.get(end).segment().index()
                            == slices.get(i).segment().index()) {
                end++;
            }
            if (end == i) {
                reshaped.add(slices.get(i++));
            } else {
                List<TimeSlice> segment = slices.subList(i, end);
                reshaped.addAll(inSets(segment, rest, credit.applyAsDouble(segment.getFirst())));
                i = end;
            }
        }
        return reshaped;
    }

    private List<TimeSlice> inSets(List<TimeSlice> segment, double usualRest, double credit) {
        int reps = segment.stream().mapToInt(TimeSlice::units).sum();
        long core = 0;
        long fixed = 0;
        long rested = 0;
        for (TimeSlice slice : segment) {
            core += slice.isWork() ? slice.coreMs() + slice.tailMs() : 0;
            fixed += slice.fixedMs();
            rested += slice.isWork() ? 0 : slice.ms();
        }
        List<Integer> sizes = sets.sets(reps);
        double wanted = usualRest * (sizes.size() - 1);
        double saving = rested - wanted;
        double counted = saving > 0 ? rested - saving * credit : wanted;
        TimeSlice first = segment.getFirst();
        boolean observed = segment.stream().allMatch(TimeSlice::observed);
        List<TimeSlice> made = new ArrayList<>();
        long coreLeft = core;
        int repsLeft = reps;
        long clock = first.startMs();
        for (int i = 0; i < sizes.size(); i++) {
            long work = i == sizes.size() - 1 ? coreLeft : Math.round((double) coreLeft * sizes.get(i) / repsLeft);
            coreLeft -= work;
            repsLeft -= sizes.get(i);
            long faults = i == 0 ? fixed : 0;
            made.add(TimeSlice.even(first.segment(), TimeSlice.Kind.WORK, work + faults, faults, sizes.get(i))
                    .at(clock, observed));
            clock += work + faults;
            if (i < sizes.size() - 1) {
                long pause = Math.round(counted / (sizes.size() - 1));
                made.add(TimeSlice.pause(first.segment(), TimeSlice.Kind.REST, pause)
                        .at(clock, observed));
                clock += pause;
            }
        }
        if (sizes.size() == 1 && counted > 0) {
            made.add(TimeSlice.pause(first.segment(), TimeSlice.Kind.REST, Math.round(counted))
                    .at(clock, observed));
        }
        return made;
    }
}
