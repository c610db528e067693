package app.matsuri.server.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import tools.jackson.databind.json.JsonMapper;

/** A problem (RFC 9457) where nothing of Spring has been asked yet, or no longer is. */
public final class Refusal {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Refusal() {}

    /**
     * Answers a request that goes no further.
     *
     * @param type the last part of {@code /problems/…}
     */
    public static void write(HttpServletResponse response, HttpStatus status, String type, String title, String detail)
            throws IOException {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/problems/" + type));
        problem.setTitle(title);
        response.setStatus(status.value());
        response.setContentType("application/problem+json");
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(JSON.writeValueAsString(problem));
    }
}
