package app.matsuri.core.shown;

import app.matsuri.core.plan.Link;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A notice as it was told.
 *
 * @param course its own course, which may be another that shares it
 * @param title it as it stands; likewise its text, in Markdown, its place, its links, and its files that may be had now
 * @param begins as told
 * @param ends as told; null where nothing was said of it
 * @param entries where it repeats, when each of its entries begins; empty for one that is once
 * @param wholeDays without a time
 */
public record ShownNotice(
        String course,
        String id,
        String title,
        String text,
        String place,
        List<Link> links,
        List<ShownFile> files,
        LocalDateTime begins,
        @Nullable LocalDateTime ends,
        List<LocalDateTime> entries,
        boolean wholeDays) {

    public ShownNotice {
        links = List.copyOf(links);
        files = List.copyOf(files);
        entries = List.copyOf(entries);
    }

    /** Its last day. */
    public LocalDate last() {
        return (ends == null ? begins : ends).toLocalDate();
    }

    /** Whether it covers some of the day. */
    public boolean covers(LocalDate day) {
        if (!entries.isEmpty()) {
            return entries.stream().anyMatch(at -> at.toLocalDate().equals(day));
        }
        return !day.isBefore(begins.toLocalDate()) && !day.isAfter(last());
    }
}
