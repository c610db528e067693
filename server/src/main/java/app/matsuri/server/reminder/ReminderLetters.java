package app.matsuri.server.reminder;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.reminding.Reminding;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.reminder.MailPage.Line;
import app.matsuri.server.reminder.Refusals.Reader;
import app.matsuri.server.reminder.ReminderPlans.Planned;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Letters in words: as a page, and the same as plain words. */
@Component
class ReminderLetters {

    /** What stands for the reader's name and addresses, so that a letter is put into words once for all who get the same. */
    private static final String NAME = "/-name-";

    private static final String HERE = "http://-here-";
    private static final String STOP = "http://-stop-";

    /** A letter as a page, and in plain words. */
    private record Written(String html, String body) {}

    private final Cache<MailPage, Written> known =
            Caffeine.newBuilder().maximumSize(200).build();

    private final ITemplateEngine templates;
    private final Seeing seeing;
    private final Letters letters;
    private final Refusals refusals;

    ReminderLetters(ITemplateEngine templates, Seeing seeing, Letters letters, Refusals refusals) {
        this.templates = templates;
        this.seeing = seeing;
        this.letters = letters;
        this.refusals = refusals;
    }

    /**
     * Who a letter goes to.
     *
     * @param page where their own page is, with the host; empty for none
     */
    record To(long workspaceId, String name, String mail, String page) {}

    /** A letter that reminds of one or more things at one moment. */
    Letter remind(To to, List<Planned> of) {
        PageWords words = words(of.get(0).course());
        List<Line> lines = of.stream()
                .map(one -> line(words, one, to.page().isEmpty() ? "" : HERE))
                .toList();
        String subject = lines.size() == 1
                ? lines.get(0).title() + ": " + lines.get(0).when()
                : words.say("mail.remind.subject", lines.size());
        return letter(
                to,
                words,
                subject,
                words.say("mail.remind"),
                lines,
                of.get(0).at().atZone(of.get(0).zone()));
    }

    private static Line line(PageWords words, Planned one, String page) {
        Reminding reminding = one.reminding();
        String course = reminding.section().course();
        String when = words.moment(reminding.date());
        String said = switch (reminding.reminder().before()) {
            case OPENS -> words.say("opens.at", when);
            case DUE -> words.say("due.on", when);
            case CLOSES -> words.say("closes.at", when);
            case SESSION, BOOKING -> when;
        };
        ThingRef thing = reminding.thing();
        String title = thing == null && reminding.title().isEmpty() ? words.say("feed.class") : reminding.title();
        String address = page.isEmpty()
                ? ""
                : !reminding.booking().isEmpty()
                        ? page + "/hours"
                        : thing == null
                                ? ""
                                : page + "/thing?of="
                                        + Seeing.encoded(one.stored().termId() + "/" + reminding.section()) + "&course="
                                        + Seeing.encoded(thing.course()) + "&id=" + Seeing.encoded(thing.id());
        return new Line(words.say("feed.entry", course, title), said, "", address);
    }

    PageWords words(Course course) {
        return seeing.words(course.besides().publishing());
    }

    /** A letter with some lines, at a moment. */
    Letter letter(To to, PageWords words, String subject, String intro, List<Line> lines, ZonedDateTime moment) {
        String stop = letters.address() + "/reminders/" + refusals.token(new Reader(to.workspaceId(), to.mail()));
        MailPage page = new MailPage(
                words.language(),
                subject,
                words.say("mail.hello", NAME),
                intro,
                lines,
                to.page().isEmpty() ? "" : HERE,
                STOP);
        Written written = known.get(page, p -> write(p, words.locale()));
        Letter letter = new Letter();
        letter.workspaceId = to.workspaceId();
        letter.recipient = to.mail();
        letter.subject = subject;
        letter.html = own(written.html(), to, stop, HtmlUtils.htmlEscape(to.name()));
        letter.body = own(written.body(), to, stop, to.name());
        letter.stopAddress = stop;
        letter.moment = moment.toInstant();
        letter.zone = moment.getZone().getId();
        return letter;
    }

    private Written write(MailPage page, Locale locale) {
        String html = templates.process("mail", new Context(locale, Map.of("page", page)));
        return new Written(html, plain(html));
    }

    /** The addresses first: a name may look like one of what stands for them. */
    private static String own(String text, To to, String stop, String name) {
        return text.replace(HERE, to.page()).replace(STOP, stop).replace(NAME, name);
    }

    /** The words of a page, a paragraph a line, each link with its address behind it. */
    static String plain(String html) {
        List<String> lines = new ArrayList<>();
        for (Element paragraph : Jsoup.parse(html).select("p")) {
            for (Element link : paragraph.select("a")) {
                link.after(new TextNode(" <" + link.attr("href") + ">"));
            }
            lines.add(paragraph.wholeText().strip());
        }
        return lines.stream().filter(line -> !line.isEmpty()).collect(Collectors.joining("\n\n", "", "\n"));
    }
}
