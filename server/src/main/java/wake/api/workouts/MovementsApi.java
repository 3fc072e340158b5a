package wake.api.workouts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.InvalidRequest;
import wake.movement.Loads;
import wake.movement.Modality;
import wake.movement.Movement;
import wake.movement.Position;
import wake.review.Movements;
import wake.units.InvalidInput;
import wake.units.Unit;

/** The movement catalogue, and the coach's own movements in it. */
@RestController
@RequestMapping("/api/movements")
class MovementsApi {
    private final Movements movements;

    /** A movement; {@code own} ones were added by the coach and may be changed. */
    record MovementView(
            String name,
            List<String> aliases,
            Modality modality,
            Set<Loads> loads,
            String unit,
            Position starts,
            Position ends,
            double fast,
            double slow,
            String goodRep,
            String caution,
            List<String> of,
            boolean own) {}

    /**
     * A movement as the coach describes it.
     *
     * @param of lifts it is a part or a harder form of; none where nothing is said
     */
    record MovementRequest(
            @NotNull List<@Size(max = 80) String> aliases,
            @NotNull Modality modality,
            @NotNull Set<Loads> loads,
            @NotNull String unit,
            @NotNull Position starts,
            @NotNull Position ends,
            double fast,
            double slow,
            @NotNull @Size(max = 500) String goodRep,
            @NotNull @Size(max = 500) String caution,
            @Nullable @Size(max = 5) List<@Size(max = 80) String> of) {}

    MovementsApi(Movements movements) {
        this.movements = movements;
    }

    @GetMapping
    List<MovementView> movements() {
        Set<String> own = movements.own().stream().map(Movement::name).collect(Collectors.toSet());
        return movements.catalogue().all().stream()
                .map(movement -> view(movement, own.contains(movement.name())))
                .toList();
    }

    /** Adds a movement to the catalogue, or changes the coach's own of that name. */
    @PutMapping("/{name}")
    MovementView putMovement(
            @PathVariable
                    @Pattern(regexp = "[a-z][a-z -]{1,79}", message = "must be lower-case letters, blanks and hyphens")
                    String name,
            @Valid @RequestBody MovementRequest request) {
        Unit unit = Unit.ofSymbol(request.unit())
                .filter(known -> known.dimension() != Unit.Dimension.MASS && known.dimension() != Unit.Dimension.SHARE)
                .orElseThrow(() ->
                        new InvalidRequest("unit", "Use a unit like rep, cal or m, not \"" + request.unit() + "\"."));
        List<Movement> of =
                InvalidRequest.orElse("of", () -> of(name, request.of() == null ? List.of() : request.of()));
        Movement movement = InvalidRequest.orElse("name", () -> {
            Movement made = new Movement(
                    name,
                    request.aliases(),
                    request.modality(),
                    request.loads(),
                    unit,
                    request.starts(),
                    request.ends(),
                    request.fast(),
                    request.slow(),
                    request.goodRep(),
                    request.caution().isBlank() ? Optional.empty() : Optional.of(request.caution()),
                    of.stream().map(Movement::name).toList(),
                    of.isEmpty() ? "stand" : of.getFirst().figure());
            movements.put(made);
            return made;
        });
        return view(movement, true);
    }

    /** The movements that one is said to be a part or a harder form of. */
    private List<Movement> of(String name, List<String> written) {
        return written.stream()
                .map(one -> movements
                        .catalogue()
                        .find(one)
                        .filter(known -> !known.name().equals(name))
                        .orElseThrow(() -> new InvalidInput("Use other movements Wake knows, not \"" + one + "\"")))
                .toList();
    }

    /** Takes one of the coach's own movements away. */
    @DeleteMapping("/{name}")
    List<MovementView> removeMovement(@PathVariable String name) {
        movements.remove(name);
        return movements();
    }

    private static MovementView view(Movement movement, boolean own) {
        return new MovementView(
                movement.name(),
                movement.aliases(),
                movement.modality(),
                movement.loads(),
                movement.unit().symbol(),
                movement.starts(),
                movement.ends(),
                movement.fast(),
                movement.slow(),
                movement.goodRep(),
                movement.caution().orElse(""),
                movement.of(),
                own);
    }
}
