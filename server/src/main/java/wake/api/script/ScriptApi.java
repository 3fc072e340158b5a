package wake.api.script;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.api.log.RejectedMarks;
import wake.api.reading.ReadingViews;
import wake.api.reading.ReadingViews.ReadingView;
import wake.api.retest.ProjectionViews;
import wake.api.retest.ProjectionViews.ProjectionView;
import wake.exchange.MarkSheet;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.projection.Calibration;
import wake.projection.EvidenceLevel;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.review.ChangeJson;
import wake.review.Movements;
import wake.review.PlanJson;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

/** For scripts: a workout and marks in, a reading out; nothing is stored. */
@RestController
@RequestMapping("/api/script")
class ScriptApi {
    private final Movements movements;

    /**
     * A mark as written by hand or program.
     *
     * @param at clock time as m:ss.d
     * @param kind "rep", "done", "off" …
     */
    record WrittenMark(
            @NotNull String at,
            @NotNull String kind,
            @Nullable Integer reps,
            @Nullable String depth,
            @Nullable String tag,
            @Nullable String text) {}

    /**
     * What to read.
     *
     * @param part which part of the workout, from 0
     * @param cutInto into how many rounds what may be done in any order was cut
     * @param marks the marks, or
     * @param marksCsv the marks as comma-separated values
     * @param plan what to read them against; their own best when there is none
     */
    record ReadingRequest(
            @NotNull @Size(max = 100_000) String notation,
            @Nullable String division,

            @Min(value = 0, message = "must not be negative")
            int part,

            @Nullable Integer cutInto,
            @Nullable @Size(max = 20_000) List<WrittenMark> marks,
            @Nullable @Size(max = 2_000_000) String marksCsv,
            @Nullable PlanJson plan)
            implements Written {}

    /** An attempt as a script writes it. */
    interface Written {
        String notation();

        @Nullable
        String division();

        int part();

        @Nullable
        Integer cutInto();

        @Nullable
        List<WrittenMark> marks();

        @Nullable
        String marksCsv();
    }

    /**
     * What to project: an attempt as for a reading, and the changes.
     *
     * @param changes what a retest would do differently; what is worth proposing when absent
     * @param credits what evidence is worth, from 0 to 1; the usual shares when absent
     * @param goal a score to find a way to
     * @param others scores of others, one to a line
     * @param place the place to take among them
     */
    record ProjectionRequest(
            @NotNull @Size(max = 100_000) String notation,
            @Nullable String division,

            @Min(value = 0, message = "must not be negative")
            int part,

            @Nullable Integer cutInto,
            @Nullable @Size(max = 20_000) List<WrittenMark> marks,
            @Nullable @Size(max = 2_000_000) String marksCsv,
            @Nullable @Size(max = 50) List<ChangeJson> changes,
            @Nullable Map<EvidenceLevel, Double> credits,
            @Nullable @Size(max = 40) String goal,
            @Nullable @Size(max = 20_000) String others,
            @Nullable Integer place)
            implements Written {
        RetestJson chosen(AttemptLog log) {
            List<ChangeJson> all = changes != null ? changes : Retests.proposals(log);
            return InvalidRequest.orElse(
                    "changes", () -> new RetestJson(all, credits, goal, others, place, null, null).checked());
        }
    }

    ScriptApi(Movements movements) {
        this.movements = movements;
    }

    /** Reads marks against a plan or their own best. */
    @PostMapping("/reading")
    ReadingView reading(@Valid @RequestBody ReadingRequest request) {
        ExpandedWorkout expanded = expanded(request);
        AttemptLog log = log(request, expanded);
        Reading reading = Reading.of(log, baseline(request, expanded, log));
        return ReadingViews.of(reading, List.of(reading.baseline().kind()), List.of(), false);
    }

    /** What a retest of the attempt would score with changes. */
    @PostMapping("/projection")
    ProjectionView projection(@Valid @RequestBody ProjectionRequest request) {
        AttemptLog log = log(request, expanded(request));
        RetestJson chosen = request.chosen(log);
        return ProjectionViews.of(
                log, chosen, Retests.terms(log, List.of(), chosen, Calibration.NOTHING), Calibration.NOTHING);
    }

    private static AttemptLog log(Written request, ExpandedWorkout expanded) {
        AttemptLog log = AttemptLog.of(expanded, marks(request));
        if (!log.rejected().isEmpty()) {
            throw new InvalidRequest(
                    "marks",
                    log.rejected().stream().limit(5).map(RejectedMarks::words).collect(Collectors.joining(" ")));
        }
        return log;
    }

    private ExpandedWorkout expanded(Written request) {
        NotationReader.Reading outcome = NotationReader.read(request.notation(), movements.catalogue());
        Workout workout = InvalidRequest.orElse("notation", outcome::orThrow);
        if (request.part() >= workout.parts().size()) {
            throw new InvalidRequest(
                    "part", "This workout has " + workout.parts().size() + " parts.");
        }
        String division = request.division();
        int place = InvalidRequest.orElse(
                "division",
                () -> workout.division(
                        division == null
                                ? workout.divisions().stream().findFirst().orElse("")
                                : division));
        Integer cutInto = request.cutInto();
        return ExpandedWorkout.of(
                workout.parts().get(request.part()),
                place,
                movements.catalogue(),
                cutInto == null ? 1 : Math.clamp(cutInto, 1, 100));
    }

    private static List<Mark> marks(Written request) {
        String csv = request.marksCsv();
        List<WrittenMark> written = request.marks();
        if ((csv == null) == (written == null)) {
            throw new InvalidRequest("marks", "Send either marks or marksCsv.");
        }
        if (csv != null) {
            return InvalidRequest.orElse("marksCsv", () -> MarkSheet.read(csv));
        }
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; written != null && i < written.size(); i++) {
            WrittenMark mark = written.get(i);
            int number = i;
            marks.add(InvalidRequest.orElse(
                    "marks/" + i,
                    () -> MarkSheet.mark(
                            number,
                            mark.at(),
                            mark.kind(),
                            mark.reps() == null ? "" : String.valueOf(mark.reps()),
                            orEmpty(mark.depth()),
                            orEmpty(mark.tag()),
                            orEmpty(mark.text()))));
        }
        return marks;
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static Baseline baseline(ReadingRequest request, ExpandedWorkout expanded, AttemptLog log) {
        PlanJson written = request.plan();
        if (written == null) {
            return Baseline.bestSplits(log);
        }
        Plan plan = InvalidRequest.orElse(
                "plan", () -> filled(written.plan(expanded), expanded).meantFor(expanded));
        return Baseline.plan(Forecast.of(expanded, plan, log.splits().size()));
    }

    /** Lines a plan leaves out go as the draft has them. */
    private static Plan filled(Plan plan, ExpandedWorkout expanded) {
        List<Plan.LinePacing> lines = new ArrayList<>(plan.lines());
        for (Plan.LinePacing usual : Draft.of(expanded).lines()) {
            if (lines.stream().noneMatch(line -> line.lineIndex() == usual.lineIndex())) {
                lines.add(usual);
            }
        }
        return plan.withLines(lines);
    }
}
