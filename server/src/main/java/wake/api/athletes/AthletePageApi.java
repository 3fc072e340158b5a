package wake.api.athletes;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Refused;
import wake.api.athletes.AthletePageViews.AthletePageView;
import wake.api.athletes.AthletePageViews.FigureView;
import wake.api.athletes.AthletePageViews.HistoryLineView;
import wake.api.athletes.AthletePageViews.LearnedView;
import wake.api.athletes.AthletePageViews.LimitedView;
import wake.api.athletes.AthletePageViews.PastView;
import wake.api.athletes.AthletePageViews.TechniqueView;
import wake.api.athletes.AthletePageViews.WorkoutLineView;
import wake.api.retest.RetestViews;
import wake.api.today.Summaries;
import wake.api.today.Summaries.Shown;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.history.AttemptFacts;
import wake.history.History;
import wake.history.HistoryLine.Dated;
import wake.history.Techniques;
import wake.plan.FigureWords;
import wake.projection.CallRecord;
import wake.projection.KindRecord;
import wake.review.FactsJson;
import wake.review.Lessons;
import wake.review.Movements;
import wake.review.Retests;
import wake.review.Unknown;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.AttemptStore;
import wake.store.WorkoutStore;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Course;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** One athlete: what is noted, what their attempts show, how it moved, and how calls came out. */
@RestController
@RequestMapping("/api/athletes/{id}")
class AthletePageApi {
    /** Checked calls looked at for how they came out. */
    private static final int CALLS = 200;

