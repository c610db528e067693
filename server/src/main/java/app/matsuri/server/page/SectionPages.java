package app.matsuri.server.page;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownDay;
import app.matsuri.core.shown.ShownFile;
import app.matsuri.core.shown.ShownMove;
import app.matsuri.core.shown.ShownNotice;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.core.shown.ShownThing.About;
import app.matsuri.core.shown.ShownUnit;
import app.matsuri.core.shown.ShownWeek;
import app.matsuri.server.page.SectionPage.Day;
import app.matsuri.server.page.SectionPage.Due;
import app.matsuri.server.page.SectionPage.Material;
import app.matsuri.server.page.SectionPage.Moved;
import app.matsuri.server.page.SectionPage.Part;
import app.matsuri.server.page.SectionPage.Said;
import app.matsuri.server.page.SectionPage.Session;
import app.matsuri.server.page.SectionPage.Thread;
import app.matsuri.server.page.SectionPage.Week;
import app.matsuri.server.page.SectionPage.WeekLink;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Says in words what a reader sees of a section. */
public final class SectionPages {

    /** How many that are still taken stand in the list; the rest are folded. */
    private static final int MISSED = 4;

    private final Shown shown;
    private final PageWords words;
    private final Addresses addresses;
    private final Map<String, Thread> threads = new HashMap<>();

    /**
     * @param addresses of what the page leads to
     * @param threads how the units of the course look, by their ids
     */
    SectionPages(Shown shown, PageWords words, Addresses addresses, Map<String, Thread> threads) {
        this.shown = shown;
        this.words = words;
        this.addresses = addresses;
        this.threads.putAll(threads);
    }

    /**
     * The page with a week on it.
     *
     * @param number of the week
     * @param whole whether every week of the term is on it
     */
    SectionPage page(String subtitle, String zone, int number, boolean whole) {
        int now = shown.currentWeek();
        ShownWeek week = shown.week(number).orElse(null);
        ShownWeek following = whole ? null : shown.week(number + 1).orElse(null);
        LocalDate today = shown.today();
        Day day = shown.week(now).stream()
                .flatMap(w -> w.days().stream())
                .filter(d -> d.date().equals(today))
                .findFirst()
                .map(this::day)
                .orElse(null);
        List<ShownThing> missed = shown.missed();
        return new SectionPage(
                words.language(),
                title(shown),
                subtitle,
                addresses.home(),
                shown.begun(),
                shown.weeks().stream().map(w -> link(w, number, whole)).toList(),
                shown.week(number - 1).map(w -> link(w, number, whole)).orElse(null),
                shown.week(number + 1).map(w -> link(w, number, whole)).orElse(null),
                day,
                shown.next()
                        .map(s -> words.say("next.session", timed(s, words.day(s.day()))))
                        .orElse(""),
                missed.stream().limit(MISSED).map(this::missed).toList(),
                missed.stream().skip(MISSED).map(this::missed).toList(),
                shown.toDo().stream().map(this::toDo).toList(),
                shown.later().stream().map(this::opensLater).toList(),
                shown.upTo() == null ? "" : words.say("later.untold", words.dayMonth(shown.upTo())),
                week == null ? null : week(week, now, whole),
                following == null ? null : week(following, now, true),
                shown.weeks().stream()
                        .filter(w -> w.number() > number + (whole ? 0 : 1) && !w.blank())
                        .map(w -> week(w, now, true))
                        .toList(),
                shown.moves().stream().map(this::moved).toList(),
                told(),
                shown.notices().stream()
                        .filter(n -> !n.last().isBefore(today))
                        .map(this::notice)
                        .toList(),
                shown.units().stream()
                        .filter(u -> !u.materials().isEmpty())
                        .map(this::unit)
                        .toList(),
                words.say("zone", zone),
                addresses.sheet(number));
    }

    /** How the units of a course are drawn, by their ids. */
    public static Map<String, Thread> threads(Course course) {
        Map<String, Thread> threads = new HashMap<>();
        List<app.matsuri.core.plan.Unit> units = course.units();
        for (int k = 0; k < units.size(); k++) {
            threads.put(
                    units.get(k).id(), thread(units.get(k).code(), units.get(k).colour(), k));
        }
        return threads;
    }

