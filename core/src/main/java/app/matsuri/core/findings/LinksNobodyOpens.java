package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.function.Consumer;

/**
 * Links that students cannot open, as far as the address alone tells: it names this computer, or one that only its own
 * network knows (the private addresses of RFC 1918, names without a dot, and the names of RFC 6762 and RFC 8375).
 */
final class LinksNobodyOpens implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (Placement placement : in.placements()) {
            links(
                    in,
                    "lesson",
                    placement.lesson().id(),
                    placement.lesson().title(),
                    placement.lesson().details().links(),
                    found);
        }
        for (ItemDates dates : in.dates()) {
            links(
                    in,
                    "item",
                    dates.item().id(),
                    dates.item().title(),
                    dates.item().details().links(),
                    found);
        }
        for (NoticeDates notice : in.notices()) {
            if (notice.own(in) && notice.notice().reach() != Notice.Reach.OWN) {
                links(
                        in,
                        "notice",
                        notice.notice().id(),
                        notice.notice().title(),
                        notice.notice().links(),
                        found);
            }
        }
    }

    private static void links(
            SectionSchedule in, String what, String id, String title, List<Link> links, Consumer<Finding> found) {
        for (Link link : links) {
            if (closed(link.url())) {
                found.accept(new Finding(
                        "link-students-cannot-open",
                        Severity.WARNING,
                        Check.about(in, what, id),
                        "Students cannot open the link “" + (link.title().isEmpty() ? link.url() : link.title())
                                + "” of “" + title + "”: its address is known in one network only.",
                        null));
            }
        }
    }

    /** Whether the address alone tells that others cannot open it. */
    static boolean closed(String url) {
        String host;
        try {
            host = new URI(url).getHost();
        } catch (URISyntaxException e) {
            return true;
        }
        if (host == null) {
            return false; // mail
        }
        return !host.contains(".") && !host.startsWith("[")
                || host.matches("(?i).*\\.(local|localhost|internal|home\\.arpa)")
                || host.matches("127\\..*|10\\..*|192\\.168\\..*|172\\.(1[6-9]|2\\d|3[01])\\..*|0\\.0\\.0\\.0")
                || host.equals("[::1]");
    }
}
