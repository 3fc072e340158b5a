package wake.plan;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.units.ClockTime;
import wake.units.ErgPower;
import wake.units.InvalidInput;
import wake.units.PaceLimits;
import wake.units.Unit;

/**
 * Reads a pace in whatever words a coach writes it: {@code 2.4} (seconds each), {@code 25/min} or {@code 25 a minute}, {@code 2:05/500m},
 * {@code 4:30/km}, {@code 7:10/mi} or {@code 7:10 a mile}, {@code 1200 cal/h}, {@code 250 W}, {@code 8/length}, {@code 1:30 for all}; on rowers and skiers
 * {@code 1:53.5} alone, per 500 m as their monitors show it. Power and calories per hour hold for air-resistance rowers and skiers (see {@link
 * ErgPower}).
 */
public final class PaceReader {
    private static final String EXPECTED =
            "Write a pace like \"2.4\" (seconds each), \"25/min\", \"2:05/500m\", \"4:30/km\", \"7:10/mi\", \"1200 cal/h\", \"250 W\" or \"1:30 for all\"";
    /** Calories an hour that a rower or skier counts of somebody who rests: over a distance there is no pace for fewer. */
    private static final double RESTING = 300;

    private static final Pattern ALONE = Pattern.compile("(\\d{1,4}(?:[.,]\\d{1,4})?)");
    private static final Pattern SECONDS = Pattern.compile("(\\d{1,3}(?:[.,]\\d{1,4})?)(?:s|s/rep|s/cal|s/m|seach)");
    private static final Pattern A_MINUTE =
            Pattern.compile("(\\d{1,4}(?:[.,]\\d{1,3})?)(?:cal|rep|reps)?(?:/|a|an|per|each)?min(?:ute)?");
    private static final Pattern AN_HOUR = Pattern.compile("([\\d,]{2,6})cal(?:/|an|per)?h(?:our)?");
    private static final Pattern WATTS = Pattern.compile("(\\d{1,4}(?:[.]\\d{1,2})?)w");
    private static final Pattern PER_DISTANCE =
            Pattern.compile("([\\d:.]+)(?:/|a|per|each)?(500m|500|km|kilomet(?:re|er)|mile|mi)");
    private static final Pattern A_LENGTH = Pattern.compile("([\\d:.]+)s?(?:/|a|per|each)?length");
    private static final Pattern FOR_THE_PIECE =
            Pattern.compile("([\\d:.]+)s?(?:forthepiece|forit|forall|forallofit|inall|intotal|total)");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d{2}(?:[.]\\d{1,3})?");

    private PaceReader() {}

    /**
     * A pace as it was said.
     *
     * @param secondsPerUnit seconds per unit of the amount
     * @param in what it was said in
     */
    public record Said(double secondsPerUnit, PaceUnit in) {}

    /**
     * Reads a pace. A number or a time alone is in the unit that the pace before was said in.
     *
     * @param before what that was; {@link PaceUnit#USUAL} where nobody has said
     * @throws InvalidInput when the text is no pace, or none that this work can have
     */
    public static Said read(String text, PacedWork work, PaceUnit before) {
        String plain = text.toLowerCase(Locale.ROOT).replaceAll("\\s+", "");
        Said said = read(plain, text, work, before);
        if (!(said.secondsPerUnit() > 0) || Double.isInfinite(said.secondsPerUnit())) {
            throw new InvalidInput("A pace is above 0, not \"" + text + "\"");
        }
        return said;
    }

    private static Said read(String plain, String text, PacedWork work, PaceUnit before) {
        Matcher matcher = ALONE.matcher(plain);
        if (matcher.matches()) {
            return alone(number(matcher), text, work, before);
        }
        if (CLOCK.matcher(plain).matches()) {
            return clock(plain, text, work, before);
        }
        matcher = SECONDS.matcher(plain);
        if (matcher.matches()) {
            return new Said(number(matcher), PaceUnit.SECONDS);
        }
        matcher = A_MINUTE.matcher(plain);
        if (matcher.matches()) {
            return in(PaceUnit.A_MINUTE, number(matcher), text, work);
        }
        matcher = PER_DISTANCE.matcher(plain);
        if (matcher.matches()) {
            return in(over(matcher.group(2)), time(matcher.group(1)), text, work);
        }
        matcher = AN_HOUR.matcher(plain);
        if (matcher.matches()) {
            return in(PaceUnit.AN_HOUR, Double.parseDouble(matcher.group(1).replace(",", "")), text, work);
        }
        matcher = WATTS.matcher(plain);
        if (matcher.matches()) {
            return in(PaceUnit.WATTS, number(matcher), text, work);
        }
        matcher = A_LENGTH.matcher(plain);
        if (matcher.matches()) {
            return in(PaceUnit.A_LENGTH, time(matcher.group(1)), text, work);
        }
        matcher = FOR_THE_PIECE.matcher(plain);
        if (matcher.matches()) {
            return in(PaceUnit.THE_PIECE, time(matcher.group(1)), text, work);
        }
        throw new InvalidInput(EXPECTED + ", not \"" + text + "\"");
    }