    /** "HYD 210 Reading Rivers, A". */
    static String title(Shown shown) {
        return shown.section().course() + " " + shown.title() + ", "
                + shown.section().section();
    }

    private WeekLink link(ShownWeek week, int number, boolean whole) {
        return new WeekLink(
                week.number(),
                addresses.week(week.number()),
                !whole && week.number() == number,
                words.say("week.number", week.number()));
    }

    private Week week(ShownWeek week, int now, boolean whole) {
        int ahead = week.number() - now;
        String title = ahead == 0
                ? words.say("week.this")
                : ahead == 1 ? words.say("week.next") : words.say("week.number", week.number());
        List<Day> gone = new ArrayList<>();
        List<Day> days = new ArrayList<>();
        for (ShownDay day : week.days()) {
            if (day.date().equals(shown.today()) && !whole) {
                continue; // it stands above the week
            }
            Day said = day(day);
            boolean over = ahead == 0 && day.date().isBefore(shown.today()) && !whole;
            boolean weekend = day.date().getDayOfWeek().getValue() > 5;
            if (!day.blank()) {
                (over ? gone : days).add(said);
            } else if (ahead == 0 && !weekend && !over && !whole) {
                days.add(said);
            }
        }
        return new Week(title + " · " + words.dayMonth(week.first()), week.headline(), week.targets(), gone, days);
    }

    private Day day(ShownDay day) {
        List<Said> lines = new ArrayList<>();
        for (ShownThing thing : day.due()) {
            LocalDateTime due = thing.at(Which.DUE);
            LocalDateTime closes = thing.at(Which.CLOSES);
            String key = due != null ? "due.at" : closes != null ? "closes.thing" : "opens.thing";
            lines.add(line(thing, words.say(key, words.time(thing.main()), "")));
        }
        day.opens().forEach(t -> lines.add(line(t, words.say("opens.thing", time(t, Which.OPENS), ""))));
        day.closes().forEach(t -> lines.add(line(t, words.say("closes.thing", time(t, Which.CLOSES), ""))));
        day.notices().forEach(n -> lines.add(new Said(n.title(), "", "", "")));
        return new Day(
                words.weekday(day.date()),
                Integer.toString(day.date().getDayOfMonth()),
                words.longDay(day.date()),
                day.date().equals(shown.today()),
                day.date().isBefore(shown.today()),
                day.off(),
                day.words(),
                day.sessions().stream().map(this::session).toList(),
                lines);
    }

    private String time(ShownThing thing, Which which) {
        LocalDateTime at = thing.at(which);
        return at == null ? "" : words.time(at);
    }

    private Said line(ShownThing thing, String words) {
        return new Said(thing.title(), words, addresses.thing(thing.ref()), "");
    }

    private Session session(ShownSession session) {
        return new Session(
                timed(session, ""),
                session.place(),
                session.link(),
                session.lessons().stream().map(this::part).toList(),
                session.added().stream().map(SectionPages::link).toList());
    }

    /** When a class is: "10:00 to 10:50", after its day where one is given. */
    private String timed(ShownSession session, String day) {
        LocalDateTime end = session.end();
        if (end == null || !session.timed()) {
            return day;
        }
        String span = words.say("span", words.time(session.start()), words.end(session.start(), end));
        return day.isEmpty() ? span : words.say("moment", day, span);
    }

    private Part part(ShownSession.Part part) {
        Thread thread = part.unit() == null ? null : threads.get(part.unit());
        return new Part(
                thread == null ? null : new Thread(thread.code() + part.number(), thread.look(), thread.paper()),
                part.title(),
                part.of() < 2 ? "" : words.say("class.part", part.part(), part.of()));
    }

    private static Said link(Link link) {
        return new Said(link.title().isBlank() ? link.url() : link.title(), "", link.url(), "");
    }

    private Due missed(ShownThing thing) {
        LocalDateTime closes = thing.at(Which.CLOSES);
        String late = words.say("due.late");
        return due(thing, closes == null ? late : late + " " + words.say("due.closes", words.moment(closes)));
    }

