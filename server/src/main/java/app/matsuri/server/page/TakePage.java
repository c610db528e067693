package app.matsuri.server.page;

import app.matsuri.server.page.Seeing.Seen;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * How dates are taken along: what is chosen, and the addresses for just that.
 *
 * @param home the page of the link
 * @param kinds of entries
 * @param sections of the link; none where it has one
 * @param busy, allDay how they stand in the reader's calendar
 * @param reminders before what is due
 */
public record TakePage(
        String language,
        String title,
        String home,
        String form,
        List<Choice> kinds,
        List<Choice> sections,
        boolean busy,
        boolean allDay,
        List<Choice> reminders,
        Addresses addresses) {

    /** The kinds of entries, and those that are chosen where nothing is. */
    private static final List<String> KINDS =
            List.of("classes", "due", "opens", "closes", "notices", "hours", "bookings");

    private static final List<String> REMINDERS = List.of("none", "60", "1440", "2880");

    private static final Set<String> USUAL = Set.of("classes", "due", "notices");

    /** Something to tick. */
    public record Choice(String value, String words, boolean ticked) {}

    /**
     * Where a choice is.
     *
     * @param subscribe opens a calendar
     * @param feed the same, to copy into one
     * @param download a file
     * @param choose where the choice is made
     */
    public record Addresses(String subscribe, String feed, String download, String choose) {

        /**
         * Those of a link.
         *
         * @param host "http://localhost:8460"
         * @param query what is chosen; empty for the usual
         */
        static Addresses of(String host, String base, String query) {
            String feed = host + base + "/dates.ics" + query;
            return new Addresses(
                    feed.replaceFirst("^https?:", "webcal:"), feed, base + "/download.ics" + query, base + "/take");
        }
    }

    /** What was asked for. */
    record Asked(List<String> with, List<String> of, boolean busy, boolean allDay, String remind) {}

    static TakePage of(List<Seen> seen, PageWords words, String host, Asked asked) {
        boolean usual = asked.with().stream().noneMatch(KINDS::contains);
        List<Choice> kinds = KINDS.stream()
                .map(kind -> new Choice(
                        kind,
                        words.say("take." + kind),
                        usual ? USUAL.contains(kind) : asked.with().contains(kind)))
                .toList();
        List<Choice> sections = seen.stream()
                .filter(s -> seen.size() > 1)
                .map(s -> new Choice(
                        s.key(),
                        SectionPages.title(s.shown()),
                        asked.of().isEmpty() || asked.of().contains(s.key())))
                .toList();
        List<String> query = new ArrayList<>();
        if (!usual) {
            kinds.stream().filter(Choice::ticked).forEach(k -> query.add("with=" + k.value()));
        }
        if (sections.stream().anyMatch(s -> !s.ticked())) {
            sections.stream().filter(Choice::ticked).forEach(s -> query.add("of=" + Seeing.encoded(s.value())));
        }
        if (asked.busy()) {
            query.add("busy=true");
        }
        if (asked.allDay()) {
            query.add("allday=true");
        }
        List<Choice> reminders = REMINDERS.stream()
                .map(minutes ->
                        new Choice(minutes, words.say("take.remind." + minutes), minutes.equals(asked.remind())))
                .toList();
        if (!asked.remind().isEmpty() && REMINDERS.contains(asked.remind())) {
            query.add("remind=" + asked.remind());
        }
        String base = seen.get(0).base();
        return new TakePage(
                words.language(),
                words.say("take"),
                base,
                base + "/take",
                kinds,
                sections,
                asked.busy(),
                asked.allDay(),
                reminders,
                Addresses.of(host, base, query.isEmpty() ? "" : "?" + String.join("&", query)));
    }
}