    /** A number alone: in the unit that is shown where that can be meant, else seconds each. */
    private static Said alone(double number, String text, PacedWork work, PaceUnit before) {
        PaceUnit shown = before.of(work);
        if (shown.isOverDistance()) {
            throw new InvalidInput("Say what \"" + text + "\" is, like \"4:40" + PaceWriter.over(shown) + "\" or \""
                    + text + " s\" for each " + work.unit().symbol());
        }
        Said inSeconds = new Said(number, PaceUnit.SECONDS);
        if (shown == PaceUnit.SECONDS
                || shown == PaceUnit.AN_HOUR && number <= RESTING && work.unit() != Unit.CALORIE) {
            return inSeconds;
        }
        Said said = in(shown, number, text, work);
        return PaceLimits.problem(work.unit(), said.secondsPerUnit()).isEmpty() ? said : inSeconds;
    }

    /** A time alone: for what is shown, where a coach said that; on a rower or skier per 500 m, as its monitor has it. */
    private static Said clock(String plain, String text, PacedWork work, PaceUnit before) {
        PaceUnit shown = before.of(work);
        if (shown == PaceUnit.THE_PIECE || shown.isOverDistance() && shown == before) {
            return in(shown, time(plain), text, work);
        }
        if (work.onAirErg()) {
            return in(PaceUnit.PER_500_M, time(plain), text, work);
        }
        throw new InvalidInput(
                "Say what \"" + text + "\" is for, like \"" + text + "/km\" or \"" + text + " for all\"");
    }

    private static Said in(PaceUnit unit, double number, String text, PacedWork work) {
        double seconds = switch (unit) {
            case USUAL, SECONDS -> number;
            case A_MINUTE -> 60 / number;
            case AN_HOUR ->
                work.unit() == Unit.CALORIE
                        ? 3600 / number
                        : perMetre(ErgPower.ofCaloriesPerHour(above300(number)).secondsPerMetre(), work, text);
            case WATTS -> perMetre(new ErgPower(number).secondsPerMetre(), onAirErg(work, text), text);
            case PER_500_M, PER_KM, PER_MILE -> perMetre(number / unit.metres(), work, text);
            case A_LENGTH -> number / length(work, text);
            case THE_PIECE -> number / work.amount();
        };
        return new Said(seconds, unit);
    }

    private static double length(PacedWork work, String text) {
        if (work.length() == 0) {
            throw new InvalidInput(
                    "\"" + text + "\" needs work cut in lengths, like \"200 ft walking lunge, in 25 ft\"");
        }
        return work.length();
    }

    private static double above300(double perHour) {
        if (perHour <= RESTING) {
            throw new InvalidInput("The wattage must be above 300 cal/h, not " + perHour);
        }
        return perHour;
    }

    private static double perMetre(double secondsPerMetre, PacedWork work, String text) {
        return switch (work.unit().dimension()) {
            case LENGTH -> secondsPerMetre * work.unit().to(Unit.METRE, 1);
            case ENERGY -> {
                onAirErg(work, text);
                yield ErgPower.ofSecondsPerMetre(secondsPerMetre).secondsPerCalorie();
            }
            case COUNT, TIME, MASS, SHARE ->
                throw new InvalidInput("A pace over distance does not fit "
                        + work.movement().name() + ". Use seconds each or a rate, like 25/min");
        };
    }

    private static PacedWork onAirErg(PacedWork work, String text) {
        if (!work.onAirErg()) {
            throw new InvalidInput("\"" + text + "\" works for the rower and the skier only, not for "
                    + work.movement().name());
        }
        return work;
    }

    private static double number(Matcher matcher) {
        return Double.parseDouble(matcher.group(1).replace(',', '.'));
    }

    private static double time(String written) {
        if (written.contains(":")) {
            return ClockTime.parse(written).ms() / 1000.0;
        }
        if (!written.matches("\\d{1,6}(?:[.]\\d{1,4})?")) {
            throw new InvalidInput("\"" + written + "\" is not a time. Use m:ss, like 4:30");
        }
        return Double.parseDouble(written);
    }

    private static PaceUnit over(String distance) {
        return switch (distance) {
            case "km", "kilometre", "kilometer" -> PaceUnit.PER_KM;
            case "mi", "mile" -> PaceUnit.PER_MILE;
            default -> PaceUnit.PER_500_M;
        };
    }
}
