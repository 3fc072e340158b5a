package wake.review;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wake.store.StrengthStore;
import wake.strength.StrengthReader;
import wake.strength.StrengthWork;

/** The strength work of athletes, read. */
@Component
public class StrengthDays {
    private final StrengthStore store;
    private final Movements movements;

    StrengthDays(StrengthStore store, Movements movements) {
        this.store = store;
        this.movements = movements;
    }

    /** A day with its text and what that says. */
    public record Day(LocalDate doneOn, String text, StrengthReader.Outcome read) {
        public List<StrengthWork> works() {
            return read.works();
        }
    }

    /** All days of an athlete, the latest first. */
    public List<Day> of(UUID athleteId) {
        return latestFirst(athleteId).toList();
    }

    /** The same, each read when it is come to. */
    Stream<Day> latestFirst(UUID athleteId) {
        return store.of(athleteId).stream().map(day -> new Day(day.doneOn(), day.text(), read(day.text())));
    }

    public StrengthReader.Outcome read(String text) {
        return StrengthReader.read(text, movements.catalogue());
    }
}
