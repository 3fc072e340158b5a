package wake.api.athletes;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.athletes.AthletePageViews.AthletePageView;
import wake.api.athletes.AthletePageViews.CalibrationView;
import wake.api.athletes.AthletePageViews.FigureView;
import wake.api.athletes.AthletePageViews.HistoryLineView;
import wake.api.athletes.AthletePageViews.LimitedView;
import wake.api.athletes.AthletePageViews.PastView;
import wake.api.athletes.AthletePageViews.TechniqueView;
import wake.api.athletes.AthletePageViews.WorkoutLineView;
import wake.api.retest.RetestViews;
import wake.api.today.Summaries;
import wake.api.today.Summaries.Shown;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.history.History;
import wake.history.HistoryLine.Dated;
import wake.history.PersonalBest;
import wake.history.Techniques;
import wake.projection.KindRecord;
import wake.projection.ProjectionRecord;
import wake.review.Calibrations;
import wake.review.FactsJson;
import wake.review.Movements;
import wake.review.NotFound;
import wake.review.Retests;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.SummaryStore.Past;
import wake.store.WorkoutStore;
import wake.units.Messages;
import wake.words.FigureWords;
import wake.words.HistoryWords;
import wake.words.RetestWords;
import wake.words.TechniqueWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** One athlete: what is noted, what their attempts show, how it moved, and how projections came out. */
@RestController
@RequestMapping("/api/athletes/{id}")
class AthletePageApi {
    /** Checked projections looked at for how they came out. */
    private static final int CALLS = 200;

    private final AthleteStore athletes;
    private final AttemptStore attempts;
    private final WorkoutStore workouts;
    private final Summaries summaries;
    private final Retests retests;
    private final Calibrations points;
    private final Movements movements;
    private final Clock clock;

    /** A line to be added to an athlete's figures; without a day today's is put to it. */
    record LineRequest(
            @NotBlank @Size(max = 400, message = "must be 400 characters at most")
            String line) {}

    AthletePageApi(
            AthleteStore athletes,
            AttemptStore attempts,
            WorkoutStore workouts,
            Summaries summaries,
            Retests retests,
            Calibrations points,
            Movements movements,
            Clock clock) {
        this.athletes = athletes;
        this.attempts = attempts;
        this.workouts = workouts;
        this.summaries = summaries;
        this.retests = retests;
        this.points = points;
        this.movements = movements;
        this.clock = clock;
    }

    /**
     * The athlete's page.
     *
     * @param from attempts before this day are left out of the lines
     * @param over a workout over which techniques of a movement are to be held against each other
     */
    @GetMapping("/page")
    AthletePageView page(
            @PathVariable UUID id, @RequestParam Optional<LocalDate> from, @RequestParam Optional<UUID> over) {
        Athlete athlete = athletes.find(id).orElseThrow(() -> new NotFound("athlete", id));
        int beingRead = summaries.refresh();
        List<Shown> all = summaries.past(id);
        FiguresReader.Outcome read = FiguresReader.read(athlete.figures(), movements.catalogue());
        List<Dated> dated = dated(all, from);
        History history = History.of(dated);
        long most = history.limiters().stream()
                .mapToLong(one -> one.lost().lostMs())
                .max()
                .orElse(1);
        return new AthletePageView(
                id,
                athlete.name(),
                athlete.note(),
                athlete.pain(),
                athlete.recoversSlowly(),
                read.figures().goal(),
                HistoryWords.headline(history),
                athlete.figures(),
                read.errors(),
                FigureWords.advice(read.figures()),
                all.size(),
                beingRead,
                from.orElse(null),
                read.figures().noted().stream().map(FigureView::of).toList(),
                shown(all, read.figures()),
                workouts(all),
                history.lines().stream().map(HistoryLineView::of).toList(),
                history.limiters().stream()
                        .map(one -> LimitedView.of(one, most))
                        .toList(),
                HistoryWords.limiter(history),
                techniques(dated, read.figures(), over),
                ProjectionRecord.of(retests.checked(attempts.calledOf(id, CALLS)))
                        .map(RetestViews::record)
                        .orElse(null),
                KindRecord.of(points.of(id)).stream().map(RetestWords::kind).toList(),
                CalibrationView.of(points.known(id, LocalDate.now(clock))));
    }

    /** Adds a line to the athlete's figures, as a test of a technique just done. */
    @PostMapping("/figures")
    @Transactional
    public AthletePageView note(@PathVariable UUID id, @Valid @RequestBody LineRequest request) {
        athletes.lock(id);
        Athlete athlete = athletes.find(id).orElseThrow(() -> new NotFound("athlete", id));
        String line = request.line().strip();
        FiguresReader.Outcome read = FiguresReader.read(line, movements.catalogue());
        if (!read.errors().isEmpty() || line.contains("\n")) {
            throw new InvalidRequest(
                    "line",
                    line.contains("\n")
                            ? "Write one line"
                            : Messages.sentence(read.errors().getFirst().replaceFirst("^Line 1: ", "")));
        }
        boolean dated =
                read.figures().noted().stream().allMatch(noted -> noted.on().isPresent())
                        || !read.figures().goal().isEmpty();
        String whole = athlete.figures().stripTrailing()
                + (athlete.figures().isBlank() ? "" : "\n")
                + line
                + (dated ? "" : " on " + LocalDate.now(clock));
        if (whole.length() > FiguresReader.LONGEST) {
            throw new InvalidRequest("line", "No room for more: at most " + FiguresReader.LONGEST + " characters");
        }
        athletes.put(new Athlete(id, athlete.name(), athlete.note(), whole, athlete.pain(), athlete.recoversSlowly()));
        return page(id, Optional.empty(), Optional.empty());
    }

