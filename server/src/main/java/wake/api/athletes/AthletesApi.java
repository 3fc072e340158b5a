package wake.api.athletes;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InTheBin;
import wake.api.InvalidRequest;
import wake.api.today.Summaries;
import wake.api.today.Summaries.RosterRow;
import wake.athlete.FiguresReader;
import wake.history.WeighedTests;
import wake.review.Movements;
import wake.store.AthleteStore;
import wake.store.AthleteStore.Athlete;
import wake.store.BinStore;
import wake.words.FigureWords;
import wake.words.TechniqueWords;

/** The roster. */
@RestController
@RequestMapping("/api/athletes")
class AthletesApi {
    private final AthleteStore athletes;
    private final Movements movements;
    private final BinStore bin;
    private final Summaries summaries;

    record AthleteRequest(
            @Size(max = 120, message = "must be 120 characters at most") @Nullable
            String name,

            @Size(max = 2000, message = "must be 2000 characters at most") @Nullable
            String note,

            @Size(max = 20_000, message = "must be 20000 characters at most") @Nullable
            String figures,

            @Size(max = 400, message = "must be 400 characters at most") @Nullable
            String pain,

            @Nullable Boolean recoversSlowly) {}

    /** A roster entry: the athlete, and what their figures say for planning. */
    record AthleteView(
            UUID id,
            String name,
            String note,
            String figures,
            String pain,
            boolean recoversSlowly,
            List<String> advice,
            List<String> problems) {}

    record FiguresRequest(@NotNull @Size(max = 20_000) String figures) {}

    /** What figures say, and what is wrong with them. */
    record FiguresView(List<String> advice, List<String> problems) {}

    AthletesApi(AthleteStore athletes, Movements movements, BinStore bin, Summaries summaries) {
        this.summaries = summaries;
        this.bin = bin;
        this.athletes = athletes;
        this.movements = movements;
    }

    @GetMapping
    List<AthleteView> athletes() {
        return athletes.all().stream().map(this::view).toList();
    }

    /** What there is of each athlete that has attempts: how many, what waits, the latest and the next. */
    @GetMapping("/roster")
    List<RosterRow> roster() {
        summaries.refresh();
        return summaries.roster();
    }

    /** What the technique tests of all athletes say of one technique against another, a sentence each. */
    @GetMapping("/techniques")
    List<String> techniques() {
        return WeighedTests.squad(athletes.all().stream()
                        .map(athlete -> WeighedTests.of(FiguresReader.read(athlete.figures(), movements.catalogue())
                                .figures()
                                .techniques()))
                        .toList())
                .stream()
                .map(TechniqueWords::squad)
                .toList();
    }

    /** Reads figures without keeping them: what they mean, and which lines do not fit. */
    @PostMapping("/figures")
    FiguresView figures(@Valid @RequestBody FiguresRequest request) {
        FiguresReader.Outcome outcome = FiguresReader.read(request.figures(), movements.catalogue());
        return new FiguresView(FigureWords.advice(outcome.figures()), outcome.errors());
    }

    private AthleteView view(Athlete athlete) {
        FiguresView said = figures(new FiguresRequest(athlete.figures()));
        return new AthleteView(
                athlete.id(),
                athlete.name(),
                athlete.note(),
                athlete.figures(),
                athlete.pain(),
                athlete.recoversSlowly(),
                said.advice(),
                said.problems());
    }

    /** Adds an athlete under an id of the caller's making, or changes the one with that id; what is left out stays as it is. */
    @PutMapping("/{id}")
    @Transactional
    public AthleteView putAthlete(@PathVariable UUID id, @Valid @RequestBody AthleteRequest request) {
        athletes.lock(id);
        InTheBin.refuse(bin, BinStore.Kind.ATHLETE, id);
        Athlete known = athletes.find(id).orElseGet(() -> new Athlete(id, "", "", "", "", false));
        String figures = request.figures() == null ? known.figures() : request.figures();
        FiguresReader.Outcome read = FiguresReader.read(figures, movements.catalogue());
        if (request.figures() != null && !read.errors().isEmpty()) {
            throw new InvalidRequest("figures", String.join("; ", read.errors()));
        }
        String name = request.name() == null ? known.name() : request.name().strip();
        if (name.isEmpty()) {
            throw new InvalidRequest("name", "name must be filled in");
        }
        Athlete athlete = new Athlete(
                id,
                name,
                request.note() == null ? known.note() : request.note(),
                figures,
                request.pain() == null ? known.pain() : request.pain().strip(),
                request.recoversSlowly() == null ? known.recoversSlowly() : request.recoversSlowly());
        athletes.put(athlete);
        return view(athlete);
    }
}
