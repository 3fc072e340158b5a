package wake.api.comparison;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Downloads;
import wake.api.today.Summaries;
import wake.api.today.Summaries.Entered;
import wake.exchange.LeaderboardSheet;
import wake.field.Entry;
import wake.field.Leaderboard;
import wake.field.Leaderboard.Row;
import wake.projection.Change;
import wake.projection.GoalSeek;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.store.AttemptStore.Attempt;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.units.Digits;
import wake.units.InvalidInput;
import wake.words.ChangeWords;
import wake.workout.Format;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** All attempts at a workout in the order of their scores, and what would move one up. */
@RestController
@RequestMapping("/api")
class RankingApi {
    private final Reviews reviews;
    private final Retests retests;
    private final Summaries summaries;
    private final WorkoutStore workouts;
    private final Movements movements;

    /**
     * A ranking.
     *
     * @param parts names of the workout's parts, "" for the only one
     * @param longestMs the longest clock on it, the scale of all bars
     * @param divisions each with its attempts, best first
     * @param unfinished attempts whose log does not show an end yet
     * @param waiting how many attempts of the whole application are still being read
     */
    record RankingView(
            UUID workoutId,
            String title,
            int part,
            List<String> parts,
            long longestMs,
            List<RankedDivisionView> divisions,
            List<UnrankedView> unfinished,
            int waiting) {}

    /** The attempts of a division. */
    record RankedDivisionView(String division, List<RankedView> places) {}

    /**
     * An attempt where it stands in its division.
     *
     * @param place of an athlete's best attempt, equal ones share it; unset of the others
     * @param percentile of a best: percentile rank among all bests of the division, 0 to 100; unset of fewer than five
     * @param behindFirst by how much it is behind the first; unset of the first
     * @param behindNext by how much it is behind the place before
     * @param tieBreak the clock that decides between equal scores; unset where there is none
     * @param bars what each line or round took, in order
     */
    record RankedView(
            UUID attemptId,
            UUID athleteId,
            String athlete,
            LocalDate doneOn,
            @Nullable Integer place,
            @Nullable Double percentile,
            String score,
            @Nullable String behindFirst,
            @Nullable String behindNext,
            @Nullable String tieBreak,
            List<SplitBarView> bars) {}

    /** A split as a small bar: a round, or what stands outside them; whether the log has it apart. */
    record SplitBarView(String label, long ms, boolean told) {}

    /** An attempt without a score yet, and how far its log has come. */
    record UnrankedView(UUID attemptId, String athlete, LocalDate doneOn, String says) {}

    /**
     * What would move an attempt up a place.
     *
     * @param says in a sentence
     * @param steps the changes, the strongest evidence first
     */
    record NextPlaceView(String says, boolean reached, List<NextStepView> steps) {}

    record NextStepView(String change, String after, String reason) {}

    RankingApi(Reviews reviews, Retests retests, Summaries summaries, WorkoutStore workouts, Movements movements) {
        this.reviews = reviews;
        this.retests = retests;
        this.summaries = summaries;
        this.workouts = workouts;
        this.movements = movements;
    }

    /** The attempts at a part of a workout, by division. */
    @GetMapping("/workouts/{id}/ranking")
    RankingView ranking(@PathVariable UUID id, @RequestParam(defaultValue = "0") int part) {
        StoredWorkout workout = workouts.find(id).orElseThrow(() -> new NotFound("workout", id));
        int waiting = summaries.refresh();
        List<Entered> all = summaries.field(id, part);
        List<UnrankedView> unfinished = all.stream()
                .filter(one -> one.entry().isEmpty() && one.summary().stage() != Summaries.Stage.UNREADABLE)
                .map(one -> new UnrankedView(
                        one.attempt().id(),
                        one.attempt().athlete(),
                        one.attempt().doneOn(),
                        one.summary().says()))
                .toList();
        Map<String, List<Entered>> byDivision = byDivision(workout, all);
        List<RankedDivisionView> divisions = new ArrayList<>();
        byDivision.forEach((division, its) -> divisions.add(division(division, its)));
        long longest = divisions.stream()
                .flatMap(division -> division.places().stream())
                .mapToLong(place ->
                        place.bars().stream().mapToLong(SplitBarView::ms).sum())
                .max()
                .orElse(0);
        return new RankingView(id, workout.title(), part, parts(workout), longest, divisions, unfinished, waiting);
    }

    /** The same as comma-separated values. */
    @GetMapping(value = "/workouts/{id}/ranking.csv", produces = "text/csv")
    ResponseEntity<String> sheet(@PathVariable UUID id, @RequestParam(defaultValue = "0") int part) {
        StoredWorkout workout = workouts.find(id).orElseThrow(() -> new NotFound("workout", id));
        summaries.refresh();
        List<LeaderboardSheet.Line> lines = new ArrayList<>();
        byDivision(workout, summaries.field(id, part))
                .forEach((division, its) -> leaderboard(its).rows().forEach(row -> {
                    Entered one = its.get(row.of());
                    lines.add(new LeaderboardSheet.Line(
                            division,
                            one.attempt().athlete(),
                            one.attempt().doneOn(),
                            row,
                            one.entry().orElseThrow()));
                }));
        return Downloads.file(workout.title() + " leaderboard.csv", "text/csv", LeaderboardSheet.of(lines));
    }

