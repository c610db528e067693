package app.matsuri.server.reminder;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.shown.Reader;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownMove;
import app.matsuri.server.change.ChangeService.DigestWanted;
import app.matsuri.server.clock.Today;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.LinksOfStudents;
import app.matsuri.server.link.Person;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Readers;
import app.matsuri.server.page.SectionPage.Moved;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.reminder.MailPage.Line;
import app.matsuri.server.reminder.ReminderLetters.To;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Letters of what moved, with a telling: from when, to when, and why; one for each student over all courses that were told. */
@Component
class Digests {

    private final Readers readers;
    private final Links links;
    private final Refusals refusals;
    private final ReminderLetters words;
    private final Letters letters;
    private final Today today;
    private final Clock clock;
    private final EntityManager entities;

    Digests(
            Readers readers,
            Links links,
            Refusals refusals,
            ReminderLetters words,
            Letters letters,
            Today today,
            Clock clock,
            EntityManager entities) {
        this.readers = readers;
        this.links = links;
        this.refusals = refusals;
        this.words = words;
        this.letters = letters;
        this.today = today;
        this.clock = clock;
        this.entities = entities;
    }

    /** One who is written to, and of what. */
    private record Digest(To to, Course course, List<Line> lines) {}

    /** Part of the transaction that tells: where that is not made, no letter is written. */
    @EventListener
    void told(DigestWanted wanted) {
        Stored after = wanted.after();
        long workspace = entities.createQuery("select workspaceId from TermRecord where id = :t", Long.class)
                .setParameter("t", after.termId())
                .getSingleResult();
        Set<String> refused = refusals.of(workspace);
        LinksOfStudents pages = links.ofStudents(workspace);
        Map<String, Digest> digests = new LinkedHashMap<>();
        ZonedDateTime moment =
                Instant.now(clock).atZone(after.decisions().term().zone());
        Schedule schedule = readers.schedule(after);
        for (SectionSchedule in : schedule.sections()) {
            if (tellings(wanted.before(), in.ref())
                    < in.section().told().tellings().size()) {
                section(schedule, in, after, workspace, pages, digests);
            }
        }
        digests.values().stream()
                .filter(d -> !d.lines().isEmpty() && !refused.contains(Refusals.plain(d.to().mail())))
                .forEach(d -> write(d, moment));
    }

    private void write(Digest digest, ZonedDateTime moment) {
        PageWords said = words.words(digest.course());
        letters.write(words.letter(
                digest.to(),
                said,
                said.say("mail.moved.subject", digest.course().code()),
                said.say("mail.moved"),
                digest.lines(),
                moment));
    }

    private static int tellings(Stored before, SectionRef section) {
        return before.decisions()
                .course(section.course())
                .flatMap(c -> c.section(section.section()))
                .map(s -> s.told().tellings().size())
                .orElse(0);
    }

    private void section(
            Schedule schedule,
            SectionSchedule in,
            Stored after,
            long workspace,
            LinksOfStudents pages,
            Map<String, Digest> digests) {
        Section section = in.section();
        LocalDateTime now = today.now(after.decisions().term().zone());
        Shown shown = Shown.of(schedule, in, Reader.CLASS, now);
        PageWords said = words.words(in.course());
        for (Student student : section.students()) {
            String mail = Person.mail(student);
            if (mail.isBlank()) {
                continue;
            }
            Set<String> own = section.adjustments().stream()
                    .filter(a -> student.id().equals(a.student()))
                    .map(Adjustment::item)
                    .collect(Collectors.toSet());
            String page = pages.of(after.termId(), in.course().code(), student)
                    .map(link -> letters.address() + Seeing.base(links.token(link)))
                    .orElse("");
            digests.computeIfAbsent(
                            Refusals.plain(mail),
                            m -> new Digest(
                                    new To(workspace, student.name(), mail, page), in.course(), new ArrayList<>()))
                    .lines()
                    .addAll(moves(shown).stream()
                            .filter(move -> !own.contains(move.key()))
                            .map(move -> line(in.course().code(), Moved.of(move, said), said))
                            .toList());
        }
    }

    /** What the newest telling moved. */
    private static List<ShownMove> moves(Shown shown) {
        return shown.moves().stream()
                .filter(move -> Objects.equals(move.at(), shown.told()) && move.from() != null)
                .toList();
    }

    private static Line line(String course, Moved moved, PageWords words) {
        String when =
                moved.gone().isEmpty() ? words.say("moved.to", moved.title(), moved.from(), moved.to()) : moved.gone();
        return new Line(words.say("feed.entry", course, moved.title()), when, moved.why(), "");
    }
}
