package wake.store;

import static wake.store.tables.Tables.REQUEST_DONE;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Requests that are done, by the id the caller gave them, so that a repeat does nothing more. */
@Component
public class RequestStore {
    private final DSLContext db;
    private final Clock clock;

    RequestStore(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /**
     * Notes that a request is being carried out, in the transaction that does so.
     *
     * @return false when it was done before
     */
    public boolean first(UUID id, UUID attemptId, String what) {
        return db.insertInto(REQUEST_DONE)
                        .set(REQUEST_DONE.ID, id)
                        .set(REQUEST_DONE.ATTEMPT_ID, attemptId)
                        .set(REQUEST_DONE.WHAT, what)
                        .set(REQUEST_DONE.DONE_AT, OffsetDateTime.now(clock))
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }
}
