package wake.store;

import static wake.store.tables.Tables.SETTING;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Choices of the coach, by name, as JSON documents. */
@Component
public class SettingStore {
    private static final int LONGEST = 20_000;

    private final DSLContext db;
    private final Clock clock;

    SettingStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public Optional<String> find(String name) {
        return db.select(SETTING.DOCUMENT)
                .from(SETTING)
                .where(SETTING.NAME.eq(name))
                .fetchOptional(SETTING.DOCUMENT);
    }

    /** All of them, by name. */
    public Map<String, String> all() {
        return db.select(SETTING.NAME, SETTING.DOCUMENT)
                .from(SETTING)
                .orderBy(SETTING.NAME)
                .fetchMap(SETTING.NAME, SETTING.DOCUMENT);
    }

    public void put(String name, String document) {
        db.mergeInto(SETTING)
                .columns(SETTING.NAME, SETTING.DOCUMENT, SETTING.CHANGED_AT)
                .key(SETTING.NAME)
                .values(name, Document.checkLength(document, LONGEST), OffsetDateTime.now(clock))
                .execute();
    }
}
