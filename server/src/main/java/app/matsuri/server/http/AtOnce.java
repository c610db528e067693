package app.matsuri.server.http;

import app.matsuri.core.calendar.TimeLimit;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * How much is worked on at once. What a body unfolds to while it is read is many times its own size, so all bodies
 * together may have so many bytes; one that finds no room waits a while, at most so many wait, and the others are told
 * when to try again. Every request has a time after which it is given up.
 */
@Component
@Order(BodyLimit.ORDER + 1)
class AtOnce extends OncePerRequestFilter {

    /** Bodies up to so many bytes are not counted. */
    static final int SMALL = 64 * 1024;

    /** Units of {@link #SMALL} of all bodies that are read at once: the largest one, and one half as large beside it. */
    static final int ROOM = 15 * 1024 * 1024 / SMALL;

    /** How many wait for room. */
    static final int MOST_WAITING = 20;

    /** How many bodies of strangers are read at once, from one address: they may come slowly, and hold a thread each. */
    static final int MOST_STRANGERS = 60;

    static final int MOST_STRANGERS_OF_ONE = 30;

    /** After which a request is given up, counted from when its body was read. */
    static final Duration MOST_TIME = Duration.ofSeconds(20);

    private static final int TRY_AGAIN_SECONDS = 5;

    private final Semaphore room = new Semaphore(ROOM, true);
    private final Semaphore strangers = new Semaphore(MOST_STRANGERS);
    private final Cache<String, Semaphore> ofOne =
            Caffeine.newBuilder().weakValues().build();
    private final AtomicInteger waiting = new AtomicInteger();
    private final Duration patience;

    AtOnce() {
        this(Duration.ofSeconds(3));
    }

    /**
     * With how long one waits for room.
     */
    AtOnce(Duration patience) {
        this.patience = patience;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long bytes = request.getContentLengthLong();
        // a bundle goes to the disk as it comes
        boolean whole = bytes > SMALL && !request.getRequestURI().equals("/api/bundles");
        int units = whole ? (int) Math.min(ROOM, bytes / SMALL) : 0;
        HttpServletRequest given = SlowBody.watched(request);
        if (bytes > 0 && !BodyLimit.signedIn(request)) {
            HttpServletRequest read = null;
            try {
                read = ofStranger(given);
            } catch (IOException | HttpMessageNotReadableException wrong) {
                boolean slow = wrong instanceof IOException; // or it broke off
                response.setHeader("Connection", "close");
                Refusal.write(
                        response,
                        slow ? HttpStatus.REQUEST_TIMEOUT : HttpStatus.BAD_REQUEST,
                        "not-readable",
                        "The request could not be read",
                        slow ? "It came too slowly. Try again." : "Its fields are not in the form that is expected.");
                NoSwallow.of(request, response);
                return;
            }
            if (read == null) {
                later(response);
                NoSwallow.of(request, response);
                return;
            }
            given = read;
        }
        if (units > 0 && !acquired(room, units)) {
            later(response);
            return;
        }
        try {
            TimeLimit.begin(MOST_TIME);
            chain.doFilter(given, response);
        } finally {
            TimeLimit.end();
            room.release(units);
        }
    }

    /** The request with its body read; null where too many are at it. */
    private @Nullable HttpServletRequest ofStranger(HttpServletRequest request) throws IOException {
        String from = Objects.requireNonNullElse(request.getRemoteAddr(), "");
        Semaphore own = ofOne.get(from, address -> new Semaphore(MOST_STRANGERS_OF_ONE));
        if (!acquired(own, 1)) {
            return null;
        }
        try {
            if (!acquired(strangers, 1)) {
                return null;
            }
            try {
                return ReadBody.of(request);
            } finally {
                strangers.release();
            }
        } finally {
            own.release();
        }
    }

    /** Waits for it a while, where not too many wait already. */
    private boolean acquired(Semaphore of, int units) {
        if (of.tryAcquire(units)) {
            return true;
        }
        if (waiting.incrementAndGet() > MOST_WAITING) {
            waiting.decrementAndGet();
            return false;
        }
        try {
            return of.tryAcquire(units, patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        } finally {
            waiting.decrementAndGet();
        }
    }

    private static void later(HttpServletResponse response) throws IOException {
        response.setHeader("Retry-After", String.valueOf(TRY_AGAIN_SECONDS));
        Refusal.write(
                response,
                HttpStatus.TOO_MANY_REQUESTS,
                "too-many-at-once",
                "Too much at once",
                "The server is busy with other large requests. Nothing was stored. Try again in " + TRY_AGAIN_SECONDS
                        + " seconds.");
    }
}
