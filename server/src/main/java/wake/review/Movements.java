package wake.review;

import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wake.movement.Catalogue;
import wake.movement.CatalogueFile;
import wake.movement.Movement;
import wake.store.MovementStore;
import wake.units.InvalidInput;

/** The catalogue in force: what ships with Wake, and what the coach has added. */
@Component
public class Movements {
    private final MovementStore store;
    private final Documents documents;
    private volatile Catalogue catalogue;
    private volatile String revision;

    Movements(MovementStore store, Documents documents) {
        this.store = store;
        this.documents = documents;
        this.catalogue = catalogueOf(own());
        this.revision = written();
    }

    public Catalogue catalogue() {
        return catalogue;
    }

    /** The movements the coach has added. */
    public final List<Movement> own() {
        return store.all().stream().map(documents::movement).toList();
    }

    /**
     * Adds a movement, or changes the coach's own of that name.
     *
     * @throws InvalidInput when its name or an alias is taken by another movement
     */
    public void put(Movement movement) {
        Stream<Movement> others = own().stream().filter(own -> !own.name().equals(movement.name()));
        Catalogue changed =
                catalogueOf(Stream.concat(others, Stream.of(movement)).toList());
        store.put(movement.name(), documents.movement(movement));
        catalogue = changed;
        revision = written();
    }

    /** Reads the coach's own movements anew: they may be others now. */
    public void readAgain() {
        catalogue = catalogueOf(own());
        revision = written();
    }

    /** Takes one of the coach's own movements away; workouts that name it keep doing so. */
    public void remove(String name) {
        store.remove(name);
        catalogue = catalogueOf(own());
        revision = written();
    }

    /** Tells one state of the coach's own movements from another, also after a restart; raised after the catalogue, so that nothing old passes for new. */
    public String revision() {
        return revision;
    }

    /** Of texts and numbers alone, so that it is the same in every run. */
    private String written() {
        return Integer.toHexString(store.all().hashCode());
    }

    /**
     * The catalogue as it would be with more of the coach's own movements.
     *
     * @throws InvalidInput when a name or an alias is taken by another movement
     */
    public Catalogue with(Collection<Movement> more) {
        return catalogueOf(Stream.concat(own().stream(), more.stream()).toList());
    }

    /** Keeps one of the coach's own, in the transaction under way; it is known once {@link #readAgain} has been called. */
    public void keep(Movement movement) {
        store.put(movement.name(), documents.movement(movement));
    }

    private static Catalogue catalogueOf(List<Movement> own) {
        return new Catalogue(Stream.concat(CatalogueFile.shipped().all().stream(), own.stream())
                .toList());
    }
}
