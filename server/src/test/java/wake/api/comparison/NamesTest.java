package wake.api.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import wake.store.AttemptStore.Attempt;

class NamesTest {
    private static Attempt attempt(String athlete, String day) {
        return new Attempt(
                UUID.randomUUID(),
                UUID.nameUUIDFromBytes(athlete.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                athlete,
                UUID.randomUUID(),
                "",
                LocalDate.parse(day),
                "",
                null,
                0,
                1);
    }

    @Test
    void aNameIsAsShortAsDistinguishesThem() {
        assertThat(Names.of(List.of(attempt("Ida Lund", "2026-11-03"), attempt("Runa Vik", "2026-11-03"))))
                .containsExactly("Ida", "Runa");
        assertThat(Names.of(List.of(attempt("Ida Lund", "2026-11-03"), attempt("Ida Vik", "2026-11-03"))))
                .containsExactly("Ida Lund", "Ida Vik");
        assertThat(Names.of(List.of(attempt("Ida Lund", "2026-11-03"), attempt("Ida Lund", "2026-11-17"))))
                .containsExactly("Ida on 3 Nov", "Ida on 17 Nov");
        assertThat(Names.of(List.of(attempt("Ida Lund", "2025-11-03"), attempt("Ida Lund", "2026-11-03"))))
                .containsExactly("Ida on 3 Nov 2025", "Ida on 3 Nov 2026");
        assertThat(Names.of(List.of(attempt("Ida Lund", "2026-11-03"), attempt("Ida Lund", "2026-11-03"))))
                .containsExactly("Ida on 3 Nov", "Ida on 3 Nov (2)");
    }
}
