package wake;

import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts the application once for all tests, over a temporary folder. */
public final class RunningServer extends ServerAt implements BeforeAllCallback, ParameterResolver {
    public RunningServer() throws IOException {
        super(shared());
    }

    private static ConfigurableApplicationContext context;

    private static synchronized ConfigurableApplicationContext shared() throws IOException {
        if (context == null) {
            context = start(Files.createTempDirectory("wake-test"));
        }
        return context;
    }

    @Override
    public void beforeAll(ExtensionContext extension) {}

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
        return parameter.getParameter().getType() == RunningServer.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
        return this;
    }
}
