package app.matsuri.server.page;

import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.server.page.SectionPage.Said;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * One thing in words.
 *
 * @param dates what there is to say of when, a line each
 * @param about kind, points, length and whom it is for
 * @param instructions HTML; empty before it opens
 */
public record ThingPage(
        String language,
        String title,
        String subtitle,
        String home,
        List<String> dates,
        String about,
        String instructions,
        List<Said> links,
        List<Said> files,
        String zone) {

    static ThingPage of(
            ShownThing thing,
            Shown shown,
            SectionPages pages,
            PageWords words,
            SectionPages.Addresses addresses,
            String zone) {
        List<String> about = new ArrayList<>();
        ShownThing.About item = thing.about();
        if (item != null) {
            about.add(words.kind(item.kind()));
            if (item.points() != null) {
                about.add(pages.points(item.points()));
            }
            if (item.minutes() != null && item.minutes() > 0) {
                about.add(pages.work(item.minutes()));
            }
            about.add(pages.whom(item));
            about.add(handIn(item, words));
        }
        about.removeIf(String::isEmpty);
        return new ThingPage(
                words.language(),
                thing.title(),
                SectionPages.title(shown),
                addresses.home(),
                dates(thing, shown.now(), words),
                String.join("; ", about),
                Markdown.html(thing.instructions()),
                thing.links().stream()
                        .map(l -> new Said(l.title().isBlank() ? l.url() : l.title(), "", l.url(), ""))
                        .toList(),
                thing.files().stream()
                        .map(f -> new Said(f.name(), "", addresses.file(f.file()), ""))
                        .toList(),
                words.say("zone", zone));
    }

    private static List<String> dates(ShownThing thing, LocalDateTime now, PageWords words) {
        List<String> dates = new ArrayList<>();
        LocalDateTime opens = thing.at(Which.OPENS);
        LocalDateTime due = thing.at(Which.DUE);
        LocalDateTime closes = thing.at(Which.CLOSES);
        if (opens != null) {
            dates.add(words.say(thing.open() ? "open.since" : "opens.at", words.moment(opens)));
        }
        if (due != null) {
            dates.add(words.say("due.on", words.moment(due)));
        }
        if (closes != null) {
            dates.add(words.say(thing.shut(now) ? "closed" : "closes.at", words.moment(closes)));
        }
        if (thing.missed(now)) {
            dates.add(words.say("due.late"));
        }
        if (thing.own()) {
            dates.add(words.say("own"));
        }
        if (thing.handedIn()) {
            dates.add(words.say("handed.in"));
        }
        return dates;
    }

    private static String handIn(ShownThing.About item, PageWords words) {
        String how = item.handIn();
        String place = item.handInPlace();
        if (how.isEmpty() && place.isEmpty()) {
            return "";
        }
        String what = how.isEmpty() ? "" : words.say("hand.in." + how);
        return words.say("hand.in", what.isEmpty() || place.isEmpty() ? what + place : what + ", " + place);
    }
}