    private static List<Dated> dated(List<Shown> all, Optional<LocalDate> from) {
        return all.stream()
                .filter(one -> from.isEmpty() || !one.past().doneOn().isBefore(from.get()))
                .flatMap(one ->
                        one
                                .facts()
                                .map(facts ->
                                        new Dated(one.past().id(), one.past().doneOn(), facts.shown()))
                                .stream())
                .toList();
    }

    private static List<WorkoutLineView> workouts(List<Shown> all) {
        Map<List<Object>, List<Shown>> groups = new LinkedHashMap<>();
        // The one done last stands first.
        all.reversed()
                .forEach(one -> groups.computeIfAbsent(
                                List.of(one.past().workoutId(), one.past().part()), first -> new ArrayList<>())
                        .addFirst(one));
        return groups.values().stream()
                .map(group -> new WorkoutLineView(
                        group.getLast().past().workoutId(),
                        group.getLast().past().title(),
                        IntStream.range(0, group.size())
                                .mapToObj(i -> past(group.get(i), before(group, i)))
                                .toList()))
                .toList();
    }

    /** The one before that is logged, in the same division of the same text: others are other work. */
    private static Optional<Shown> before(List<Shown> group, int index) {
        Past own = group.get(index).past();
        return group.subList(0, index).reversed().stream()
                .filter(one -> one.facts().isPresent()
                        && one.past().division().equals(own.division())
                        && one.past().notation().equals(own.notation()))
                .findFirst();
    }

    private static PastView past(Shown one, Optional<Shown> before) {
        Optional<FactsJson.Change> change =
                before.flatMap(Shown::facts).flatMap(was -> one.facts().map(was::to));
        return new PastView(
                one.past().id(),
                one.past().doneOn(),
                one.past().division(),
                one.summary().stage(),
                one.summary().score(),
                change.map(FactsJson.Change::words).orElse(""),
                change.map(FactsJson.Change::better).orElse(0),
                one.past().retestOf() != null,
                one.summary().says());
    }

    private List<FigureView> shown(List<Shown> all, Figures figures) {
        Map<UUID, String> titles = new HashMap<>();
        all.forEach(one -> titles.put(one.past().id(), one.past().title()));
        return PersonalBest.of(dated(all, Optional.empty()), figures, movements.catalogue()).stream()
                .map(best ->
                        FigureView.of(best, titles.getOrDefault(best.attempt().attempt(), "")))
                .toList();
    }

    private List<TechniqueView> techniques(List<Dated> dated, Figures figures, Optional<UUID> over) {
        Optional<Workout> workout = over.flatMap(workouts::find)
                .map(found -> NotationReader.read(found.notation(), movements.catalogue()))
                .flatMap(outcome -> outcome.workout());
        return Techniques.of(dated, figures.techniques()).stream()
                .map(movement -> TechniqueView.of(
                        movement, workout.map(asked -> over(asked, movement)).orElse(List.of())))
                .toList();
    }

    private List<String> over(Workout workout, Techniques.Movement movement) {
        // The first division that has it at that load: another one has another bar.
        for (List<ExpandedWorkout> expansions : divisions(workout)) {
            List<String> said = Stream.concat(ofAttempts(expansions, movement), ofTests(expansions, movement))
                    .toList();
            if (!said.isEmpty()) {
                return said;
            }
        }
        boolean compared = movement.options().size() > 1
                || movement.tests().filter(tests -> !tests.pairs().isEmpty()).isPresent();
        return compared ? List.of("That workout has none of it at that load.") : List.of();
    }

    private static Stream<String> ofAttempts(List<ExpandedWorkout> expansions, Techniques.Movement movement) {
        if (movement.options().size() < 2) {
            return Stream.empty();
        }
        Techniques.Option quickest = movement.options().getFirst();
        return movement.options().stream()
                .skip(1)
                .flatMap(other -> Techniques.over(expansions, movement.work(), quickest.seconds(), other.seconds())
                        .map(found -> found.says(quickest.name(), other.name()))
                        .stream());
    }

    private static Stream<String> ofTests(List<ExpandedWorkout> expansions, Techniques.Movement movement) {
        return movement.tests().stream()
                .flatMap(tests -> tests.pairs().stream()
                        .flatMap(pair ->
                                tests.over(expansions, pair).map(over -> TechniqueWords.over(pair, over)).stream()));
    }

    /** The parts of a workout but its lift windows, in each division. */
    private List<List<ExpandedWorkout>> divisions(Workout workout) {
        return IntStream.range(0, Math.max(1, workout.divisions().size()))
                .mapToObj(division -> workout.parts().stream()
                        .filter(part -> !(part.format() instanceof Format.Lift))
                        .map(part -> ExpandedWorkout.of(part, division, movements.catalogue(), 1))
                        .toList())
                .toList();
    }
}
