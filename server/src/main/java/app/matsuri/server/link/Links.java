package app.matsuri.server.link;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.link.PublicLink.Kind;
import app.matsuri.server.settings.Tokens;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.storage.TermWritten;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Making links, finding what an address shows, withdrawing them and making them anew. */
@Component
public class Links {

    private final EntityManager entities;
    private final LinkKey key;
    private final TermStore store;
    private final Today today;
    private final LinkUses uses;

    Links(EntityManager entities, LinkKey key, TermStore store, Today today, LinkUses uses) {
        this.entities = entities;
        this.key = key;
        this.store = store;
        this.today = today;
        this.uses = uses;
    }

    private LocalDate day() {
        return today.in(ZoneOffset.UTC);
    }

    /** What an address shows, and that it was opened today; empty where it shows nothing, never or no longer. */
    @Transactional(readOnly = true)
    public Optional<PublicLink> opened(String token) {
        Optional<PublicLink> link = entities.createQuery(
                        "from PublicLink where hash = :h and withdrawnOn is null", PublicLink.class)
                .setParameter("h", Tokens.hash(token))
                .getResultStream()
                .findFirst();
        link.ifPresent(found -> uses.opened(found, day()));
        return link;
    }

    /** What the address of a link ends with. */
    public String token(PublicLink link) {
        return key.token(link);
    }

    /** The links that concern a course of a term, oldest first: those of its sections, and those of students on its rosters. */
    @Transactional
    public List<PublicLink> of(Stored stored, long workspaceId, Course course) {
        uses.write();
        return entities.createQuery("from PublicLink where workspaceId = :w order by id", PublicLink.class)
                .setParameter("w", workspaceId)
                .getResultStream()
                .filter(link -> switch (link.kind) {
                    case SECTION -> isOf(link, stored.termId(), course.code());
                    case PLACE -> places(course).contains(link.place);
                    case OWN -> link.termId != null && link.termId == stored.termId();
                    case RUN ->
                        link.termId != null
                                && link.termId == stored.termId()
                                && (link.course == null || course.code().equals(link.course));
                    case STUDENT ->
                        course.sections().stream()
                                .flatMap(section -> section.students().stream())
                                .anyMatch(student -> isOf(link, stored.termId(), course.code(), student));
                })
                .toList();
    }

    private static boolean isOf(PublicLink link, long termId, String course) {
        return link.termId != null && link.termId == termId && course.equals(link.course);
    }

    /** Whether a link is of somebody on a roster: of that very entry, or of the same person elsewhere. */
    static boolean isOf(PublicLink link, long termId, String course, Student student) {
        return isOf(link, termId, course) && student.id().equals(link.student)
                || Person.of(link).same(Person.of(student));
    }

    /** The link of a section; made where there is none that shows something. */
    @Transactional
    public PublicLink section(Stored stored, long workspaceId, SectionRef section) {
        return entities.createQuery(
                        "from PublicLink where termId = :t and kind = :k and course = :c and section = :s"
                                + " and withdrawnOn is null",
                        PublicLink.class)
                .setParameter("t", stored.termId())
                .setParameter("k", Kind.SECTION)
                .setParameter("c", section.course())
                .setParameter("s", section.section())
                .getResultStream()
                .findFirst()
                .orElseGet(() -> {
                    PublicLink link = new PublicLink();
                    link.kind = Kind.SECTION;
                    link.workspaceId = workspaceId;
                    link.termId = stored.termId();
                    link.course = section.course();
                    link.section = section.section();
                    return made(link);
                });
    }

    /** The places in which the sections of a course meet, in order. */
    static Set<String> places(Course course) {
        Set<String> places = new LinkedHashSet<>();
        course.sections().forEach(section -> section.meets().forEach(pattern -> places.add(pattern.place())));
        places.remove("");
        return places;
    }

    /** The link of a place; made where the workspace has none that shows something. */
    @Transactional
    public PublicLink place(long workspaceId, String place) {
        return entities.createQuery(
                        "from PublicLink where workspaceId = :w and kind = :k and place = :p and withdrawnOn is null",
                        PublicLink.class)
                .setParameter("w", workspaceId)
                .setParameter("k", Kind.PLACE)
                .setParameter("p", place)
                .getResultStream()
                .findFirst()
                .orElseGet(() -> {
                    PublicLink link = new PublicLink();
                    link.kind = Kind.PLACE;
                    link.workspaceId = workspaceId;
                    link.place = place;
                    return made(link);
                });
    }

