package app.matsuri.server.page;

import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.shown.Shown;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
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

    private final Access access;
    private final Seeing seeing;

    Previews(Access access, Seeing seeing) {
        this.access = access;
        this.seeing = seeing;
    }

    /**
     * Where the page of a section is, as somebody sees it.
     *
     * @param student id of one of its students; null for the class
     */
    public static String address(long termId, SectionRef section, @Nullable String student) {
        String who = section.course() + "\n" + section.section() + (student == null ? "" : "\n" + student);
        return "/preview/" + termId + "/"
                + Base64.getUrlEncoder().withoutPadding().encodeToString(who.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * What is seen there.
     *
     * @throws NothingHere when there is no such section or student, or the person may not look at it
     */
    List<Seen> seen(@Nullable SignedIn by, String termId, String who) {
        if (by == null || !termId.matches("\\d{1,18}")) {
            throw new NothingHere();
        }
        String[] parts = parts(who);
        Stored stored = access.stands(by, Long.parseLong(termId));
        SectionRef section = new SectionRef(parts[0], parts[1]);
        Student student = parts.length < 3 ? null : student(stored, section, parts[2]);
        return seeing.seen(List.of(new Sees(stored, section, student)), "/preview/" + termId + "/" + who, false);
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
