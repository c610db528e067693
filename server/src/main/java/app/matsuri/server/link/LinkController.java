package app.matsuri.server.link;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.file.Csv;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.link.PublicLink.Kind;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.storage.Stored;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Links of a term: made, listed, handed out, withdrawn and made anew. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/links", produces = "application/json")
class LinkController {

    private final Access access;
    private final Links links;
    private final Letters letters;

    LinkController(Access access, Links links, Letters letters) {
        this.access = access;
        this.links = links;
        this.letters = letters;
    }

    /**
     * A link.
     *
     * @param kind "section", "student", "place", "run" or "own"
     * @param section code of the section; of a student the first of the course with that student
     * @param student the student's name, the place, or the days; empty for another kind
     * @param address what to open; empty while it is withdrawn
     */
    record LinkLine(
            long id,
            String kind,
            String section,
            String student,
            String address,
            LocalDate madeOn,
            @Nullable LocalDate lastUsedOn,
            @Nullable LocalDate withdrawnOn) {}

    /**
     * Of which section, and of which of its students; null for the section itself.
     *
     * @param place of one of the course's places in place of the section
     * @param own of everything of the term, for oneself
     * @param first of the classes of some days, for whoever takes them: the first of those days; null for another link
     * @param last the last of them
     * @param all of all courses of the term, and not of the section alone
     */
    record LinkForm(
            @NotNull String course,
            @NotNull String section,
            @Nullable String student,
            @Nullable String place,
            @Nullable Boolean own,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            @Nullable Boolean all) {}

    /** Of which section. */
    record SectionForm(@NotNull String course, @NotNull String section) {}

    /** How many links of students there are now, and how many of them were made. */
    record HandedOut(int links, int made, int withoutAddress) {}

    @Transactional(readOnly = true)
    @GetMapping
    List<LinkLine> all(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            HttpServletRequest request) {
        Stored stored = access.stands(by, termId);
        Course of = Find.course(stored.decisions(), course);
        return links.of(stored, access.workspace(termId), of).stream()
                .map(link -> line(link, stored, of, request))
                .toList();
    }

    private LinkLine line(PublicLink link, Stored stored, Course course, HttpServletRequest request) {
        String section = link.section == null ? "" : link.section;
        String name = link.firstDay != null && link.lastDay != null
                ? Say.days(link.firstDay, link.lastDay)
                : link.place == null ? "" : link.place;
        if (link.kind == Kind.STUDENT) {
            for (Section of : course.sections()) {
                for (Student student : of.students()) {
                    if (name.isEmpty() && Links.isOf(link, stored.termId(), course.code(), student)) {
                        name = student.name();
                        section = of.code();
                    }
                }
            }
        }
        return new LinkLine(
                link.id,
                link.kind.name().toLowerCase(Locale.ROOT),
                section,
                name,
                link.open() ? address(link, request) : "",
                link.madeOn,
                link.lastUsedOn,
                link.withdrawnOn);
    }

    private String address(PublicLink link, HttpServletRequest request) {
        return ServletUriComponentsBuilder.fromContextPath(request)
                .path("/see/" + links.token(link))
                .toUriString();
    }

    @Transactional
    @PostMapping(consumes = "application/json")
    public LinkLine make(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @Valid @RequestBody LinkForm form,
            HttpServletRequest request) {
        Stored stored = mayChange(by, termId);
        Course course = Find.course(stored.decisions(), form.course());
        Section section = Find.section(stored.decisions(), form.course(), form.section());
        long workspace = access.workspace(termId);
        return line(made(form, stored, workspace, course, section), stored, course, request);
    }

