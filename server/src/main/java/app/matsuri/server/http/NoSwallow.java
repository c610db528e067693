package app.matsuri.server.http;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * The rest of a body that was refused is not waited for: Tomcat would read on, a thread for each, for as long as whoever
 * sends it likes.
 */
@Component
class NoSwallow implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final String REST = NoSwallow.class.getName();

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addEngineValves(new Rest());
    }

    /** Sends the answer and closes the connection behind it instead of reading what is still to come. */
    static void of(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.flushBuffer(); // what is not sent yet would be taken for an error of its own
        if (request.getAttribute(REST) instanceof Runnable rest) {
            rest.run();
        }
    }

    private static final class Rest extends ValveBase {

        Rest() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            Runnable leave = () -> request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
            request.setAttribute(REST, leave);
            getNext().invoke(request, response);
        }
    }
}
