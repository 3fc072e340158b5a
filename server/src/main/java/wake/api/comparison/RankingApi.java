package wake.api.comparison;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.comparison.Standings;
import wake.comparison.Standings.Standing;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.projection.Change;
import wake.projection.GoalSeek;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.review.Reviews;
import wake.review.Unreadable;
import wake.store.AttemptStore;
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
    private static final int MOST = 300;

    private final Reviews reviews;
    private final Retests retests;
    private final AttemptStore attempts;
    private final WorkoutStore workouts;
    private final Movements movements;

    /**
     * A ranking.
     *
     * @param parts names of the workout's parts, "" for the only one
     * @param divisions each with its attempts, best first
     * @param unfinished attempts whose log does not show an end yet
     * @param left how many older attempts are left out
     */
    record RankingView(
            UUID workoutId,
            String title,
            int part,
            List<String> parts,
            List<RankedDivisionView> divisions,
            List<UnrankedView> unfinished,
            int left) {}

    /** The attempts of a division; all of them at one scale. */
    record RankedDivisionView(String division, long longestMs, List<RankedView> places) {}

    /**
     * An attempt where it stands in its division.
     *
     * @param place equal ones share it
     * @param percentile percentile rank in its division, 0 to 100
     * @param tieBreak the clock that decides between equal scores; unset where there is none
     * @param best whether it is the athlete's best in this division
     * @param bars what each line or round took, in order
     */
    record RankedView(
            UUID attemptId,
            UUID athleteId,
            String athlete,
            LocalDate doneOn,
            int place,
            double percentile,
            String score,
            @Nullable String tieBreak,
            boolean best,
            List<SplitBarView> bars) {}

    /** A split as a small bar: one lap of the whole where there are several, else one segment. */
    record SplitBarView(String label, long ms) {}

    record UnrankedView(UUID attemptId, String athlete, LocalDate doneOn, String score) {}

    /**
     * What would move an attempt up a place.
     *
     * @param says in a sentence
     * @param steps the changes, the strongest evidence first
     */
    record NextPlaceView(String says, boolean reached, List<NextStepView> steps) {}

    record NextStepView(String change, String after, String reason) {}

    RankingApi(Reviews reviews, Retests retests, AttemptStore attempts, WorkoutStore workouts, Movements movements) {
        this.reviews = reviews;
        this.retests = retests;
        this.attempts = attempts;
        this.workouts = workouts;
        this.movements = movements;
    }

    /** The attempts at a part of a workout, by division. */
    @GetMapping("/workouts/{id}/ranking")
    RankingView ranking(@PathVariable UUID id, @RequestParam(defaultValue = "0") int part) {
        StoredWorkout workout = workouts.find(id).orElseThrow(() -> new NotFound("workout", id));
        List<Attempt> all = attempts.atWorkout(id, part);
        List<OpenAttempt> open = all.stream()
                .limit(MOST)
                .flatMap(attempt -> open(attempt).stream())
                .toList();
        Map<String, List<OpenAttempt>> byDivision = new LinkedHashMap<>();
        for (String division : divisions(workout)) {
            byDivision.put(division, new ArrayList<>());
        }
        List<UnrankedView> waiting = new ArrayList<>();
        for (OpenAttempt one : open) {
            if (ended(one)) {
                byDivision
                        .computeIfAbsent(one.attempt().division(), division -> new ArrayList<>())
                        .add(one);
            } else {
                waiting.add(new UnrankedView(
                        one.attempt().id(),
                        one.attempt().athlete(),
                        one.attempt().doneOn(),
                        one.log().scoreWords()));
            }
        }
        List<RankedDivisionView> divisions = new ArrayList<>();
        byDivision.forEach((division, its) -> {
            if (!its.isEmpty()) {
                divisions.add(division(division, its));
            }
        });
        return new RankingView(
                id, workout.title(), part, parts(workout), divisions, waiting, Math.max(0, all.size() - MOST));
    }

    private Optional<OpenAttempt> open(Attempt attempt) {
        try {
            return Optional.of(reviews.open(attempt));
        } catch (Unreadable unreadable) {
            return Optional.empty();
        }
    }

    private static boolean ended(OpenAttempt open) {
        return open.log().over() || open.log().lifts().stream().anyMatch(lift -> lift.made());
    }

    private static RankedDivisionView division(String division, List<OpenAttempt> its) {
        List<AttemptLog> logs = its.stream().map(OpenAttempt::log).toList();
        Map<UUID, UUID> bests = new HashMap<>();
        List<RankedView> places = new ArrayList<>();
        for (Standing standing : Standings.of(logs)) {
            OpenAttempt open = its.get(standing.of());
            Attempt attempt = open.attempt();
            bests.putIfAbsent(attempt.athleteId(), attempt.id());
            places.add(new RankedView(
                    attempt.id(),
                    attempt.athleteId(),
                    attempt.athlete(),
                    attempt.doneOn(),
                    standing.place(),
                    standing.percentile(),
                    open.log().scoreWords(),
                    tieBreak(open.log()),
                    attempt.id().equals(bests.get(attempt.athleteId())),
                    bars(open.log())));
        }
        long longest = logs.stream().mapToLong(AttemptLog::clockMs).max().orElse(0);
        return new RankedDivisionView(division, longest, places);
    }

    private static @Nullable String tieBreak(AttemptLog log) {
        List<AttemptLog.TieBreak> reached = log.tieBreaks();
        return reached.isEmpty()
                ? null
                : log.digits().clock(reached.getLast().clockMs()) + " after "
                        + reached.getLast().after();
    }

    /** One bar for each lap, where there are laps, and for each segment outside them; what nobody broken down is one. */
    private static List<SplitBarView> bars(AttemptLog log) {
        List<SplitBarView> bars = new ArrayList<>();
        List<SegmentSplit> open = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            boolean goesOn = !open.isEmpty()
                    && (!open.getLast().endSeen()
                            || split.segment().inRounds()
                                    && split.segment()
                                            .lap()
                                            .equals(open.getLast().segment().lap()));
            if (!goesOn && !open.isEmpty()) {
                bars.add(bar(open));
                open = new ArrayList<>();
            }
            open.add(split);
        }
        if (!open.isEmpty()) {
            bars.add(bar(open));
        }
        return bars;
    }

    private static SplitBarView bar(List<SegmentSplit> splits) {
        SegmentSplit last = splits.getLast();
        String label = last.segment().inRounds()
                ? last.segment().lap().words()
                : last.segment().label();
        return new SplitBarView(label, last.endMs() - splits.getFirst().arrivalMs());
    }

    /** The cheapest changes, proven, that bring an attempt level with whoever stands next above it in its division. */
    @GetMapping("/attempts/{id}/next-place")
    NextPlaceView nextPlace(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        if (!open.log().over() || open.expanded().format() instanceof Format.Lift) {
            return new NextPlaceView("Finish the log to see how to move up.", false, List.of());
        }
        List<OpenAttempt> rivals = new ArrayList<>(List.of(open));
        attempts.atWorkout(open.attempt().workoutId(), open.attempt().part()).stream()
                .filter(other -> other.division().equals(open.attempt().division())
                        && !other.athleteId().equals(open.attempt().athleteId()))
                .limit(MOST)
                .flatMap(other -> open(other).stream())
                .filter(RankingApi::ended)
                .forEach(rivals::add);
        List<Standing> standings =
                Standings.of(rivals.stream().map(OpenAttempt::log).toList());
        int own = standings.stream()
                .filter(one -> one.of() == 0)
                .findFirst()
                .orElseThrow()
                .place();
        Optional<OpenAttempt> next = standings.stream()
                .filter(one -> one.place() < own)
                .max(Comparator.comparingInt(Standing::place))
                .map(one -> rivals.get(one.of()));
        if (next.isEmpty()) {
            return new NextPlaceView(
                    rivals.size() == 1
                            ? "Nobody else has done this in this division yet."
                            : "Already first in this division.",
                    true,
                    List.of());
        }
        return towards(open, next.get());
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
