package app.matsuri.core.plan;

import java.util.Objects;

/**
 * A place to open, kept as a link.
 *
 * @param title what it is called; empty for the address
 * @param url its address
 */
public record Link(String title, String url) {

    public Link {
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(url, "url");
    }
}
