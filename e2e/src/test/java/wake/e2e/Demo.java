package wake.e2e;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** Ids of the demo gym. */
final class Demo {
    private Demo() {}

    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("breakwater barn " + name).getBytes(StandardCharsets.UTF_8));
    }
}
