package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Projection.ProjectedChange;
import wake.projection.Projection.Terms;
import wake.units.Digits;

/**
 * The cheapest way to a goal: the fewest changes that reach it on proven changes alone; of equally few those with the strongest evidence; the last of
 * them no further than it must go.
 *
 * @param goal the score to reach
 * @param steps the changes, the strongest evidence first, with what each brings, as far as proven, after those before it; those that come
 *     nearest when the goal is out of reach
 * @param reached whether they reach it on proven changes alone
 * @param reachedIfAllLand whether all changes proposed would, if every one landed in full
 * @param missing what proven changes leave missing, in words; empty when nothing is
 */
public record GoalSeek(
        Score goal, List<Step> steps, boolean reached, boolean reachedIfAllLand, Optional<String> missing) {
    /** All sets of so many changes are tried; of more, the best are added one by one. */
    private static final int TRIED_ALL = 10;

    public GoalSeek {
        steps = List.copyOf(steps);
    }

    /**
     * One change on the way.
     *
     * @param place of the change among those proposed
     * @param change the change, its target eased where less of it is enough
     * @param after the proven score with it and the steps before
     * @param reason why it was taken
     */
    public record Step(int place, Change change, EvidenceLevel evidence, Gain gain, Score after, String reason) {}

    public static GoalSeek of(AttemptLog log, List<? extends Change> changes, Score goal, Terms terms) {
        Projection.Projector projector = new Projection.Projector(log, terms.withoutRanges());
        List<ProjectedChange> projectedChanges =
                projector.project(changes, List.of()).projectedChanges();
        List<Integer> useful = new ArrayList<>();
        for (int i = 0; i < projectedChanges.size(); i++) {
            if (projectedChanges.get(i).proven().rank() > 0) {
                useful.add(i);
            }
        }
        Search search = new Search(projector, projectedChanges, useful, goal);
        List<Integer> chosen = search.chosen();
        List<Step> steps = search.steps(chosen, log.score());
        Score end = steps.isEmpty() ? log.score() : steps.getLast().after();
        boolean reached = Score.compare(end, goal) >= 0;
        List<Change> all = useful.stream().<Change>map(changes::get).toList();
        boolean landing = Score.compare(Replay.of(log).score(all), goal) >= 0;
        return new GoalSeek(
                goal,
                steps,
                reached,
                landing,
                reached ? Optional.empty() : Optional.of(Score.margin(goal, end, Digits.WHOLE)));
    }

    private record Search(
            Projection.Projector projector, List<ProjectedChange> projectedChanges, List<Integer> useful, Score goal) {
        List<Integer> chosen() {
            if (Score.compare(projector.proven(List.of()), goal) >= 0) {
                return List.of();
            }
            return useful.size() <= TRIED_ALL ? fewest() : oneByOne();
        }

        private List<Integer> fewest() {
            List<List<Integer>> sets = new ArrayList<>();
            for (int mask = 1; mask < 1 << useful.size(); mask++) {
                List<Integer> set = new ArrayList<>();
                for (int bit = 0; bit < useful.size(); bit++) {
                    if ((mask >> bit & 1) == 1) {
                        set.add(useful.get(bit));
                    }
                }
                sets.add(set);
            }
            sets.sort(Comparator.<List<Integer>>comparingInt(List::size)
                    .thenComparingInt(this::weakest)
                    .thenComparingInt(set -> set.stream()
                            .mapToInt(place ->
                                    projectedChanges.get(place).evidence().ordinal())
                            .sum())
                    .thenComparing(
                            set -> set.stream()
                                    .mapToLong(place ->
                                            projectedChanges.get(place).proven().rank())
                                    .sum(),
                            Comparator.reverseOrder()));
            List<Integer> nearest = List.of();
            Score best = score(nearest);
            for (List<Integer> set : sets) {
                Score score = score(set);
                if (Score.compare(score, goal) >= 0) {
                    return set;
                }
                if (Score.compare(score, best) > 0) {
                    nearest = set;
                    best = score;
                }
            }
            return nearest;
        }

        private int weakest(List<Integer> set) {
            return set.stream()
                    .mapToInt(place -> projectedChanges.get(place).evidence().ordinal())
                    .max()
                    .orElse(0);
        }

        private List<Integer> oneByOne() {
            List<Integer> left = useful.stream().sorted(strongest()).toList();
            List<Integer> chosen = new ArrayList<>();
            Score before = score(chosen);
            for (Integer next : left) {
                if (Score.compare(before, goal) >= 0) {
                    break;
                }
                chosen.add(next);
                Score after = score(chosen);
                if (Score.compare(after, before) > 0) {
                    before = after;
                } else {
                    chosen.removeLast();
                }
            }
            return chosen;
        }

        private Comparator<Integer> strongest() {
            return Comparator.comparing(
                            (Integer place) -> projectedChanges.get(place).evidence())
                    .thenComparing(
                            place -> -projectedChanges.get(place).proven().rank());
        }

        private Score score(List<Integer> set) {
            return projector.proven(set.stream()
                    .map(place -> projectedChanges.get(place).change())
                    .toList());
        }

        List<Step> steps(List<Integer> chosen, Score start) {
            List<Integer> order = chosen.stream().sorted(strongest()).toList();
            List<Step> steps = new ArrayList<>();
            List<Change> taken = new ArrayList<>();
            Score before = start;
            for (int i = 0; i < order.size(); i++) {
                int place = order.get(i);
                ProjectedChange projected = projectedChanges.get(place);
                Change change = i == order.size() - 1 ? eased(projected, taken) : projected.change();
                taken.add(change);
                Score after = projector.proven(taken);
                steps.add(new Step(
                        place, change, projected.evidence(), Gain.between(before, after), after, reason(projected)));
                before = after;
            }
            return steps;
        }

        /** No further than it must go for the goal, beside those taken before it. */
        private Change eased(ProjectedChange projected, List<Change> taken) {
            Change change = projected.change();
            double target = change.written().target();
            Optional<SliderRange> slider = change.slider(projector.replay(), projected.fromMs())
                    .filter(each -> change.written().targets().size() == 1 && !(change instanceof SpreadEvenly));
            if (slider.isEmpty() || !reaches(change, taken)) {
                return change;
            }
            double weak = reaches(change.to(slider.get().most()), taken)
                            || change.to(slider.get().most()).equals(change)
                    ? target
                    : slider.get().most();
            return change instanceof FinishKick || weak == target
                    ? change
                    : change.to(Halving.weakest(
                            target, weak, slider.get().step(), each -> reaches(change.to(each), taken)));
        }

        private boolean reaches(Change change, List<Change> taken) {
            List<Change> all = new ArrayList<>(taken);
            all.add(change);
            return Score.compare(projector.proven(all), goal) >= 0;
        }

        private static String reason(ProjectedChange projected) {
            String spots = projected.touched() == 1 ? " (1 spot)" : " (" + projected.touched() + " spots)";
            return switch (projected.evidence()) {
                case SHOWN_LATE -> "done late in this attempt, so it holds when tired" + spots;
                case SHOWN -> "done earlier in this attempt" + spots;
                case ELSEWHERE -> "done in another attempt, not in this one" + spots;
                case NOT_YET_SHOWN -> "not done yet, so it counts for little, but nothing stronger is left" + spots;
            };
        }
    }
}
