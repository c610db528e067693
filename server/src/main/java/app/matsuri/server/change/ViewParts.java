package app.matsuri.server.change;

import app.matsuri.core.calendar.Known;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The views that an answer can carry, each contributed by its own package. */
@Component
class ViewParts {

    /** The schemas of the answers that carry them. */
    private static final List<String> CARRY = List.of("ProposalView", "Made");

    private final List<ViewPart<?>> parts;

    ViewParts(List<ViewPart<?>> parts) {
        this.parts = parts;
    }

    /** The view that is asked for, by its field; nothing where no such view is. */
    Map<String, Object> of(@Nullable String view, ViewPart.Asked asked) {
        return parts.stream()
                .filter(part -> part.view().equals(view))
                .findFirst()
                .flatMap(
                        part -> Optional.<Object>ofNullable(part.part(asked)).map(shown -> Map.of(part.field(), shown)))
                .orElse(Map.of());
    }

    /** Says in the contract what the answers may carry. */
    @Bean
    @Order(0)
    static OpenApiCustomizer carried(List<ViewPart<?>> parts) {
        return api -> {
            for (String answer : CARRY) {
                Schema<?> schema = Known.in(api.getComponents().getSchemas(), answer);
                for (ViewPart<?> part : parts) {
                    Schema<?> view = new JsonSchema()
                            .$ref("#/components/schemas/" + part.type().getSimpleName());
                    view.addExtension("x-optional", true);
                    schema.addProperty(part.field(), view);
                }
            }
        };
    }
}