    /** Those with a score, by division in the order of the workout; a division of nobody is left out. */
    private Map<String, List<Entered>> byDivision(StoredWorkout workout, List<Entered> all) {
        Map<String, List<Entered>> byDivision = new LinkedHashMap<>();
        divisions(workout).forEach(division -> byDivision.put(division, new ArrayList<>()));
        all.stream()
                .filter(one -> one.entry().isPresent())
                .forEach(one -> byDivision
                        .computeIfAbsent(one.attempt().division(), division -> new ArrayList<>())
                        .add(one));
        byDivision.values().removeIf(List::isEmpty);
        return byDivision;
    }

    /** Those of a division that have a score, in order. */
    static Leaderboard leaderboard(List<Entered> its) {
        return Leaderboard.of(
                its.stream().map(one -> one.entry().orElseThrow()).toList(),
                its.stream().map(one -> one.attempt().athleteId()).toList());
    }

    private static RankedDivisionView division(String division, List<Entered> its) {
        List<RankedView> places = leaderboard(its).rows().stream()
                .map(row -> ranked(row, its.get(row.of())))
                .toList();
        return new RankedDivisionView(division, places);
    }

    private static RankedView ranked(Row row, Entered one) {
        Entry entry = one.entry().orElseThrow();
        return new RankedView(
                one.attempt().id(),
                one.attempt().athleteId(),
                one.attempt().athlete(),
                one.attempt().doneOn(),
                row.place().isPresent() ? row.place().getAsInt() : null,
                row.percentile().isPresent() ? row.percentile().getAsDouble() : null,
                entry.scoreWords(),
                row.behindFirst().orElse(null),
                row.behindNext().orElse(null),
                entry.tieBreaks().isEmpty() ? null : entry.tieBreakWords(),
                entry.bars().stream()
                        .map(bar -> new SplitBarView(bar.label(), bar.ms(), bar.told()))
                        .toList());
    }

    /** The cheapest changes, proven, that bring an attempt level with whoever stands next above it in its division. */
    @GetMapping("/attempts/{id}/next-place")
    NextPlaceView nextPlace(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        Attempt attempt = open.attempt();
        if (!open.log().over() || open.expanded().format() instanceof Format.Lift) {
            return new NextPlaceView("Finish the log to see how to move up.", false, List.of());
        }
        summaries.refresh();
        List<Entered> others = summaries.field(attempt.workoutId(), attempt.part()).stream()
                .filter(other -> other.entry().isPresent()
                        && other.attempt().division().equals(attempt.division())
                        && !other.attempt().athleteId().equals(attempt.athleteId()))
                .toList();
        if (others.isEmpty()) {
            return new NextPlaceView("Nobody else has done this in this division yet.", true, List.of());
        }
        List<Entry> entries = new ArrayList<>(List.of(Entry.of(open.log())));
        List<UUID> athletes = new ArrayList<>(List.of(attempt.athleteId()));
        others.forEach(other -> {
            entries.add(other.entry().orElseThrow());
            athletes.add(other.attempt().athleteId());
        });
        OptionalInt next = Leaderboard.of(entries, athletes).above(0);
        return next.isPresent()
                ? towards(
                        open,
                        reviews.open(others.get(next.getAsInt() - 1).attempt().id()))
                : new NextPlaceView("Already first in this division.", true, List.of());
    }

    private NextPlaceView towards(OpenAttempt open, OpenAttempt next) {
        RetestJson chosen = retests.chosen(open);
        List<Change> changes = chosen.all();
        GoalSeek seek = GoalSeek.of(
                open.log(), changes, next.log().score(), retests.terms(open, chosen, retests.calibration(open)));
        ChangeWords words = new ChangeWords(open.expanded());
        String goal = next.attempt().athlete() + "'s " + next.log().scoreWords();
        String says;
        if (seek.reached()) {
            says = "Ties " + goal + " with "
                    + (seek.steps().size() == 1
                            ? "1 proven change:"
                            : seek.steps().size() + " proven changes:");
        } else {
            says = "Next place needs " + goal + ". Proven: "
                    + seek.missing().orElse("something") + " short."
                    + (seek.reachedIfAllLand() ? " The best case gets there with:" : "");
        }
        return new NextPlaceView(
                says,
                seek.reached(),
                seek.steps().stream()
                        .map(step -> new NextStepView(
                                words.text(step.change()), step.after().brief(Digits.WHOLE), step.reason()))
                        .toList());
    }

    private List<String> divisions(StoredWorkout stored) {
        return read(stored).map(Workout::divisions).orElse(List.of());
    }

    private List<String> parts(StoredWorkout stored) {
        return read(stored)
                .map(workout -> workout.parts().stream().map(Workout.Part::name).toList())
                .orElse(List.of(""));
    }

    private Optional<Workout> read(StoredWorkout stored) {
        try {
            return Optional.of(NotationReader.read(stored.notation(), movements.catalogue())
                    .orThrow());
        } catch (InvalidInput unreadable) {
            return Optional.empty();
        }
    }
}
