package wake.review.portable;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import wake.exchange.TraceFile;
import wake.movement.Catalogue;
import wake.review.Documents;
import wake.review.GymSettings;
import wake.review.PlanJson.LiftJson;
import wake.review.RetestJson;
import wake.review.portable.Portable.AttemptPart;
import wake.review.portable.Portable.KeptPart;
import wake.review.portable.Portable.MarkPart;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.BinStore;
import wake.store.Document;
import wake.store.MarkStore;
import wake.store.RecordingStore;
import wake.store.TraceStore;
import wake.store.WorkoutStore;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** Looks whether what a file holds fits together, and fits to what is here. */
@Component
class ImportCheck {
    private static final LocalDate EARLIEST = LocalDate.of(1970, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);
    private static final String UNREADABLE = "this cannot be read";
    private static final String UNREADABLE_WORKOUT = "this workout cannot be read";

    private final AthleteStore athletes;
    private final WorkoutStore workouts;
    private final AttemptStore attempts;
    private final RecordingStore recordings;
    private final MarkStore marks;
    private final TraceStore traces;
    private final BinStore bin;
    private final Documents documents;
    private final GymSettings choices;

    ImportCheck(
            AthleteStore athletes,
            WorkoutStore workouts,
            AttemptStore attempts,
            RecordingStore recordings,
            MarkStore marks,
            TraceStore traces,
            BinStore bin,
            Documents documents,
            GymSettings choices) {
        this.athletes = athletes;
        this.workouts = workouts;
        this.attempts = attempts;
        this.recordings = recordings;
        this.marks = marks;
        this.traces = traces;
        this.bin = bin;
        this.documents = documents;
        this.choices = choices;
    }

    /**
     * What does not fit.
     *
     * @param catalogue with the own movements of the file
     */
    Found check(Portable file, Catalogue catalogue) {
        Found found = new Found();
        ids(file, found);
        for (int i = 0; i < file.workouts().size(); i++) {
            workout(file.workouts().get(i), "/workouts/" + i, catalogue, found);
        }
        Map<String, JsonNode> chosen = file.settings();
        if (chosen != null) {
            chosen.forEach((name, document) -> found.unlessRead("/settings/" + name, UNREADABLE, () -> {
                choices.check(name, document.toString());
                return true;
            }));
        }
        Set<UUID> films = recordings.ids();
        file.attempts().stream()
                .filter(other -> attempts.find(other.id()).isEmpty())
                .forEach(other -> other.recordings().forEach(film -> films.add(film.id())));
        InFile inFile = InFile.of(file);
        for (int i = 0; i < file.attempts().size(); i++) {
            attempt(file.attempts().get(i), "/attempts/" + i, inFile, films, catalogue, found);
        }
        return found;
    }

    /** What stands in a file, by its id. */
    private record InFile(Set<UUID> athletes, Set<UUID> workouts, Set<UUID> attempts) {
        static InFile of(Portable file) {
            return new InFile(
                    file.athletes().stream().map(Portable.AthletePart::id).collect(Collectors.toSet()),
                    file.workouts().stream().map(Portable.WorkoutPart::id).collect(Collectors.toSet()),
                    file.attempts().stream().map(AttemptPart::id).collect(Collectors.toSet()));
        }
    }

    /** Nothing may stand twice, lie in the bin, or belong to another attempt here. */
    private void ids(Portable file, Found found) {
        Set<UUID> seen = new HashSet<>();
        for (int i = 0; i < file.athletes().size(); i++) {
            id(file.athletes().get(i).id(), BinStore.Kind.ATHLETE, "/athletes/" + i, seen, found);
        }
        for (int i = 0; i < file.workouts().size(); i++) {
            id(file.workouts().get(i).id(), BinStore.Kind.WORKOUT, "/workouts/" + i, seen, found);
        }
        Set<UUID> films = recordings.ids();
        for (int i = 0; i < file.attempts().size(); i++) {
            AttemptPart one = file.attempts().get(i);
            String at = "/attempts/" + i;
            id(one.id(), BinStore.Kind.ATTEMPT, at, seen, found);
            if (attempts.find(one.id()).isPresent()) {
                continue;
            }
            Set<UUID> taken = marks.taken(one.marks().stream().map(MarkPart::id).toList());
            for (int k = 0; k < one.marks().size(); k++) {
                UUID id = one.marks().get(k).id();
                found.unless(
                        seen.add(id) && !taken.contains(id),
                        at + "/marks/" + k + "/id",
                        "this mark belongs to another attempt");
            }
            for (int k = 0; k < one.recordings().size(); k++) {
                UUID id = one.recordings().get(k).id();
                found.unless(
                        seen.add(id) && !films.contains(id),
                        at + "/recordings/" + k + "/id",
                        "this video belongs to another attempt");
            }
            for (int k = 0; k < one.traces().size(); k++) {
                UUID id = one.traces().get(k).id();
                found.unless(
                        seen.add(id) && traces.find(id).isEmpty(),
                        at + "/traces/" + k + "/id",
                        "this device file belongs to another attempt");
            }
        }
    }