    private final AthleteStore athletes;
    private final AttemptStore attempts;
    private final WorkoutStore workouts;
    private final Summaries summaries;
    private final Retests retests;
    private final Lessons lessons;
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
            Lessons lessons,
            Movements movements,
            Clock clock) {
        this.athletes = athletes;
        this.attempts = attempts;
        this.workouts = workouts;
        this.summaries = summaries;
        this.retests = retests;
        this.lessons = lessons;
        this.movements = movements;
        this.clock = clock;
    }

    /**
     * The athlete's page.
     *
     * @param from attempts before this day are left out of the lines
     * @param over a workout over which ways of doing a movement are to be held against each other
     */
    @GetMapping("/page")
    AthletePageView page(
            @PathVariable UUID id, @RequestParam Optional<LocalDate> from, @RequestParam Optional<UUID> over) {
        Athlete athlete = athletes.find(id).orElseThrow(() -> new Unknown("athlete", id));
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
                history.answer(),
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
                history.limiter(),
                techniques(dated, read.figures(), over),
                CallRecord.of(retests.checked(attempts.calledOf(id, CALLS)))
                        .map(RetestViews::record)
                        .orElse(null),
                KindRecord.of(lessons.of(id)).stream().map(RetestViews::says).toList(),
                LearnedView.of(lessons.known(id, LocalDate.now(clock))));
    }

    /** Adds a line to the athlete's figures, as a test of a technique just done. */
    @PostMapping("/figures")
    @Transactional
    public AthletePageView note(@PathVariable UUID id, @Valid @RequestBody LineRequest request) {
        athletes.lock(id);
        Athlete athlete = athletes.find(id).orElseThrow(() -> new Unknown("athlete", id));
        String line = request.line().strip();
        FiguresReader.Outcome read = FiguresReader.read(line, movements.catalogue());
        if (!read.errors().isEmpty() || line.contains("\n")) {
            throw new Refused(
                    "line",
                    line.contains("\n")
                            ? "Expected one line"
                            : read.errors().getFirst().replaceFirst("^Line 1: ", ""));
        }
        boolean dated =
                read.figures().noted().stream().allMatch(noted -> noted.on().isPresent())
                        || !read.figures().goal().isEmpty();
        String whole = athlete.figures().stripTrailing()
                + (athlete.figures().isBlank() ? "" : "\n")
                + line
                + (dated ? "" : " on " + LocalDate.now(clock));
        if (whole.length() > FiguresReader.LONGEST) {
            throw new Refused(
                    "line", "The figures are full: expected " + FiguresReader.LONGEST + " characters at most");
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
                                .mapToObj(i -> past(group.get(i), i == 0 ? null : group.get(i - 1)))
                                .toList()))
                .toList();
    }

    private static PastView past(Shown one, @Nullable Shown before) {
        Optional<FactsJson.Change> change =
                before == null || !before.past().division().equals(one.past().division())
                        ? Optional.empty()
                        : before.facts().flatMap(was -> one.facts().map(was::to));
        return new PastView(
                one.past().id(),
                one.past().doneOn(),
                one.past().division(),
                one.summary().stage(),
                one.summary().score(),
                change.map(AthletePageApi::words).orElse(""),
                change.map(FactsJson.Change::better).orElse(0),
                one.past().retestOf() != null,
                one.summary().says());
    }

    private static String words(FactsJson.Change change) {
        return change.better() == 0 ? "the same" : change.words() + (change.better() > 0 ? " better" : " worse");
    }

    /** The heaviest lift made of each movement and the longest clean set of each at each load, with whether that is more than noted. */
    private List<FigureView> shown(List<Shown> all, Figures figures) {
        Map<String, FigureView> best = new LinkedHashMap<>();
        Map<String, Double> most = new LinkedHashMap<>();
        for (Shown one : all) {
            one.facts().map(FactsJson::shown).ifPresent(facts -> {
                for (AttemptFacts.Lifted lift : facts.lifts()) {
                    String movement = movements
                            .catalogue()
                            .find(lift.movement())
                            .map(found -> found.name())
                            .orElse(lift.movement());
                    if (lift.kilograms() > most.getOrDefault("max " + movement, 0.0)) {
                        most.put("max " + movement, lift.kilograms());
                        Quantity noted = figures.maxes().get(movement);
                        boolean grows = noted == null || lift.kilograms() > noted.in(Unit.KILOGRAM) + 1e-9;
                        best.put(
                                "max " + movement,
                                figure(
                                        one,
                                        Figures.Kind.MAX,
                                        movement,
                                        lift.load(),
                                        grows,
                                        "max " + movement + " " + lift.load()));
                    }
                }
                for (AttemptFacts.Unbroken set : facts.unbroken()) {
                    String key = "set " + set.work().words();
                    if (set.reps() > most.getOrDefault(key, 0.0)) {
                        most.put(key, (double) set.reps());
                        String movement = set.work().movement();
                        Integer noted = figures.unbroken().get(movement);
                        boolean grows = noted != null && set.reps() > noted;
                        best.put(
                                key,
                                figure(
                                        one,
                                        Figures.Kind.UNBROKEN,
                                        set.work().words(),
                                        set.reps() + " reps",
                                        grows,
                                        grows || noted == null ? "unbroken " + movement + " " + set.reps() : null));
                    }
                }
            });
        }
        return best.values().stream()
                .sorted(Comparator.comparing(FigureView::grows)
                        .reversed()
                        .thenComparing(FigureView::kind)
                        .thenComparing(FigureView::movement))
                .toList();
    }

    private static FigureView figure(
            Shown one, Figures.Kind kind, String movement, String value, boolean grows, @Nullable String asLine) {
        return new FigureView(
                0,
                kind,
                movement,
                value,
                one.past().doneOn(),
                one.past().title(),
                one.past().id(),
                grows,
                asLine == null ? null : asLine + " on " + one.past().doneOn());
    }

    private List<TechniqueView> techniques(List<Dated> dated, Figures figures, Optional<UUID> over) {
        Optional<Course> course = over.flatMap(workouts::find)
                .map(found -> NotationReader.read(found.notation(), movements.catalogue()))
                .flatMap(outcome -> outcome.workout().map(workout -> firstCourse(workout)));
        return Techniques.of(dated, figures.techniques()).stream()
                .map(movement -> TechniqueView.of(
                        movement, course.map(asked -> over(asked, movement)).orElse(List.of())))
                .toList();
    }

    private Course firstCourse(Workout workout) {
        return Course.of(workout, 0, movements.catalogue());
    }

    private static List<String> over(Course course, Techniques.Movement movement) {
        if (movement.ways().size() < 2) {
            return List.of();
        }
        Techniques.Way quickest = movement.ways().getFirst();
        List<String> said = movement.ways().stream()
                .skip(1)
                .flatMap(other -> Techniques.over(course, movement.work(), quickest.seconds(), other.seconds())
                        .map(found -> found.says(quickest.name(), other.name()))
                        .stream())
                .toList();
        return said.isEmpty() ? List.of("There is none of it in that workout at that load.") : said;
    }
}
