package app.matsuri.server.page;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Told;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.shown.Shown;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.Links.Sees;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.storage.Stored;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Pages as the class or a student sees them, for whoever may look at the term. */
@Component
public class Previews {

    private static final String TOLD = "told";

    private final Access access;
    private final Seeing seeing;
    private final Readers readers;
    private final Links links;
    private final Today today;

    Previews(Access access, Seeing seeing, Readers readers, Links links, Today today) {
        this.access = access;
        this.seeing = seeing;
        this.readers = readers;
        this.links = links;
        this.today = today;
    }

    /**
     * Where the page of a section is, as somebody sees it.
     *
     * @param student id of one of its students; null for the class
     * @param told as it would be if they were told now what is planned
     */
    public static String address(long termId, SectionRef section, @Nullable String student, boolean told) {
        String who = section.course() + "\n" + section.section() + "\n" + (student == null ? "" : student)
                + (told ? "\n" + TOLD : "");
        return "/preview/" + termId + "/"
                + Base64.getUrlEncoder().withoutPadding().encodeToString(who.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * What is seen there.
     *
     * @throws NothingHere when there is no such section or student, or the person may not look at it
     */
    public List<Seen> seen(@Nullable SignedIn by, String termId, String who) {
        if (by == null || !termId.matches("\\d{1,18}")) {
            throw new NothingHere();
        }
        String[] parts = parts(who);
        Stored stored = access.stands(by, Long.parseLong(termId));
        SectionRef section = new SectionRef(parts[0], parts[1]);
        Student student = parts.length < 3 || parts[2].isEmpty() ? null : student(stored, section, parts[2]);
        String base = "/preview/" + termId + "/" + who;
        Sees asked = new Sees(stored, section, student);
        if (parts.length > 3 && parts[3].equals(TOLD)) {
            return List.of(new Seen(base, asked, told(asked), true));
        }
        long workspace = access.workspace(stored.termId());
        // whoever teaches with others sees their term alone, and no other of their workspace
        return student == null || workspace != by.workspaceId()
                ? seeing.seen(List.of(asked), base, false)
                : seeing.seen(links.ofStudent(stored, workspace, section.course(), student), base, false);
    }

    /** What would be seen if all that was told up to some day were told again now as it is planned. */
    private Shown told(Sees asked) {
        Decisions decisions = asked.stored().decisions();
        LocalDateTime now = today.now(decisions.term().zone());
        SectionRef section = asked.section();
        Told was = Find.section(decisions, section.course(), section.section()).told();
        Tell tell = new Tell(section.course(), section.section(), was.begun() ? was.upTo() : null, "", now);
        Decisions after;
        try {
            after = Change.make(tell, decisions).decisions();
        } catch (Refused e) {
            after = decisions; // they were told all of it
        }
        Schedule schedule = Schedule.of(after);
        SectionSchedule in = Find.section(schedule, section.course(), section.section());
        return Shown.of(schedule, in, readers.reader(asked, in), now);
    }

    /** Every section of the course as it is planned, for who teaches it. */
    List<Seen> planned(Seen of) {
        Stored stored = of.sees().stored();
        Schedule schedule = Schedule.of(stored.decisions());
        LocalDateTime now = of.shown().now();
        return schedule.sections(of.sees().section().course()).stream()
                .map(in ->
                        new Seen(of.base(), new Sees(stored, in.ref(), null), Shown.planned(schedule, in, now), true))
                .toList();
    }

    private static String[] parts(String who) {
        try {
            String[] parts = new String(Base64.getUrlDecoder().decode(who), StandardCharsets.UTF_8).split("\n");
            if (parts.length > 1) {
                return parts;
            }
        } catch (IllegalArgumentException e) {
            throw new NothingHere(e);
        }
        throw new NothingHere();
    }

    private static Student student(Stored stored, SectionRef section, String id) {
        return stored.decisions()
                .course(section.course())
                .flatMap(c -> c.section(section.section()))
                .flatMap(s ->
                        s.students().stream().filter(one -> one.id().equals(id)).findFirst())
                .orElseThrow(NothingHere::new);
    }
}
