package wake.api.comparison;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wake.store.AttemptStore.Attempt;

/** What attempts are called where they stand beside each other: as short as it takes to tell them apart. */
final class Names {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);
    private static final DateTimeFormatter DAY_OF_YEAR = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);

    private Names() {}

    /** First names where they differ, else whole names; the same athlete twice by day. */
    static List<String> of(List<Attempt> attempts) {
        List<String> names = new ArrayList<>();
        for (Attempt attempt : attempts) {
            String name = name(attempt, attempts);
            long comparable = names.stream()
                    .filter(other -> other.equals(name) || other.startsWith(name + " ("))
                    .count();
            names.add(comparable == 0 ? name : name + " (" + (comparable + 1) + ")");
        }
        return names;
    }

    private static String name(Attempt attempt, List<Attempt> all) {
        String first = first(attempt.athlete());
        boolean shared = all.stream()
                .anyMatch(other -> !other.athleteId().equals(attempt.athleteId())
                        && first(other.athlete()).equals(first));
        String name = shared ? attempt.athlete() : first;
        List<Attempt> own = all.stream()
                .filter(other -> other.athleteId().equals(attempt.athleteId()))
                .toList();
        if (own.size() < 2) {
            return name;
        }
        boolean oneYear = own.stream()
                .allMatch(other -> other.doneOn().getYear() == attempt.doneOn().getYear());
        String day = (oneYear ? DAY : DAY_OF_YEAR).format(attempt.doneOn());
        return name + " on " + day;
    }

    private static String first(String name) {
        return name.strip().split("\\s+", 2)[0];
    }

    static String offered(Attempt attempt) {
        return attempt.athlete() + " on " + DAY.format(attempt.doneOn());
    }
}
