package wake.store;

import static wake.store.tables.Tables.MOVEMENT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Movements the coach has added to the catalogue. */
@Component
public class MovementStore {
    private static final int LONGEST = 20_000;

    private final DSLContext db;
    private final Clock clock;

    MovementStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<Document> all() {
        return db.select(MOVEMENT.SCHEMA_VERSION, MOVEMENT.DOCUMENT)
                .from(MOVEMENT)
                .orderBy(MOVEMENT.NAME)
                .fetch(row -> new Document(row.value1(), row.value2()));
    }

    public void put(String name, Document document) {
        db.mergeInto(MOVEMENT)
                .columns(MOVEMENT.NAME, MOVEMENT.SCHEMA_VERSION, MOVEMENT.DOCUMENT, MOVEMENT.CHANGED_AT)
                .key(MOVEMENT.NAME)
                .values(
                        name,
                        document.schemaVersion(),
                        Document.checkLength(document.json(), LONGEST),
                        OffsetDateTime.now(clock))
                .execute();
    }

    public void remove(String name) {
        db.deleteFrom(MOVEMENT).where(MOVEMENT.NAME.eq(name)).execute();
    }
}
