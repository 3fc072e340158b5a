package wake.plan;

import java.util.Locale;
import java.util.Optional;
import wake.log.PaceFormat;
import wake.movement.AirErg;
import wake.units.ClockTime;
import wake.units.ErgPower;
import wake.units.Unit;

/** Writes a pace in the unit it is said in, as {@link PaceReader} reads it: "2.40", "25/min", "1:53.5/500m", "1200 cal/h", "0:56 for all". */
public final class PaceWriter {
    private PaceWriter() {}

    /**
     * A pace in words.
     *
     * @param secondsPerUnit seconds per unit of the amount
     * @param in what the coach said it in; where the work has no such pace, its usual unit stands instead
     */
    public static String write(double secondsPerUnit, PaceUnit in, PacedWork work) {
        PaceUnit unit = in.of(work);
        return switch (unit) {
            case USUAL, SECONDS -> hundredths(secondsPerUnit);
            case A_MINUTE -> figure(60 / secondsPerUnit) + (work.unit() == Unit.CALORIE ? " cal/min" : "/min");
            case AN_HOUR ->
                work.unit() == Unit.CALORIE
                        ? Math.round(3600 / secondsPerUnit) + " cal/h"
                        : power(secondsPerUnit, work)
                                .map(power -> Math.round(power.caloriesPerHour()) + " cal/h")
                                .orElse(inSeconds(secondsPerUnit));
            case WATTS ->
                power(secondsPerUnit, work)
                        .map(power -> figure(power.watts()) + " W")
                        .orElse(inSeconds(secondsPerUnit));
            case PER_500_M, PER_KM, PER_MILE -> overDistance(secondsPerUnit, unit, work);
            case A_LENGTH -> figure(secondsPerUnit * work.length()) + "/length";
            case THE_PIECE -> forAll(secondsPerUnit, work);
        };
    }

    /** The same in a sentence: "2.40 s", where a figure alone would not say what it is. */
    public static String said(double secondsPerUnit, PaceUnit in, PacedWork work) {
        String words = write(secondsPerUnit, in, work);
        return in.of(work) == PaceUnit.SECONDS ? words + " s" : words;
    }

    /** The same where it changes inside the piece: "1:50/500m, 1:58/500m from 15". */
    public static String write(Pacing pacing, PacedWork work) {
        if (pacing.effort().steps().isEmpty()) {
            return write(pacing.secondsPerUnit(), pacing.paceIn(), work);
        }
        StringBuilder words = new StringBuilder();
        for (PaceSteps.Step step : pacing.effort().steps()) {
            words.append(words.isEmpty() ? "" : ", ").append(write(step.secondsPerUnit(), pacing.paceIn(), work));
            words.append(step.from() > 0 ? " from " + figure(step.from()) : "");
        }
        return words.toString();
    }

    /** What else a coach reads a pace as: a rate beside its seconds, the time of the piece beside what it goes at. */
    public static String otherwise(Pacing pacing, PacedWork work) {
        PaceUnit unit = pacing.paceIn().of(work);
        double seconds = pacing.secondsPerUnit();
        return switch (unit) {
            case USUAL, SECONDS ->
                work.unit().dimension() == Unit.Dimension.COUNT
                        ? PaceFormat.repsPerMinute(60 / seconds)
                        : write(seconds, PaceUnit.USUAL, work);
            case A_MINUTE -> hundredths(seconds) + " s each";
            case THE_PIECE -> hundredths(seconds) + " s/" + work.unit().symbol();
            case AN_HOUR, WATTS, PER_500_M, PER_KM, PER_MILE, A_LENGTH -> forAll(seconds, work);
        };
    }

    private static String overDistance(double secondsPerUnit, PaceUnit unit, PacedWork work) {
        Optional<Double> perMetre = work.unit().dimension() == Unit.Dimension.LENGTH
                ? Optional.of(secondsPerUnit / work.unit().to(Unit.METRE, 1))
                : power(secondsPerUnit, work).map(ErgPower::secondsPerMetre);
        return perMetre.map(seconds -> clock(seconds * unit.metres()) + over(unit))
                .orElse(inSeconds(secondsPerUnit));
    }

    /** "/km". */
    static String over(PaceUnit unit) {
        return switch (unit) {
            case PER_500_M -> "/500m";
            case PER_MILE -> "/mi";
            default -> "/km";
        };
    }

    private static Optional<ErgPower> power(double secondsPerUnit, PacedWork work) {
        return AirErg.power(work.movement(), work.unit(), secondsPerUnit);
    }

    private static String forAll(double secondsPerUnit, PacedWork work) {
        return clock(secondsPerUnit * work.amount()) + " for all";
    }

    private static String inSeconds(double seconds) {
        return hundredths(seconds) + " s";
    }

    private static String hundredths(double seconds) {
        return String.format(Locale.ROOT, "%.2f", seconds);
    }

    /** At most two digits behind the point, none that say nothing. */
    private static String figure(double number) {
        return hundredths(number).replaceAll("\\.?0+$", "");
    }

    private static String clock(double seconds) {
        return ClockTime.of(Math.round(1000 * seconds)).toTenths().replaceAll("\\.0$", "");
    }
}
