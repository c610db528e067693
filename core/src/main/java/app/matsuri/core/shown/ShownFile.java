package app.matsuri.core.shown;

/**
 * A file that may be had.
 *
 * @param file name under which its bytes are stored
 * @param name what people see
 */
public record ShownFile(String file, String name) {}
