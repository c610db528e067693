package app.matsuri.server.account;

import app.matsuri.server.http.Problem;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Counts what was tried in vain, by the account and by the address, whether there is such an account or not: after some
 * one has to wait, each time twice as long.
 */
@Component
public class Attempts {

    /** Free attempts of a sign-in name. */
    static final int FREE_OF_NAME = 5;

    /** Free attempts from an address, behind which there may be a whole class. */
    static final int FREE_OF_ADDRESS = 50;

    static final Duration LONGEST = Duration.ofMinutes(15);

    private final Clock clock;
    private final Cache<String, Tried> tried;

    private record Tried(int times, Instant last) {}

    Attempts(Clock clock) {
        this.clock = clock;
        Ticker ticker = () -> Duration.ofMillis(clock.millis()).toNanos();
        this.tried = Caffeine.newBuilder()
                .expireAfterWrite(LONGEST.multipliedBy(2))
                .ticker(ticker)
                .maximumSize(100_000)
                .build();
    }

    private static String name(String signIn) {
        String plain = signIn.strip().toLowerCase(Locale.ROOT);
        return "name " + plain.substring(0, Math.min(100, plain.length()));
    }

    /** How long one has to wait; nothing where one may try. */
    Duration wait(String signIn, String address) {
        Duration name = wait(name(signIn), FREE_OF_NAME);
        Duration from = wait("from " + address, FREE_OF_ADDRESS);
        return name.compareTo(from) > 0 ? name : from;
    }

    /**
     * Goes on where one may try.
     *
     * @throws Problem where one has to wait
     */
    public void look(String signIn, String address) {
        Duration wait = wait(signIn, address);
        if (!wait.isZero()) {
            throw new Problem(HttpStatus.TOO_MANY_REQUESTS, "too-many-attempts", "Too many attempts", said(wait));
        }
    }

    /** How long to wait, in words. */
    static String said(Duration wait) {
        long seconds = wait.toSeconds() + 1;
        return "That was tried in vain too often. Wait "
                + (seconds < 90 ? seconds + " seconds" : seconds / 60 + 1 + " minutes") + ", then try again.";
    }

    private Duration wait(String key, int free) {
        Tried so = tried.getIfPresent(key);
        if (so == null || so.times() < free) {
            return Duration.ZERO;
        }
        Duration pause = Duration.ofSeconds(1L << Math.min(20, so.times() - free));
        Duration bounded = pause.compareTo(LONGEST) > 0 ? LONGEST : pause;
        Duration left = Duration.between(Instant.now(clock), so.last().plus(bounded));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** One more in vain. */
    public void failed(String signIn, String address) {
        for (String key : new String[] {name(signIn), "from " + address}) {
            tried.asMap().merge(key, new Tried(1, Instant.now(clock)), (a, b) -> new Tried(a.times() + 1, b.last()));
        }
    }

    /** It was right: what the name had is forgotten. */
    void worked(String signIn) {
        tried.invalidate(name(signIn));
    }
}
