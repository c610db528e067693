package app.matsuri.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Tag;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;

/** The whole server on a database of its own (see {@link TestDatabase}), its day pinned to 7 October 2026. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Tag("database")
@SpringBootTest(
        properties = {
            "matsuri.test.name=test",
            "matsuri.today=2026-10-07",
            "springdoc.api-docs.enabled=true",
            "matsuri.metrics-token=a-long-token"
        })
// what is asked and answered is not kept for printing: it would hold all bodies in memory
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
public @interface ServerTest {

    String FLOOD =
            "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-09\",\"last\":\"2026-10-09\",\"reason\":\"Flood warning\",\"kind\":\"weather\"}}";
}