    private void id(UUID id, BinStore.Kind kind, String at, Set<UUID> seen, Found found) {
        found.unless(seen.add(id), at + "/id", "this id is twice in the file");
        found.unless(
                !bin.holds(kind, id),
                at + "/id",
                "this " + kind.name().toLowerCase(Locale.ROOT) + " is in the bin here");
    }

    private void attempt(AttemptPart one, String at, InFile inFile, Set<UUID> films, Catalogue catalogue, Found found) {
        if (attempts.find(one.id()).isPresent()) {
            return;
        }
        found.unless(
                inFile.athletes().contains(one.athleteId())
                        || athletes.find(one.athleteId()).isPresent(),
                at + "/athleteId",
                "there is no such athlete, in the file or here");
        found.unless(
                inFile.workouts().contains(one.workoutId())
                        || workouts.find(one.workoutId()).isPresent(),
                at + "/workoutId",
                "there is no such workout, in the file or here");
        UUID first = one.retestOf();
        found.unless(
                first == null
                        || inFile.attempts().contains(first)
                        || attempts.find(first).isPresent(),
                at + "/retestOf",
                "there is no such attempt, in the file or here");
        found.unless(
                one.doneOn().isAfter(EARLIEST) && one.doneOn().isBefore(LATEST),
                at + "/doneOn",
                "this date is not possible");
        for (int k = 0; k < one.go().size(); k++) {
            found.unless(
                    films.contains(one.go().get(k).recordingId()),
                    at + "/go/" + k,
                    "there is no such video in the file");
        }
        for (int k = 0; k < one.uses().size(); k++) {
            found.unless(films.contains(one.uses().get(k)), at + "/uses/" + k, "there is no such video in the file");
        }
        for (int k = 0; k < one.marks().size(); k++) {
            UUID film = one.marks().get(k).recordingId();
            found.unless(
                    film == null || films.contains(film), at + "/marks/" + k, "there is no such video in the file");
        }
        expanded(one, at, catalogue, found).ifPresent(expanded -> documents(one, at, expanded, found));
        for (int k = 0; k < one.traces().size(); k++) {
            String sheet = one.traces().get(k).sheet();
            found.unlessRead(at + "/traces/" + k + "/sheet", UNREADABLE, () -> TraceFile.read(sheet));
        }
    }

    /** A workout of the library is one that can be read, under the title it gives itself. */
    private void workout(Portable.WorkoutPart one, String at, Catalogue catalogue, Found found) {
        if (workouts.find(one.id()).isEmpty()) {
            found.unlessRead(
                            at + "/notation",
                            UNREADABLE_WORKOUT,
                            () -> NotationReader.read(one.notation(), catalogue).orThrow())
                    .ifPresent(read -> found.unless(
                            read.title().equals(one.title()),
                            at + "/title",
                            "the notation calls it \"" + read.title() + "\""));
        }
    }

    private static Optional<ExpandedWorkout> expanded(AttemptPart one, String at, Catalogue catalogue, Found found) {
        return found.unlessRead(at + "/notation", UNREADABLE_WORKOUT, () -> {
            Workout workout = NotationReader.read(one.notation(), catalogue).orThrow();
            if (one.part() >= workout.parts().size()) {
                throw new InvalidInput("the workout has " + workout.parts().size() + " parts");
            }
            Workout.Part part = workout.parts().get(one.part());
            return ExpandedWorkout.of(part, workout.division(one.division()), catalogue, one.cutInto());
        });
    }

    /** What is kept as documents, held to what their own requests are held to. */
    private void documents(AttemptPart one, String at, ExpandedWorkout expanded, Found found) {
        said(found, at + "/planDoneWith", one.planDoneWith(), plan -> documents.checkedPlan(plan, expanded));
        said(found, at + "/plan", one.plan(), plan -> documents.checkedPlan(plan, expanded));
        said(found, at + "/chosen", one.chosen(), chosen -> checked(documents.retest(chosen), expanded));
        said(
                found,
                at + "/called",
                one.called(),
                called -> documents.projected(called).checked());
        for (int k = 0; k < one.recordings().size(); k++) {
            JsonNode simulation = one.recordings().get(k).simulation();
            if (simulation != null) {
                found.unlessRead(
                        at + "/recordings/" + k + "/simulation",
                        UNREADABLE,
                        () -> documents.simulation(simulation.toString()).checked(expanded));
            }
        }
    }

    private static RetestJson checked(RetestJson chosen, ExpandedWorkout expanded) {
        LiftJson lift = chosen.lift();
        if (lift != null) {
            lift.checked(expanded);
        }
        return chosen.checked();
    }

    private static void said(Found found, String pointer, @Nullable KeptPart part, Function<Document, Object> read) {
        if (part != null) {
            found.unlessRead(pointer, UNREADABLE, () -> read.apply(part.kept()));
        }
    }
}
