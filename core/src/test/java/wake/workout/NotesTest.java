package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Part;
import wake.workout.WorkoutShelf.Shelved;

/** What stands behind {@code //} is said somewhere: nothing that is written is dropped. */
class NotesTest {
    private static final String EVERYWHERE = """
            # Capstan  // n1
            // n2
            divisions: women / men
            part A: for time, cap 20:00  // n3
              buy-in: 400 m run  // n4
              // n5
              3 rounds:  // n6
                5 burpee  // n7
                rest 1:00  // n8
                10 air squat
                by 6:00 after round 2  // n9
              in any order:  // n10
                10 pull-up
              tie-break after round 2  // n11
              cash-out: 400 m run
            rest 2:00  // n12
            part B: amrap 5:00
              buy-in:  // n13
                5 burpee
              repeat:  // n14
                5 burpee
            from 40:00  // n15
            part C: every 1:00 x 4, in turn  // n16
              5 burpee
              rest  // n17
            """;

    private static Workout workout(String text) {
        return NotationReader.read(text, Samples.CATALOGUE).orThrow();
    }

    @Test
    void eachNoteStandsWithWhatItIsANoteOf() {
        Workout workout = workout(EVERYWHERE);
        assertThat(NotationWriter.notes(workout)).containsExactly("n1", "n2");
        assertThat(workout.parts())
                .extracting(part -> NotationWriter.notes(workout, part))
                .containsExactly(
                        List.of(
                                "n3",
                                "n5",
                                "3 rounds: n6",
                                "rest 1:00: n8",
                                "by 6:00 after round 2: n9",
                                "in any order: n10",
                                "tie-break after round 2: n11"),
                        List.of("rest 2:00: n12", "buy-in: n13", "repeat: n14"),
                        List.of("from 40:00: n15", "n16", "rest: n17"));
    }

    static Stream<String> texts() {
        return Stream.concat(Stream.of(EVERYWHERE), WorkoutShelf.all().map(Shelved::notation));
    }

    /** As many notes are said as there are behind a // in the tidy text. */
    @ParameterizedTest
    @MethodSource("texts")
    void noNoteIsDropped(String text) {
        Workout workout = workout(text);
        List<String> said = new ArrayList<>(NotationWriter.notes(workout));
        for (Part part : workout.parts()) {
            said.addAll(NotationWriter.notes(workout, part));
            Workout.lines(part).stream()
                    .map(MovementLine::note)
                    .filter(note -> !note.isEmpty())
                    .forEach(said::add);
        }
        long written = NotationWriter.write(workout)
                .lines()
                .filter(line -> line.matches(".*//\\s*\\S.*"))
                .count();
        assertThat(said).hasSize((int) written);
    }
}
