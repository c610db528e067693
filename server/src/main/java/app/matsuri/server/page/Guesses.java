package app.matsuri.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** Counts addresses that show nothing by who asks for them: a hundred within a minute are enough. */
@Component
class Guesses {

    static final int MOST = 100;

    private final Cache<String, AtomicInteger> made;

    Guesses(Clock clock) {
        Ticker ticker = () -> Duration.ofMillis(clock.millis()).toNanos();
        made = Caffeine.newBuilder()
                .expireAfterWrite(Duration.ofMinutes(1))
                .ticker(ticker)
                .maximumSize(10_000)
                .build();
    }

    /** Whether no more are answered from there for a while. */
    boolean tooMany(String from) {
        AtomicInteger count = made.getIfPresent(from);
        return count != null && count.get() >= MOST;
    }

    /** One more that shows nothing. */
    void wrong(String from) {
        made.get(from, f -> new AtomicInteger()).incrementAndGet();
    }
}
