package wake.exchange;

import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import wake.log.PaceWords;
import wake.plan.Forecast;
import wake.plan.PlannedSegment;
import wake.units.ClockTime;

/** A plan as a sheet: comma-separated values (RFC 4180), a row for each segment, times as m:ss.d. */
public final class PlanSheet {
    private static final CSVFormat FORMAT = CSVFormat.RFC4180;

    private PlanSheet() {}

    public static String csv(Forecast forecast) {
        StringBuilder sheet = new StringBuilder(row(
                "round", "movement", "sets", "pace", "transition", "work", "rest", "for misses", "clock at the end"));
        List<Long> ends = forecast.endsMs();
        for (int i = 0; i < ends.size(); i++) {
            PlannedSegment planned = forecast.segments().get(i);
            double perUnit = planned.workMs() / 1000.0 / planned.segment().units();
            sheet.append(row(
                    planned.segment().inRounds()
                            ? planned.segment().lap().words().replaceFirst("^round ", "")
                            : "",
                    planned.segment().label(),
                    planned.sets().stream().map(String::valueOf).collect(Collectors.joining("-")),
                    PaceWords.of(planned.segment(), perUnit),
                    tenths(planned.waitMs() + planned.transitionMs()),
                    tenths(planned.workMs()),
                    tenths(planned.restMs()),
                    tenths(planned.missesMs()),
                    tenths(ends.get(i))));
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
