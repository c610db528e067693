package app.matsuri.server.http;

import app.matsuri.exchange.plan.Fault;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** Something that a person can act on, answered as a problem of RFC 9457. */
public class Problem extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String type;
    private final String title;
    private final transient List<Fault> faults;

    public Problem(HttpStatus status, String type, String title, @Nullable String detail) {
        this(status, type, title, detail, List.of());
    }

    public Problem(HttpStatus status, String type, String title, @Nullable String detail, List<Fault> faults) {
        super(detail);
        this.status = status;
        this.type = type;
        this.title = title;
        this.faults = faults;
    }

    public HttpStatus status() {
        return status;
    }

    public String type() {
        return type;
    }

    public String title() {
        return title;
    }

    public List<Fault> faults() {
        return faults;
    }
}
