package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.json.JsonMapper;
import wake.RunningServer;

@ExtendWith(RunningServer.class)
class DescriptionTest {
    /** The interface's types are generated from web/openapi.json: when this fails, fetch it anew and run npm run types. */
    @Test
    void theDescriptionTheInterfaceIsBuiltFromIsTheOneServed(RunningServer wake) throws IOException {
        String kept = Files.readString(Path.of("../web/openapi.json"));
        assertThat(wake.get("/api/openapi").json()).isEqualTo(new JsonMapper().readTree(kept));
    }
}
