package app.matsuri.server.reminder;

import java.util.List;

/**
 * A letter in words.
 *
 * @param page where the reader's own page is; empty for none
 * @param stop where the reader says that no more shall come
 */
public record MailPage(
        String language, String subject, String hello, String intro, List<Line> lines, String page, String stop) {

    /**
     * One thing.
     *
     * @param why may be empty
     * @param address where it stands; may be empty
     */
    public record Line(String title, String when, String why, String address) {}
}
