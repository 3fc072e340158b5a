package wake.exchange;

import java.util.List;
import org.apache.commons.csv.CSVFormat;
import wake.plan.Forecast;
import wake.plan.PaceWriter;
import wake.plan.PacedWork;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.plan.SetScheme;
import wake.plan.lift.Timetable;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** A plan as a sheet: comma-separated values (RFC 4180), a row for each segment, times as m:ss.d. */
public final class PlanSheet {
    private static final CSVFormat FORMAT = CSVFormat.RFC4180;

    private PlanSheet() {}

    /** Paces in what the coach said them in. */
    public static String csv(ExpandedWorkout expanded, Plan plan) {
        Forecast forecast = Forecast.of(expanded, plan);
        StringBuilder sheet = new StringBuilder(row(
                "round", "movement", "sets", "pace", "transition", "work", "pick_up", "rest", "failed_reps", "clock"));
        List<Long> ends = forecast.endsMs();
        for (int i = 0; i < ends.size(); i++) {
            PlannedSegment planned = forecast.segments().get(i);
            double perUnit = planned.workMs() / 1000.0 / planned.segment().units();
            sheet.append(row(
                    planned.segment().inRounds() ? planned.segment().lap().numeral() : "",
                    planned.segment().label(),
                    SetScheme.dashed(planned.sets()),
                    PaceWriter.said(
                            perUnit,
                            plan.pacing(planned.segment()).paceIn(),
                            PacedWork.of(expanded, planned.segment())),
                    tenths(planned.waitMs() + planned.transitionMs()),
                    tenths(planned.workMs()),
                    tenths(planned.pickUpsMs()),
                    tenths(planned.restMs()),
                    tenths(planned.missesMs()),
                    tenths(ends.get(i))));
        }
        return sheet.toString();
    }

    /** The lifts of a window, a row for each. */
    public static String csv(Timetable table, Format.Lift window) {
        StringBuilder sheet = new StringBuilder(row(
                "lift",
                "for",
                "lifted",
                "start",
                "latest_start",
                "load",
                "other_unit",
                "percent_max",
                "rest_before",
                "plates_per_side",
                "change"));
        int number = 0;
        for (Timetable.Row planned : table.rows()) {
            number++;
            sheet.append(row(
                    number,
                    planned.attempt().role().words(),
                    LiftPiece.written(planned.attempt().pieces(window.complex())),
                    ClockTime.of(planned.attempt().startMs()).toSeconds(),
                    ClockTime.of(planned.latestStartMs()).toSeconds(),
                    planned.loading().load(),
                    planned.converted(),
                    Math.round(planned.percent()),
                    ClockTime.of(planned.restMs()).toSeconds(),
                    planned.loading().sideWords(),
                    planned.change().words()));
        }
        return sheet.toString();
    }

    private static String row(Object... values) {
        return FORMAT.format(values) + "\r\n";
    }

    private static String tenths(long ms) {
        return ClockTime.of(ms).toTenths();
    }
}