    private PublicLink made(LinkForm form, Stored stored, long workspace, Course course, Section section) {
        SectionRef ref = new SectionRef(course.code(), section.code());
        if (Boolean.TRUE.equals(form.own())) {
            return links.own(stored, workspace);
        }
        if (form.first() != null) {
            LocalDate last = form.last() == null ? form.first() : form.last();
            if (last.isBefore(form.first())) {
                throw new Problem(
                        HttpStatus.BAD_REQUEST,
                        "days-out-of-order",
                        "From when to when?",
                        "The last day lies before the first: choose a later one.");
            }
            return links.run(stored, workspace, Boolean.TRUE.equals(form.all()) ? null : ref, form.first(), last);
        }
        if (form.place() != null) {
            if (!Links.places(course).contains(form.place())) {
                throw new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-place",
                        "No such place",
                        "No section of " + course.code() + " meets in “" + form.place() + "”.");
            }
            return links.place(workspace, form.place());
        }
        return form.student() == null
                ? links.section(stored, workspace, ref)
                : links.student(stored, workspace, ref, student(section, form.student()));
    }

    /** The term for someone who may change it, as it stands. */
    private Stored mayChange(SignedIn by, long termId) {
        access.change(by, termId);
        return access.stands(by, termId);
    }

    private static Student student(Section section, String id) {
        return section.students().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-student",
                        "No such student",
                        "There is no such student on the roster of section " + section.code() + "."));
    }

    @Transactional
    @PostMapping("/{linkId}/withdrawal")
    public LinkLine withdraw(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long linkId,
            @RequestParam String course,
            HttpServletRequest request) {
        Stored stored = mayChange(by, termId);
        PublicLink link = links.withdraw(access.workspace(termId), linkId);
        return line(link, stored, Find.course(stored.decisions(), course), request);
    }

    @Transactional
    @PostMapping("/{linkId}/renewal")
    public LinkLine renew(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long linkId,
            @RequestParam String course,
            HttpServletRequest request) {
        Stored stored = mayChange(by, termId);
        PublicLink link = links.renew(access.workspace(termId), linkId);
        return line(link, stored, Find.course(stored.decisions(), course), request);
    }

    /** Withdraws every link of a course that shows something: those of its sections and of its students. */
    @Transactional
    @PostMapping("/withdrawal")
    public List<LinkLine> withdrawAll(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            HttpServletRequest request) {
        Stored stored = mayChange(by, termId);
        Course of = Find.course(stored.decisions(), course);
        long workspace = access.workspace(termId);
        return links.of(stored, workspace, of).stream()
                .map(link -> line(links.withdraw(workspace, link.id), stored, of, request))
                .toList();
    }

    /** Makes the links of a section's students that have none, and sends each theirs. */
    @Transactional
    @PostMapping(path = "/students", consumes = "application/json")
    public HandedOut handOut(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(defaultValue = "false") boolean mail,
            @Valid @RequestBody SectionForm form,
            HttpServletRequest request) {
        Stored stored = mayChange(by, termId);
        Section section = Find.section(stored.decisions(), form.course(), form.section());
        long workspace = access.workspace(termId);
        Course course = Find.course(stored.decisions(), form.course());
        int had = (int) links.of(stored, workspace, course).stream()
                .filter(link -> link.kind == Kind.STUDENT && link.open())
                .count();
        int without = 0;
        for (Student student : section.students()) {
            PublicLink link = links.student(stored, workspace, new SectionRef(course.code(), section.code()), student);
            String to = Person.mail(student);
            if (to.isEmpty()) {
                without++;
            } else if (mail) {
                letters.write(
                        workspace,
                        stored.decisions().term().zone(),
                        to,
                        "Your dates of " + course.code() + " " + course.title(),
                        "Dear " + student.name() + ",\n\nyour own page shows what is due in all your courses here, and"
                                + " follows every change:\n\n" + address(link, request)
                                + "\n\nIt is yours alone: do not pass it on.\n");
            }
        }
        int now = (int) links.of(stored, workspace, course).stream()
                .filter(link -> link.kind == Kind.STUDENT && link.open())
                .count();
        return new HandedOut(section.students().size(), now - had, without);
    }

    /** The links of a section's students as a table: name, address, link; empty where a student has none. */
    @Transactional(readOnly = true)
    @GetMapping(path = "/students.csv", produces = "text/csv")
    ResponseEntity<String> table(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam String section,
            HttpServletRequest request) {
        access.change(by, termId); // each line opens a student's own page
        Stored stored = access.stands(by, termId);
        Section of = Find.section(stored.decisions(), course, section);
        List<PublicLink> open =
                links.of(stored, access.workspace(termId), Find.course(stored.decisions(), course)).stream()
                        .filter(link -> link.kind == Kind.STUDENT && link.open())
                        .toList();
        List<String[]> rows = new ArrayList<>();
        for (Student student : of.students()) {
            String address = open.stream()
                    .filter(link -> Links.isOf(link, termId, course, student))
                    .findFirst()
                    .map(link -> address(link, request))
                    .orElse("");
            rows.add(new String[] {student.name(), student.mail(), address});
        }
        StringWriter out = new StringWriter();
        try (Csv csv = Csv.to(out)) {
            csv.row("name", "address", "link");
            rows.forEach(csv::row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return ResponseEntity.ok()
                .header("Content-Type", "text/csv; charset=utf-8")
                .header("Content-Disposition", "attachment; filename=\"links.csv\"")
                .body(out.toString());
    }
}
