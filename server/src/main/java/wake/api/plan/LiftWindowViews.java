package wake.api.plan;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.athlete.Figures;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.Timetable;
import wake.review.Documents.KeptPlan;
import wake.review.OpenAttempt;
import wake.units.Unit;
import wake.workout.Course;
import wake.workout.Format;
import wake.workout.Workout;

/** A lift window as the interface shows it. */
final class LiftWindowViews {
    private LiftWindowViews() {}

    /** A lift window worked out. */
    record TimetableView(
            List<LiftRowView> rows,
            long windowMs,
            long latestStartMs,
            @Nullable Long toNextPartMs) {}

    /** One lift. */
    record LiftRowView(
            LiftPlan.Role role,
            double percent,
            long startMs,
            String wanted,
            String load,
            String side,
            String change,
            long restMs) {}

    static Optional<Timetable> timetable(OpenAttempt open) {
        return open.course().format() instanceof Format.Lift window
                ? open.plan().flatMap(KeptPlan::lift).map(lift -> Timetable.of(lift, window, pauseAfter(open)))
                : Optional.empty();
    }

    /** The rest between this part and the next; empty after the last part. */
    private static OptionalLong pauseAfter(OpenAttempt open) {
        List<Workout.Section> sections = open.workout().sections();
        int at = sections.indexOf(open.part());
        if (at + 1 >= sections.size()) {
            return OptionalLong.empty();
        }
        return sections.get(at + 1) instanceof Workout.Pause pause ? OptionalLong.of(pause.ms()) : OptionalLong.of(0);
    }

    static @Nullable String knownMax(Format.Lift window, Figures figures) {
        return window.complex().stream()
                .map(piece -> figures.maxes().get(piece.movement()))
                .filter(Objects::nonNull)
                .min(Comparator.comparingDouble(max -> max.in(Unit.KILOGRAM)))
                .map(String::valueOf)
                .orElse(null);
    }

    static TimetableView of(Timetable table, Course course) {
        return new TimetableView(
                table.rows().stream()
                        .map(row -> new LiftRowView(
                                row.attempt().role(),
                                row.attempt().percent(),
                                row.attempt().startMs(),
                                String.format(
                                        Locale.ROOT,
                                        "%.1f %s",
                                        row.wanted().doubleValue(),
                                        row.wanted().unit().symbol()),
                                row.loading().load().toString(),
                                String.join(
                                        " + ",
                                        row.loading().side().stream()
                                                .map(plate -> plate.stripTrailingZeros()
                                                        .toPlainString())
                                                .toList()),
                                row.change().words(),
                                row.restMs()))
                        .toList(),
                course.capMs().orElseThrow(),
                table.latestStartMs(),
                table.toNextPartMs().isPresent() ? table.toNextPartMs().getAsLong() : null);
    }
}