    /** The link to everything of a term as it is planned, for who teaches it; made where there is none that shows something. */
    @Transactional
    public PublicLink own(Stored stored, long workspaceId) {
        return entities.createQuery(
                        "from PublicLink where termId = :t and kind = :k and withdrawnOn is null", PublicLink.class)
                .setParameter("t", stored.termId())
                .setParameter("k", Kind.OWN)
                .getResultStream()
                .findFirst()
                .orElseGet(() -> {
                    PublicLink link = new PublicLink();
                    link.kind = Kind.OWN;
                    link.workspaceId = workspaceId;
                    link.termId = stored.termId();
                    return made(link);
                });
    }

    /**
     * A link to the classes of some days, made anew for each who takes them.
     *
     * @param section null for every class of the term
     * @param first inclusive, as is the last
     */
    @Transactional
    public PublicLink run(
            Stored stored, long workspaceId, @Nullable SectionRef section, LocalDate first, LocalDate last) {
        PublicLink link = new PublicLink();
        link.kind = Kind.RUN;
        link.workspaceId = workspaceId;
        link.termId = stored.termId();
        link.course = section == null ? null : section.course();
        link.section = section == null ? null : section.section();
        link.firstDay = first;
        link.lastDay = last;
        return made(link);
    }

    /** The term of a link; empty where it is there no longer. */
    @Transactional(readOnly = true)
    public Optional<Stored> term(PublicLink link) {
        return terms(link).stream()
                .filter(stored -> link.termId != null && stored.termId() == link.termId)
                .findFirst();
    }

    private List<Sees> own(PublicLink link) {
        return terms(link).stream()
                .filter(stored -> link.termId != null && stored.termId() == link.termId)
                .flatMap(stored -> stored.decisions().courses().stream()
                        .flatMap(course -> course.sections().stream()
                                .map(section -> new Sees(stored, new SectionRef(course.code(), section.code()), null))))
                .toList();
    }

    /** When a place is taken, and by which section; nothing else of it. */
    public record Taken(LocalDateTime start, LocalDateTime end, ZoneId zone, SectionRef by) {}

    /** When the place of a link is taken, over all terms of the workspace, in order of time. */
    @Transactional(readOnly = true)
    public List<Taken> taken(PublicLink link) {
        List<Taken> taken = new ArrayList<>();
        for (Stored stored : terms(link)) {
            ZoneId zone = stored.decisions().term().zone();
            for (SectionSchedule in : Schedule.of(stored.decisions()).sections()) {
                in.sessions().all().stream()
                        .filter(session -> session.place().equals(link.place))
                        .forEach(s -> taken.add(new Taken(s.start(), s.end(), zone, in.ref())));
            }
        }
        taken.sort(Comparator.comparing(Taken::start));
        return taken;
    }

    /** The links of students in a workspace that show something, to find many by. */
    @Transactional(readOnly = true)
    public LinksOfStudents ofStudents(long workspaceId) {
        return new LinksOfStudents(entities.createQuery(
                        "from PublicLink where workspaceId = :w and kind = :k and withdrawnOn is null",
                        PublicLink.class)
                .setParameter("w", workspaceId)
                .setParameter("k", Kind.STUDENT)
                .getResultList());
    }

    /** The link of a student on a section's roster; made where there is none that shows something. */
    @Transactional
    public PublicLink student(Stored stored, long workspaceId, SectionRef section, Student student) {
        return ofStudents(workspaceId)
                .of(stored.termId(), section.course(), student)
                .orElseGet(() -> made(fresh(stored, workspaceId, section.course(), student)));
    }

    private static PublicLink fresh(Stored stored, long workspaceId, String course, Student student) {
        Person person = Person.of(student);
        PublicLink link = new PublicLink();
        link.kind = Kind.STUDENT;
        link.workspaceId = workspaceId;
        if (!person.known()) {
            link.termId = stored.termId();
            link.course = course;
            link.student = student.id();
        }
        link.rosterNumber = person.number();
        link.mail = person.mail();
        return link;
    }

    /** What the link of a student shows or would show. */
    @Transactional(readOnly = true)
    public List<Sees> ofStudent(Stored stored, long workspaceId, String course, Student student) {
        return student(fresh(stored, workspaceId, course, student));
    }

    /**
     * Makes links for students that came to a roster, where others of their section have one. Part of the transaction that writes the
     * roster.
     */
    @EventListener
    void rosters(TermWritten written) {
        for (Course course : written.after().decisions().courses()) {
            for (Section section : course.sections()) {
                Set<Student> was = written.before()
                        .decisions()
                        .course(course.code())
                        .flatMap(c -> c.section(section.code()))
                        .map(s -> Set.copyOf(s.students()))
                        .orElse(Set.of());
                List<Student> came = section.students().stream()
                        .filter(student -> !was.contains(student))
                        .toList();
                if (!came.isEmpty() && !was.isEmpty()) {
                    came(written.after(), new SectionRef(course.code(), section.code()), was, came);
                }
            }
        }
    }

