package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.Job;
import wake.ServerAt;

/** The pool lets go of the connections that made the tables, as it does after half an hour. */
class RetiredConnectionsTest {
    @TempDir
    Path data;

    @Test
    void onAFreshFolderTheWholeJobIsDoneWithConnectionsRetiredUnderIt() {
        try (ServerAt wake = ServerAt.folder(data)) {
            var pool = wake.bean(HikariDataSource.class).getHikariPoolMXBean();
            var attempt = new Job(wake, pool::softEvictConnections).doIt();
            assertThat(wake.get("/api/attempts/" + attempt)
                            .json()
                            .at("/log/marks")
                            .size())
                    .isEqualTo(30);
        }
    }
}
