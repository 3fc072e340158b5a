package wake.api.comparison;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wake.api.today.Summaries;
import wake.api.today.Summaries.Entered;
import wake.field.Entry;
import wake.field.Field;
import wake.field.Figures;
import wake.field.Leaderboard;
import wake.field.Separation;
import wake.review.NotFound;
import wake.store.WorkoutStore;
import wake.store.WorkoutStore.StoredWorkout;
import wake.words.FieldWords;

/** The field of a workout: how the splits of all who did it are spread, and where one of them stands in each. */
@RestController
@RequestMapping("/api")
class FieldApi {
    private static final double MIDDLE = 50;

    private final Summaries summaries;
    private final WorkoutStore workouts;

    /**
     * A field.
     *
     * @param division whose it is; all in one where it has none
     * @param divisions those that have attempts
     * @param entries how many did the same work
     * @param logged how many of them have splits
     * @param says what separates the best from the middle, in a sentence
     * @param largest the largest part of that
     * @param entriesToChoose each athlete's best attempt, the best first
     * @param chosen the attempt held against the field; unset where it has no splits or nobody is asked for
     */
    record FieldView(
            UUID workoutId,
            String title,
            String division,
            List<String> divisions,
            int entries,
            int logged,
            String says,
            String largest,
            List<FieldSpanView> spans,
            @Nullable FieldSeparationView separation,
            List<FieldEntryView> entriesToChoose,
            @Nullable UUID chosen,
            int waiting) {}

    record FieldEntryView(
            UUID attemptId,
            String athlete,
            LocalDate doneOn,
            String score,
            @Nullable Integer place) {}

    /**
     * Part of the course.
     *
     * @param gap how the clocks at its end are spread about their median, milliseconds
     * @param rest rests inside it; unset where fewer than five logs have them apart, as the next two
     */
    record FieldSpanView(
            String place,
            String line,
            @Nullable FieldSpreadView gap,
            @Nullable FieldSpreadView split,
            @Nullable FieldSpreadView transition,
            @Nullable FieldSpreadView rest,
            @Nullable FieldSpreadView pace) {}

    /**
     * How a figure is spread: tenth, quarter, middle, three quarters and nine tenths of the field, in milliseconds or, of a pace, in seconds a unit.
     *
     * @param own the chosen attempt's; unset where its log does not tell
     * @param ownPercentile the share of the field it is better than
     */
    record FieldSpreadView(
            int count,
            double p10,
            double p25,
            double p50,
            double p75,
            double p90,
            @Nullable Double own,
            @Nullable Double ownPercentile) {
        static @Nullable FieldSpreadView of(Figures figures, double middle, OptionalDouble own) {
            return figures.count() < Field.FEWEST
                    ? null
                    : new FieldSpreadView(
                            figures.count(),
                            figures.quantile(10) - middle,
                            figures.quantile(25) - middle,
                            figures.quantile(50) - middle,
                            figures.quantile(75) - middle,
                            figures.quantile(90) - middle,
                            own.isPresent() ? own.getAsDouble() - middle : null,
                            own.isPresent() ? figures.rank(own.getAsDouble()) : null);
        }
    }

    /** What the best quarter did sooner than the middle half; the parts add up to it. */
    record FieldSeparationView(int top, int middle, String through, double ms, List<FieldPartView> parts) {}

    record FieldPartView(String words, double ms) {}

    FieldApi(Summaries summaries, WorkoutStore workouts) {
        this.summaries = summaries;
        this.workouts = workouts;
    }

    /** The field of a part of a workout in a division; the first that has attempts where none is asked for. */
    @GetMapping("/workouts/{id}/field")
    FieldView field(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam(required = false) @Nullable String division,
            @RequestParam(required = false) @Nullable UUID attempt) {
        StoredWorkout workout = workouts.find(id).orElseThrow(() -> new NotFound("workout", id));
        int waiting = summaries.refresh();
        List<Entered> all = summaries.field(id, part).stream()
                .filter(one -> one.entry().isPresent())
                .toList();
        List<String> divisions = all.stream()
                .map(one -> one.attempt().division())
                .distinct()
                .sorted()
                .toList();
        String asked = division != null && divisions.contains(division)
                ? division
                : all.stream()
                        .filter(one -> one.attempt().id().equals(attempt))
                        .map(one -> one.attempt().division())
                        .findFirst()
                        .orElse(divisions.isEmpty() ? "" : divisions.getFirst());
        List<Entered> its = all.stream()
                .filter(one -> one.attempt().division().equals(asked))
                .toList();
        List<Leaderboard.Row> bests = RankingApi.leaderboard(its).rows().stream()
                .filter(Leaderboard.Row::isBest)
                .toList();
        Field field =
                Field.of(bests.stream().map(row -> entry(its.get(row.of()))).toList());
        Optional<Entered> chosen =
                its.stream().filter(one -> one.attempt().id().equals(attempt)).findFirst();
        return new FieldView(
                id,
                workout.title(),
                asked,
                divisions,
                field.entries(),
                field.logged(),
                FieldWords.headline(field),
                FieldWords.largest(field),
                spans(field, chosen.map(FieldApi::entry)),
                field.separation().map(FieldApi::view).orElse(null),
                bests.stream().map(row -> view(row, its.get(row.of()))).toList(),
                chosen.map(one -> one.attempt().id()).orElse(null),
                waiting);
    }

    private static Entry entry(Entered one) {
        return one.entry().orElseThrow();
    }

    private static FieldEntryView view(Leaderboard.Row row, Entered one) {
        return new FieldEntryView(
                one.attempt().id(),
                one.attempt().athlete(),
                one.attempt().doneOn(),
                entry(one).scoreWords(),
                row.place().isPresent() ? row.place().getAsInt() : null);
    }

    private static List<FieldSpanView> spans(Field field, Optional<Entry> chosen) {
        List<Field.Own> own = chosen.map(field::own).orElse(List.of());
        List<FieldSpanView> views = new ArrayList<>();
        for (int i = 0; i < field.spans().size(); i++) {
            Field.Span span = field.spans().get(i);
            Field.Own its = i < own.size() ? own.get(i) : Field.Own.NOTHING;
            double median = span.clock().count() == 0 ? 0 : span.clock().quantile(MIDDLE);
            views.add(new FieldSpanView(
                    span.place(),
                    span.line(),
                    FieldSpreadView.of(span.clock(), median, its.clock()),
                    FieldSpreadView.of(span.split(), 0, its.split()),
                    FieldSpreadView.of(span.transition(), 0, its.transition()),
                    FieldSpreadView.of(span.rest(), 0, its.rest()),
                    FieldSpreadView.of(span.pace(), 0, its.pace())));
        }
        return views;
    }

    private static FieldSeparationView view(Separation separation) {
        return new FieldSeparationView(
                separation.top(),
                separation.middle(),
                separation.isFinish() ? "" : separation.through(),
                separation.ms(),
                separation.parts().stream()
                        .map(part -> new FieldPartView(FieldWords.part(part), part.ms()))
                        .toList());
    }
}
