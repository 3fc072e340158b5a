package wake.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.servers.Server;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI description: every component of a record is there unless it is marked as nullable. */
@Configuration
@OpenAPIDefinition(
        info = @Info(title = "Wake", version = "1", description = "Reviews of recorded workout attempts."),
        servers = @Server(url = "/"))
class ApiDescription {
    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    private static final class RequiredUnlessNullable implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            Schema<?> schema = chain.next().resolve(type, context, chain);
            JavaType javaType = Json.mapper().constructType(type.getType());
            if (schema != null && javaType != null && javaType.getRawClass().isRecord()) {
                String reference = schema.get$ref();
                Schema<?> model = reference == null
                        ? schema
                        : context.getDefinedModels().get(reference.substring(reference.lastIndexOf('/') + 1));
                if (model != null) {
                    model.setRequired(required(javaType.getRawClass()));
                }
            }
            return schema;
        }

        private static List<String> required(Class<?> type) {
            return Arrays.stream(type.getRecordComponents())
                    .filter(component -> !component.getAnnotatedType().isAnnotationPresent(Nullable.class))
                    .map(RecordComponent::getName)
                    .toList();
        }
    }
}
