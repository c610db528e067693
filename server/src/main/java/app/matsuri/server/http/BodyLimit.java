package app.matsuri.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns away requests that carry too much, before anything is read of them. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    /** In bytes; room for the largest plan file. */
    private static final long MOST = 10L * 1024 * 1024;

    /** Bundles carry attached files; they are read from the disk, never whole. */
    private static final long MOST_OF_BUNDLE = 250L * 1024 * 1024;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean unknown = request.getContentLengthLong() < 0 && request.getHeader("Transfer-Encoding") != null;
        long most = request.getRequestURI().equals("/api/bundles") ? MOST_OF_BUNDLE : MOST;
        if (request.getContentLengthLong() <= most && !unknown) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(unknown ? 411 : 413);
        response.setContentType("application/problem+json");
        response.setCharacterEncoding("UTF-8");
        String detail = unknown
                ? "The request does not say how long it is."
                : "That is " + request.getContentLengthLong() / 1024 / 1024 + " MB; at most "
                        + (most == MOST ? 8 : most / 1024 / 1024)
                        + " MB are taken."
                        + " Check that it is the right file. Nothing was stored.";
        response.getWriter()
                .write("{\"type\":\"/problems/too-large\",\"title\":\"Too large\",\"status\":" + response.getStatus()
                        + ",\"detail\":\"" + detail + "\"}");
    }
}
