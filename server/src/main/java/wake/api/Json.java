package wake.api;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How documents are read: no holes in lists. */
@Configuration
class Json {
    @Bean
    JsonMapperBuilderCustomizer noHoles() {
        return builder -> builder.changeDefaultNullHandling(usual -> usual.withContentNulls(Nulls.FAIL));
    }
}