    private Due toDo(ShownThing thing) {
        LocalDateTime opens = thing.at(Which.OPENS);
        return due(thing, about(thing, opens == null ? "" : words.say("open.since", words.day(opens.toLocalDate()))));
    }

    private Due opensLater(ShownThing thing) {
        LocalDateTime opens = thing.at(Which.OPENS);
        return due(thing, about(thing, opens == null ? "" : words.say("opens.at", words.moment(opens))));
    }

    private Due due(ShownThing thing, String more) {
        return new Due(
                thing.title(),
                addresses.thing(thing.ref()),
                words.moment(thing.main(), shown.today()),
                more,
                shown.section().course());
    }

    /** A few words on a thing, parted by "; ". */
    private String about(ShownThing thing, String first) {
        List<String> about = new ArrayList<>();
        about.add(first);
        About item = thing.about();
        if (item != null) {
            Integer minutes = item.minutes();
            if (minutes != null && minutes > 0) {
                about.add(work(minutes));
            }
            BigDecimal points = item.points();
            if (points != null) {
                about.add(points(points));
            }
            about.add(whom(item));
        }
        if (thing.own()) {
            about.add(words.say("own"));
        }
        about.removeIf(String::isEmpty);
        return String.join("; ", about);
    }

    String work(int minutes) {
        return minutes % 60 == 0 && minutes > 60 ? words.say("hours", minutes / 60) : words.say("minutes", minutes);
    }

    String points(BigDecimal points) {
        return points.compareTo(BigDecimal.ONE) == 0
                ? words.say("points.one")
                : words.say("points", words.number(points));
    }

    /** Whom it is for; nothing for everybody. */
    String whom(About item) {
        List<String> whom = new ArrayList<>();
        if (!item.audience().equals(ItemDetails.ALL)) {
            whom.add(words.say("audience." + item.audience()));
        }
        if (!item.only().isEmpty()) {
            whom.add(words.say("only", String.join(", ", item.only())));
        }
        return String.join("; ", whom);
    }

    private Moved moved(ShownMove move) {
        return Moved.of(move, words);
    }

    private String told() {
        return shown.moves().stream()
                .map(ShownMove::at)
                .filter(at -> at != null)
                .findFirst()
                .map(at -> words.say("moved.told", words.dayMonth(at.toLocalDate())))
                .orElse("");
    }

    private SectionPage.Noted notice(ShownNotice notice) {
        String when = words.when(notice, shown.today().atStartOfDay());
        String place = notice.place();
        return new SectionPage.Noted(
                notice.title(),
                place.isEmpty() ? when : when + ", " + place,
                Markdown.html(notice.text()),
                attached(notice.links(), notice.files()));
    }

    private List<Said> attached(List<Link> links, List<ShownFile> files) {
        List<Said> all = new ArrayList<>();
        links.forEach(link -> all.add(link(link)));
        files.forEach(file -> all.add(file(file)));
        return all;
    }

    private SectionPage.Unit unit(ShownUnit unit) {
        Thread thread = thread(unit.code(), unit.colour(), unit.number());
        return new SectionPage.Unit(
                thread,
                unit.title(),
                unit.materials().stream()
                        .map(m -> new Material(m.title(), attached(m.links(), m.files())))
                        .toList());
    }

    private Said file(ShownFile file) {
        return new Said(file.name(), "", addresses.file(file.file()), "");
    }

    /** How a unit looks: the front end's {@code threadOf} names the same classes. */
    static Thread thread(String code, String named, int number) {
        int chosen = COLOURS.indexOf(named);
        int colour = chosen < 0 ? number % COLOURS.size() : chosen;
        int pattern = (number + number / 6) % 6;
        return new Thread(code, "c" + colour + " p" + pattern, named);
    }

    private static final List<String> COLOURS = List.of("moss", "blue", "ochre", "plum", "teal", "olive");

    /** What the page of a section leads to. */
    public interface Addresses {
        String home();

        String week(int number);

        String thing(app.matsuri.core.plan.ThingRef ref);

        String file(String file);

        String sheet(int week);
    }

    static @Nullable ShownThing find(Shown shown, String course, String id) {
        return shown.things().stream()
                .filter(t -> t.ref().course().equals(course) && t.ref().id().equals(id))
                .findFirst()
                .orElse(null);
    }
}
