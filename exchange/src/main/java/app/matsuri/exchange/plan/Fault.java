package app.matsuri.exchange.plan;

import org.jspecify.annotations.Nullable;

/**
 * Something in a file that is not as it should be.
 *
 * @param pointer JSON pointer (RFC 6901) to the place; empty for the whole file
 * @param line line of the place, from 1; 0 where there is none
 * @param message what is wrong and what to do, one or two sentences
 */
public record Fault(Severity severity, String pointer, int line, String message) {

    /** What a fault means for the rest. */
    public enum Severity {
        /** The file has no meaning. */
        FATAL,
        /** The rest has a meaning without it. */
        KEPT,
        /** Worth knowing, nothing is wrong. */
        REMARK
    }

    /** One line for a terminal. */
    public String line(@Nullable String file) {
        return file
                + (line > 0 ? ":" + line : "")
                + (pointer.isEmpty() ? "" : " " + pointer)
                + ": "
                + (severity == Severity.REMARK ? "remark: " : "")
                + message;
    }
}
