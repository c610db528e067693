package app.matsuri.server.page;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Publishing;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.Links.Sees;
import app.matsuri.server.link.Links.Taken;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.link.PublicLink.Kind;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** What a link shows now, section by section, and in which words. */
@Component
public class Seeing {

    private final Links links;
    private final Readers readers;
    private final MessageSource messages;

    Seeing(Links links, Readers readers, MessageSource messages) {
        this.links = links;
        this.readers = readers;
        this.messages = messages;
    }

    /**
     * What one section of a link shows.
     *
     * @param base where the pages are
     * @param one whether there is no other section
     */
    public record Seen(String base, Sees sees, Shown shown, boolean one, SectionPages.Addresses addresses) {

        Seen(String base, Sees sees, Shown shown, boolean one) {
            this(
                    base,
                    sees,
                    shown,
                    one,
                    new OnTheServer(base, base + "/", one ? "" : "of=" + encoded(key(sees)) + "&"));
        }

        /** The same with addresses that are read from where its pages are. */
        Seen fromThere() {
            return within(new OnTheServer("", "", one ? "" : "of=" + encoded(key(sees)) + "&"));
        }

        /** The same with its pages elsewhere. */
        Seen within(SectionPages.Addresses others) {
            return new Seen(base, sees, shown, one, others);
        }

        /** The section, as an address names it. */
        public String key() {
            return key(sees);
        }

        private static String key(Sees sees) {
            return sees.stored().termId() + "/" + sees.section();
        }

        /** The page of the section, so that more can be asked for behind it. */
        public String home() {
            return addresses.home();
        }

        /** Where a thing stands. */
        public String thing(ThingRef ref) {
            return addresses.thing(ref);
        }

        Course course() {
            return sees.stored().decisions().course(sees.section().course()).orElseThrow();
        }

        /** Of what its course reminds. */
        public List<Reminder> reminders() {
            return course().besides().reminders();
        }

        /** Private notes of a class, for who teaches: those of its lessons, and the words on its day. */
        public List<String> notes(ShownSession session) {
            Course course = course();
            Stream<String> lessons = session.lessons().stream()
                    .flatMap(part -> course.lesson(part.lesson()).stream())
                    .map(Lesson::notes);
            Stream<String> day = course.besides().dayNotes().stream()
                    .filter(note -> note.date().equals(session.day())
                            && note.concerns(sees.section().section()))
                    .map(DayNote::text);
            return Stream.concat(lessons, day).filter(text -> !text.isBlank()).toList();
        }

        public ZoneId zone() {
            return sees.stored().decisions().term().zone();
        }
    }

    /**
     * The addresses of pages that this server answers.
     *
     * @param base of the first page
     * @param below of those behind it
     * @param of which section, so that more can be asked for behind it; empty for the only one
     */
    private record OnTheServer(String base, String below, String of) implements SectionPages.Addresses {

        @Override
        public String home() {
            return base + "?" + of;
        }

        @Override
        public String week(int number) {
            return home() + "week=" + number;
        }

        @Override
        public String thing(ThingRef ref) {
            return below + "thing?" + of + "course=" + encoded(ref.course()) + "&id=" + encoded(ref.id());
        }

        @Override
        public String file(String file) {
            return below + "files/" + encoded(file) + (of.isEmpty() ? "" : "?" + of);
        }

        @Override
        public String sheet(int week) {
            return below + "sheet?" + of + "week=" + week;
        }
    }

    /** A text as one part of an address. */
    public static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /**
     * Opens a link.
     *
     * @throws NothingHere when its address shows nothing, never or no longer
     */
    public PublicLink open(String token) {
        return links.opened(token).orElseThrow(NothingHere::new);
    }

    /** Says in the answer whose pages may show that of a link in a frame. */
    public void framed(PublicLink link, HttpServletResponse response) {
        response.setHeader(PublicSecurity.POLICY_HEADER, PublicSecurity.policy(links.framedBy(link)));
    }

    /**
     * What a link shows, at least one section.
     *
     * @throws NothingHere when it shows nothing any more
     */
    public List<Seen> seen(PublicLink link, String token) {
        return seen(links.sees(link), base(token), link.kind == Kind.OWN);
    }

    /** Where the pages of a link are. */
    public static String base(String token) {
        return "/see/" + token;
    }

    /** The sections that a link shows, without what it shows of them. */
    public List<Sees> sees(PublicLink link) {
        return links.sees(link);
    }

    /**
     * What is shown of the sections of a link, at least one.
     *
     * @param own whether it is shown to who teaches, as it is planned
     * @throws NothingHere when it shows nothing any more
     */
    public List<Seen> seen(List<Sees> sees, String base, boolean own) {
        List<Seen> seen = new ArrayList<>();
        for (Sees one : sees) {
            readers.shown(one, own).ifPresent(shown -> seen.add(new Seen(base, one, shown, sees.size() == 1)));
        }
        if (seen.isEmpty()) {
            throw new NothingHere();
        }
        return seen;
    }

    /**
     * The one section that is asked for; the only one where a link has no other; empty where it has and none is asked for.
     *
     * @throws NothingHere when it is none of them
     */
    static Optional<Seen> asked(List<Seen> seen, @Nullable String of) {
        if (of == null) {
            return seen.size() == 1 ? Optional.of(seen.get(0)) : Optional.empty();
        }
        return Optional.of(
                seen.stream().filter(s -> of.equals(s.key())).findFirst().orElseThrow(NothingHere::new));
    }

    /** When the place of a link is taken. */
    public List<Taken> taken(PublicLink link) {
        return links.taken(link);
    }

    /** From here on, what this request is answered with is in the language of the words. */
    public void speak(PageWords words) {
        PageLocale.set(words.locale());
    }

    /** The words of whoever reads a page that is of no course. */
    public PageWords words(Locale locale) {
        return new PageWords(messages, locale, false);
    }

    /** The words of the section's course. */
    public PageWords words(Seen seen) {
        return words(seen.course().besides().publishing());
    }

    /** The words of a course that is shown so. */
    public PageWords words(Publishing publishing) {
        return new PageWords(messages, Locale.forLanguageTag(publishing.language()), publishing.twelveHours());
    }
}
