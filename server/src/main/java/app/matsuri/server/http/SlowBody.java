package app.matsuri.server.http;

import app.matsuri.core.calendar.TimeLimit;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Gives up a body that comes in drops: it would hold a thread for as long as whoever sends it likes. */
final class SlowBody extends ServletInputStream {

    /** How long it may take in any case. */
    static final Duration GRACE = Duration.ofSeconds(5);

    /** In bytes a second, after that. */
    static final long LEAST_RATE = 8 * 1024;

    private final ServletInputStream body;
    private final long begun = System.nanoTime();
    private long read;

    private SlowBody(ServletInputStream body) {
        this.body = body;
    }

    /** It came more slowly than it may. */
    static final class TooSlow extends IOException {

        TooSlow(long bytes) {
            super("after " + bytes + " bytes the body came too slowly");
        }
    }

    /** The request, its body watched where it has one. */
    static HttpServletRequest watched(HttpServletRequest request) {
        return request.getContentLengthLong() <= 0 ? request : new Watched(request);
    }

    private static final class Watched extends HttpServletRequestWrapper {

        private @Nullable SlowBody stream;
        private @Nullable BufferedReader reader;

        Watched(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) {
                stream = new SlowBody(super.getInputStream());
            }
            return stream;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            if (reader == null) {
                String encoding = Objects.requireNonNullElse(getCharacterEncoding(), StandardCharsets.UTF_8.name());
                reader = new BufferedReader(new InputStreamReader(getInputStream(), encoding));
            }
            return reader;
        }
    }

    private int counted(int bytes) throws IOException {
        read += Math.max(0, bytes);
        TimeLimit.begin(AtOnce.MOST_TIME); // what comes over a slow line is no work
        long allowed = GRACE.toMillis() + read * 1000 / LEAST_RATE;
        if (bytes >= 0 && (System.nanoTime() - begun) / 1_000_000 > allowed) {
            throw new TooSlow(read);
        }
        return bytes;
    }

    @Override
    public int read() throws IOException {
        int one = body.read();
        counted(one < 0 ? -1 : 1);
        return one;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        return counted(body.read(into, from, length));
    }

    @Override
    public boolean isFinished() {
        return body.isFinished();
    }

    @Override
    public boolean isReady() {
        return body.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
        body.setReadListener(listener);
    }
}
