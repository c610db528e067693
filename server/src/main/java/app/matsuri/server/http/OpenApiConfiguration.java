package app.matsuri.server.http;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document: every field is required but those marked nullable, which are left out when they are null. */
@Configuration
class OpenApiConfiguration {

    private static final String OPTIONAL = "x-optional";

    @Bean
    PropertyCustomizer markOptional() {
        return (property, type) -> {
            boolean optional = type.getCtxAnnotations() != null
                    && List.of(type.getCtxAnnotations()).stream().anyMatch(Nullable.class::isInstance);
            if (optional) {
                property.addExtension(OPTIONAL, true);
            }
            return property;
        };
    }

    @Bean
    @SuppressWarnings({"rawtypes", "unchecked"})
    OpenApiCustomizer document() {
        return api -> {
            api.setInfo(new Info().title("Matsuri").version("1"));
            api.setServers(null);
            for (Schema schema : api.getComponents().getSchemas().values()) {
                Map<String, Schema> properties = schema.getProperties();
                if (properties == null) {
                    continue;
                }
                List<String> required = new ArrayList<>();
                properties.forEach((name, property) -> {
                    boolean optional = property.getExtensions() != null
                            && property.getExtensions().remove(OPTIONAL) != null;
                    if (!optional) {
                        required.add(name);
                    }
                });
                schema.setRequired(required.isEmpty() ? null : required);
            }
        };
    }
}
