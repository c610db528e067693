package app.matsuri.server.courses;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Display;
import app.matsuri.server.account.Preferences;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ViewPart.Asked;
import app.matsuri.server.clock.Today;
import app.matsuri.server.courses.CoursesView.CourseLine;
import app.matsuri.server.courses.CoursesView.CourseWeek;
import app.matsuri.server.page.Readers;
import app.matsuri.server.storage.Stored;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** All courses of a person at once: their own terms that are not put away, and those that are shared with them. */
@RestController
class CoursesController {

    private final Access access;
    private final Accounts accounts;
    private final Readers readers;
    private final Courses courses;
    private final Today today;

    CoursesController(Access access, Accounts accounts, Readers readers, Courses courses, Today today) {
        this.access = access;
        this.accounts = accounts;
        this.readers = readers;
        this.courses = courses;
        this.today = today;
    }

    /** A section with the term it is of. */
    private record Of(Access.Seen seen, SectionSchedule in) {

        Stored stored() {
            return seen.stored();
        }

        String key() {
            return Courses.key(stored().termId(), in);
        }
    }

    /** All courses; of the terms that are over those are laid out of which the person has something shown. */
    @GetMapping(path = "/api/courses", produces = "application/json")
    CoursesView courses(@AuthenticationPrincipal SignedIn by) {
        Preferences preferences = accounts.preferences(by);
        List<Access.Seen> seen = access.all(by);
        LocalDate day =
                seen.isEmpty() ? today.in(ZoneOffset.UTC) : now(seen.get(0).stored());
        List<Of> sections = new ArrayList<>();
        seen.forEach(one -> readers.schedule(one.stored()).sections().forEach(in -> sections.add(new Of(one, in))));
        Set<Long> laid = laid(sections, preferences.display());
        List<TermLanes> terms = seen.stream()
                .map(Access.Seen::stored)
                .filter(term -> laid.contains(term.termId()))
                .map(term -> courses.part(asked(term)))
                .toList();
        Groups groups = new Groups();
        sections.stream()
                .filter(one -> laid.contains(one.stored().termId()))
                .forEach(one -> groups.add(one.key(), one.in().section().students()));
        DayOfWeek begins = DayOfWeek.of(preferences.weekStart().equals("SU") ? 7 : 1);
        List<DayOfWeek> columns = columns(terms, begins);
        return new CoursesView(
                day,
                columns.stream().map(DayOfWeek::getValue).toList(),
                weeks(terms, begins, columns),
                lines(sections),
                terms,
                groups.groups());
    }

    /** The terms that are laid out. */
    private Set<Long> laid(List<Of> sections, @Nullable Display display) {
        Set<String> shown = display == null ? Set.of() : Set.copyOf(display.shownCourses());
        return sections.stream()
                .filter(one -> !over(one.stored()) || shown.contains(one.key()))
                .map(one -> one.stored().termId())
                .collect(Collectors.toSet());
    }

    /** The sections of one term. */
    @GetMapping(path = "/api/terms/{termId}/courses", produces = "application/json")
    TermLanes term(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return courses.part(asked(access.stands(by, termId)));
    }

    private Asked asked(Stored stored) {
        Schedule schedule = readers.schedule(stored);
        return new Asked(stored, stored.decisions(), schedule, null, null, null);
    }

    private LocalDate now(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }

    private boolean over(Stored stored) {
        return stored.decisions().term().last().isBefore(now(stored));
    }

    private List<CourseLine> lines(List<Of> sections) {
        List<String> letters =
                Letters.of(sections.stream().map(one -> one.in().ref()).toList());
        return IntStream.range(0, sections.size())
                .mapToObj(n -> line(sections.get(n), letters.get(n)))
                .toList();
    }

    private CourseLine line(Of one, String letter) {
        SectionRef ref = one.in().ref();
        var term = one.stored().decisions().term();
        return new CourseLine(
                one.key(),
                one.stored().termId(),
                term.name(),
                term.first(),
                term.last(),
                ref.course(),
                one.in().course().title(),
                ref.section(),
                letter,
                meets(one.in().section()),
                over(one.stored()),
                one.seen().role());
    }

    private static String meets(Section section) {
        return section.beat() != null || section.meets().isEmpty()
                ? "no classes"
                : section.meets().stream()
                        .map(p -> MeetsSaid.days(p) + " " + Say.time(p.start()))
                        .collect(Collectors.joining("; "));
    }

    /** The weekdays on which anything stands, and those from Monday to Friday. */
    private static List<DayOfWeek> columns(List<TermLanes> terms, DayOfWeek begins) {
        Set<DayOfWeek> shown = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
        for (TermLanes term : terms) {
            term.lanes().stream()
                    .flatMap(lane -> lane.days().stream())
                    .filter(d -> !d.sessions().isEmpty()
                            || !d.items().isEmpty()
                            || !d.notices().isEmpty())
                    .forEach(d -> shown.add(d.date().getDayOfWeek()));
        }
        return IntStream.range(0, 7)
                .mapToObj(begins::plus)
                .filter(shown::contains)
                .toList();
    }

    /** The weeks of all terms, each once; where no term runs there is none. */
    private static List<CourseWeek> weeks(List<TermLanes> terms, DayOfWeek begins, List<DayOfWeek> columns) {
        return terms.stream()
                .flatMap(term -> term.first()
                        .with(TemporalAdjusters.previousOrSame(begins))
                        .datesUntil(term.last().plusDays(1), Period.ofWeeks(1)))
                .distinct()
                .sorted()
                .map(first -> new CourseWeek(
                        first,
                        first.plusDays(6),
                        columns.stream()
                                .map(c -> first.with(TemporalAdjusters.nextOrSame(c)))
                                .toList()))
                .toList();
    }
}