    private void came(Stored stored, SectionRef section, Set<Student> was, List<Student> came) {
        long workspace = entities.createQuery("select workspaceId from TermRecord where id = :t", Long.class)
                .setParameter("t", stored.termId())
                .getSingleResult();
        LinksOfStudents links = ofStudents(workspace);
        boolean handedOut = was.stream()
                .anyMatch(student ->
                        links.of(stored.termId(), section.course(), student).isPresent());
        if (handedOut) {
            came.forEach(student -> student(stored, workspace, section, student));
        }
    }

    private PublicLink made(PublicLink link) {
        link.madeOn = day();
        entities.persist(link);
        entities.flush();
        link.hash = Tokens.hash(key.token(link));
        return link;
    }

    /**
     * The link of an id.
     *
     * @throws Problem when the workspace has none
     */
    @Transactional(readOnly = true)
    public PublicLink find(long workspaceId, long id) {
        PublicLink link = entities.find(PublicLink.class, id);
        if (link == null || link.workspaceId != workspaceId) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-such-link",
                    "No such link",
                    "There is no such link. Look at the list again.");
        }
        return link;
    }

    /** Withdraws a link at once: its address shows nothing from now on. */
    @Transactional
    public PublicLink withdraw(long workspaceId, long id) {
        PublicLink link = find(workspaceId, id);
        if (link.open()) {
            link.withdrawnOn = day();
        }
        return link;
    }

    /** Makes a link anew: it shows the same at another address, and nothing at the one it had. */
    @Transactional
    public PublicLink renew(long workspaceId, long id) {
        PublicLink link = find(workspaceId, id);
        link.generation++;
        link.hash = Tokens.hash(key.token(link));
        link.madeOn = day();
        link.withdrawnOn = null;
        link.lastUsedOn = null;
        return link;
    }

    /** The hosts whose pages may show those of a link in a frame, parted by spaces. */
    @Transactional(readOnly = true)
    public String framedBy(PublicLink link) {
        return entities.createQuery("select framedBy from Workspace where id = :w", String.class)
                .setParameter("w", link.workspaceId)
                .getSingleResult();
    }

    /** A section whose told dates a link shows, and as whom. */
    public record Sees(
            Stored stored, SectionRef section, @Nullable Student student) {}

    /**
     * What a link shows: its section, or every section with the student on its roster in the terms of the workspace that are not over for
     * more than four weeks, or where all are, in the last of them.
     */
    @Transactional(readOnly = true)
    public List<Sees> sees(PublicLink link) {
        return switch (link.kind) {
            case SECTION -> section(link).stream().toList();
            case STUDENT -> student(link);
            case OWN -> own(link);
            case PLACE, RUN -> List.of();
        };
    }

    private Optional<Sees> section(PublicLink link) {
        String course = link.course;
        String section = link.section;
        if (course == null || section == null) {
            return Optional.empty();
        }
        return terms(link).stream()
                .filter(stored -> link.termId != null && stored.termId() == link.termId)
                .filter(stored -> stored.decisions()
                        .course(course)
                        .flatMap(c -> c.section(section))
                        .isPresent())
                .map(stored -> new Sees(stored, new SectionRef(course, section), null))
                .findFirst();
    }

    private List<Stored> terms(PublicLink link) {
        return store.all(link.workspaceId);
    }

    private List<Sees> student(PublicLink link) {
        List<Sees> all = new ArrayList<>();
        for (Stored stored : terms(link)) {
            for (Course course : stored.decisions().courses()) {
                course.sections()
                        .forEach(section -> section.students().stream()
                                .filter(student -> isOf(link, stored.termId(), course.code(), student))
                                .findFirst()
                                .ifPresent(student -> all.add(
                                        new Sees(stored, new SectionRef(course.code(), section.code()), student))));
            }
        }
        List<Sees> current = all.stream()
                .filter(s -> !s.stored().decisions().term().last().plusWeeks(4).isBefore(day()))
                .toList();
        LocalDate last = all.stream()
                .map(s -> s.stored().decisions().term().last())
                .max(LocalDate::compareTo)
                .orElse(day());
        return current.isEmpty()
                ? all.stream()
                        .filter(s -> s.stored().decisions().term().last().equals(last))
                        .toList()
                : current;
    }
}
