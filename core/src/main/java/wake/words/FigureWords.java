package wake.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import wake.athlete.CountedTest;
import wake.athlete.ErgTest;
import wake.athlete.Figures;
import wake.log.PaceFormat;
import wake.movement.AirErg;
import wake.plan.Draft;
import wake.units.Messages;

/** What an athlete's figures mean for planning, a sentence each. */
public final class FigureWords {
    /** How much faster the price of going faster is said for, seconds per 500 m. */
    private static final double FASTER_S = 2;

    private FigureWords() {}

    public static List<String> advice(Figures figures) {
        List<String> advice = new ArrayList<>(figures.unclear());
        figures.tests().forEach(test -> advice.add(test(test)));
        figures.counted().forEach(test -> advice.add(counted(test)));
        figures.unbroken().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .forEach(max -> advice.add(Messages.of(
                        "%s: sets of %d or fewer (best unbroken %d)",
                        max.getKey(), Draft.most(max.getValue()), max.getValue())));
        figures.limiter().ifPresent(name -> advice.add("Take your rest right before " + name));
        return advice;
    }

    private static String counted(CountedTest test) {
        return Messages.of(
                        "%s: holds %.2f s/%s, fades %.1f%% over %d repeats",
                        test.movement(),
                        test.secondsPerUnit(),
                        test.amount().unit().symbol(),
                        test.fadePercent(),
                        test.timesMs().size())
                + felt(test.effort());
    }

    /** A pace that took all there is says less of what holds in a workout. */
    private static String felt(OptionalDouble effort) {
        return effort.isPresent() ? "; effort " + Messages.number(effort.getAsDouble()) + "/10" : "";
    }

    private static String test(ErgTest test) {
        String held = PaceFormat.perDistance(test.movement(), test.secondsPerMetre());
        String fade = String.format(
                        Locale.ROOT,
                        "fades %.1f%% over %d repeats",
                        test.fadePercent(),
                        test.timesMs().size())
                + felt(test.effort());
        String said = test.movement() + ": " + held + " holds; " + fade;
        return AirErg.is(test.movement())
                ? said + String.format(Locale.ROOT, "; 2 s faster needs %.0f%% more power", test.pricePercent(FASTER_S))
                : said;
    }
}
