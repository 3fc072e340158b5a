package wake.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wake.movement.Movement;
import wake.plan.Plan.LinePacing;
import wake.units.ErgPower;
import wake.units.Unit;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * A first plan from the movement catalogue alone: usual cadences, quick transitions, unbroken. Every figure is common
 * practice, no source, and an assumption until the coach has changed it.
 */
public final class Draft {
    /** Between a quick transition (2 s) and a slow one (4 s); common practice, no source. */
    private static final long TRANSITION_MS = 3000;

    private static final long REST_MS = 5000;
    private static final Set<String> AIR_ERGS = Set.of("row", "ski");

    private Draft() {}

    public static Plan of(Course course) {
        List<LinePacing> lines = new ArrayList<>();
        Set<Integer> seen = new LinkedHashSet<>();
        for (Segment segment : course.segments()) {
            if (seen.add(segment.lineIndex())) {
                Pacing pacing = new Pacing(
                        TRANSITION_MS,
                        SetScheme.UNBROKEN,
                        usualSecondsPerUnit(segment.movement(), segment.amount().unit()),
                        REST_MS);
                lines.add(new LinePacing(segment.lineIndex(), pacing, Map.of()));
            }
        }
        return new Plan(lines);
    }

    /** The catalogue's usual cadence, turned into the unit the whiteboard uses. */
    public static double usualSecondsPerUnit(Movement movement, Unit unit) {
        double usual = movement.usualSecondsPerUnit();
        if (movement.unit() == unit) {
            return usual;
        }
        if (movement.unit().dimension() == unit.dimension()) {
            return usual * unit.to(movement.unit(), 1);
        }
        if (AIR_ERGS.contains(movement.name()) && unit.dimension() == Unit.Dimension.LENGTH) {
            double secondsPerMetre = ErgPower.ofCaloriesPerHour(3600 / usual).secondsPer500m() / 500;
            return secondsPerMetre * unit.to(Unit.METRE, 1);
        }
        return unit.dimension() == Unit.Dimension.TIME
                ? 1
                : Movement.custom(movement.name(), unit).usualSecondsPerUnit();
    }
}
