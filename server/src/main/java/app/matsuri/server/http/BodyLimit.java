package app.matsuri.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns away requests that carry too much, before anything is read of them. Who is not signed in may carry next to nothing. */
@Component
@Order(BodyLimit.ORDER)
class BodyLimit extends OncePerRequestFilter {

    /** Behind the filter that finds the session, before whatever reads a body. */
    static final int ORDER = Ordered.HIGHEST_PRECEDENCE + 60;

    /** In bytes; room for the largest plan file. */
    private static final long MOST = 10L * 1024 * 1024;

    /** Bundles carry attached files; they are read from the disk, never whole. */
    private static final long MOST_OF_BUNDLE = 250L * 1024 * 1024;

    /** In bytes, of who is not signed in: room for the forms that stand open to everybody. */
    static final long MOST_OF_STRANGERS = 16L * 1024;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long bytes = request.getContentLengthLong();
        if (bytes < 0 && request.getHeader("Transfer-Encoding") != null) {
            Refusal.write(
                    response,
                    HttpStatus.LENGTH_REQUIRED,
                    "too-large",
                    "Too large",
                    "The request does not say how long it is.");
        } else if (bytes > MOST_OF_STRANGERS && !signedIn(request)) {
            refuse(
                    response,
                    "That is " + bytes / 1024 + " KB; at most " + MOST_OF_STRANGERS / 1024
                            + " KB are taken of who is not signed in. Sign in and try again. Nothing was stored.");
            NoSwallow.of(request, response);
        } else if (request.getRequestURI().equals("/api/bundles") ? bytes > MOST_OF_BUNDLE : bytes > MOST) {
            long most = request.getRequestURI().equals("/api/bundles") ? MOST_OF_BUNDLE / 1024 / 1024 : 8;
            refuse(
                    response,
                    "That is " + bytes / 1024 / 1024 + " MB; at most " + most
                            + " MB are taken. Check that it is the right file. Nothing was stored.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static void refuse(HttpServletResponse response, String detail) throws IOException {
        Refusal.write(response, HttpStatus.CONTENT_TOO_LARGE, "too-large", "Too large", detail);
    }

    /** Whether the request belongs to a session in which somebody is signed in. */
    static boolean signedIn(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null
                && session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY) != null;
    }
}
