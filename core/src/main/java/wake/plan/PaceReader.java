package wake.plan;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.movement.AirErg;
import wake.movement.Movement;
import wake.units.ClockTime;
import wake.units.ErgPower;
import wake.units.InvalidInput;
import wake.units.Unit;

/**
 * Reads a pace in whatever words a coach writes it: {@code 2.4} (seconds each), {@code 25/min} or {@code 25 a minute}, {@code 2:05/500m},
 * {@code 4:30/km}, {@code 7:10/mi} or {@code 7:10 a mile}, {@code 1200 cal/h}, {@code 250 W}, {@code 1:30 for all}; on rowers and skiers
 * {@code 1:53.5} alone, per 500 m as their monitors show it. Power and calories per hour hold for air-resistance rowers and skiers (see {@link
 * ErgPower}).
 */
public final class PaceReader {
    private static final String EXPECTED =
            "Write a pace like \"2.4\" (seconds each), \"25/min\", \"2:05/500m\", \"4:30/km\", \"7:10/mi\", \"1200 cal/h\", \"250 W\" or \"1:30 for all\"";
    private static final Pattern SECONDS = Pattern.compile("(\\d{1,3}(?:[.,]\\d{1,4})?)(?:s|s/rep|s/cal|s/m)?");
    private static final Pattern A_MINUTE =
            Pattern.compile("(\\d{1,4}(?:[.,]\\d{1,3})?)(?:cal|rep|reps)?(?:/|a|an|per|each)?min(?:ute)?");
    private static final Pattern AN_HOUR = Pattern.compile("(\\d{2,5})cal(?:/|an|per)?h(?:our)?");
    private static final Pattern WATTS = Pattern.compile("(\\d{1,4}(?:[.]\\d)?)w");
    private static final Pattern PER_DISTANCE =
            Pattern.compile("([\\d:.]+)(?:/|a|per|each)?(500m|500|km|kilomet(?:re|er)|mile|mi)");
    private static final Pattern FOR_THE_PIECE =
            Pattern.compile("([\\d:.]+)s?(?:forthepiece|forit|forall|forallofit|inall|intotal|total)");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d{2}(?:[.]\\d{1,3})?");

    private PaceReader() {}

    /**
     * Seconds per unit of the amount.
     *
     * @param amount how much a piece is, in that unit
     * @throws InvalidInput when the text is no pace, or none that this movement can have
     */
    public static double secondsPerUnit(String text, Movement movement, Unit unit, double amount) {
        String plain = text.toLowerCase(Locale.ROOT).replaceAll("\\s+", "");
        Matcher piece = FOR_THE_PIECE.matcher(plain);
        double seconds = piece.matches() ? time(piece.group(1)) / amount : read(plain, text, movement, unit);
        if (!(seconds > 0) || Double.isInfinite(seconds)) {
            throw new InvalidInput("A pace is above 0, not \"" + text + "\"");
        }
        return seconds;
    }

    private static double read(String plain, String text, Movement movement, Unit unit) {
        Matcher matcher = SECONDS.matcher(plain);
        if (matcher.matches()) {
            return number(matcher);
        }
        matcher = A_MINUTE.matcher(plain);
        if (matcher.matches()) {
            return 60 / number(matcher);
        }
        matcher = PER_DISTANCE.matcher(plain);
        if (matcher.matches()) {
            return perMetre(time(matcher.group(1)) / metres(matcher.group(2)), movement, unit, text);
        }
        matcher = AN_HOUR.matcher(plain);
        if (matcher.matches()) {
            double perHour = number(matcher);
            return unit == Unit.CALORIE
                    ? 3600 / perHour
                    : perMetre(ErgPower.ofCaloriesPerHour(above300(perHour)).secondsPerMetre(), movement, unit, text);
        }
        matcher = WATTS.matcher(plain);
        if (matcher.matches()) {
            return perMetre(new ErgPower(number(matcher)).secondsPerMetre(), onAirErg(movement, text), unit, text);
        }
        if (CLOCK.matcher(plain).matches() && AirErg.is(movement)) {
            return perMetre(time(plain) / 500, movement, unit, text);
        }
        if (CLOCK.matcher(plain).matches()) {
            throw new InvalidInput(
                    "Say what \"" + text + "\" is for, like \"" + text + "/km\" or \"" + text + " for all\"");
        }
        throw new InvalidInput(EXPECTED + ", not \"" + text + "\"");
    }

    private static double above300(double perHour) {
        if (perHour <= 300) {
            throw new InvalidInput("The wattage must be above 300 cal/h, not " + perHour);
        }
        return perHour;
    }

    private static double perMetre(double secondsPerMetre, Movement movement, Unit unit, String text) {
        return switch (unit.dimension()) {
            case LENGTH -> secondsPerMetre * unit.to(Unit.METRE, 1);
            case ENERGY -> {
                onAirErg(movement, text);
                yield ErgPower.ofSecondsPerMetre(secondsPerMetre).secondsPerCalorie();
            }
            case COUNT, TIME, MASS, SHARE ->
                throw new InvalidInput("A pace over distance does not fit " + movement.name()
                        + ". Use seconds each or a rate, like 25/min");
        };
    }

    private static Movement onAirErg(Movement movement, String text) {
        if (!AirErg.is(movement)) {
            throw new InvalidInput(
                    "\"" + text + "\" works for the rower and the skier only, not for " + movement.name());
        }
        return movement;
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

    private static double metres(String unit) {
        return switch (unit) {
            case "km", "kilometre", "kilometer" -> 1000;
            case "mi", "mile" -> Unit.MILE.to(Unit.METRE, 1);
            default -> 500;
        };
    }
}
