package wake.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.core.io.ClassPathResource;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.movement.CatalogueFile;
import wake.simulation.SimulatedAttempt;
import wake.store.MarkStore.StoredMark;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.Workout;

class DemoScenesTest {
    static List<DemoScenes.Scene> scenes() {
        return DemoScenes.SCENES;
    }

    static List<String> workouts() {
        return DemoScenes.WORKOUTS;
    }

    private static Workout workout(String file) throws IOException {
        String notation = new ClassPathResource("demo/workouts/" + file + ".txt")
                .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
        return NotationReader.read(notation, CatalogueFile.shipped()).orThrow();
    }

    @ParameterizedTest
    @MethodSource("workouts")
    void everyWorkoutOfTheDemoIsReadWithoutAHint(String file) throws IOException {
        assertThat(workout(file).parts()).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("scenes")
    void everyAttemptOfTheDemoLogsWithoutAnOddityAndItsPlanFits(DemoScenes.Scene scene) throws IOException {
        Workout workout = workout(scene.workout());
        ExpandedWorkout expanded =
                ExpandedWorkout.of(workout, workout.division(scene.division()), CatalogueFile.shipped());
        assertThat(DemoScenes.plan(scene, expanded).checkedFor(expanded)).isNotNull();
        SimulatedAttempt attempt = SimulatedAttempt.run(expanded, scene.model(), scene.seed());
        List<Mark> marks = DemoCoach.marks(attempt, scene.name(), UUID.randomUUID(), UUID.randomUUID(), 5000).stream()
                .map(DemoScenesTest::onTheClock)
                .toList();
        AttemptLog log = AttemptLog.of(expanded, marks);
        assertThat(log.rejected()).isEmpty();
        assertThat(log.over()).isTrue();
    }

    private static Mark onTheClock(StoredMark mark) {
        return new Mark(
                mark.id(),
                mark.kind(),
                mark.atMs() - 5000,
                mark.reps(),
                mark.depth(),
                mark.tag(),
                mark.text(),
                mark.uncertaintyS());
    }

    @Test
    void theSameNameHasTheSameIdEachTime() {
        assertThat(DemoGym.id("attempt x")).isEqualTo(DemoGym.id("attempt x")).isNotEqualTo(DemoGym.id("attempt y"));
    }
}
