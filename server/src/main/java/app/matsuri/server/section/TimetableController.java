package app.matsuri.server.section;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.SessionChange;
import app.matsuri.core.session.Sessions;
import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.calendar.TimetableReader;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The institution's timetable, read into sections, and read again for what differs. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class TimetableController {

    private final Access access;

    TimetableController(Access access) {
        this.access = access;
    }

    /** The institution's timetable as a file. */
    record TimetableGiven(@Nullable String name, byte[] content) {}

    /**
     * One section of a timetable.
     *
     * @param said its series and single changes in words
     * @param state "new", "changed" or "same" against what stands
     * @param classes how many classes it has in the term
     * @param change what takes it, as a change; null where it is the same
     */
    record TimetableGroup(
            String course,
            String title,
            String section,
            List<String> said,
            int classes,
            String state,
            @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/timetable/read", consumes = "application/json")
    List<TimetableGroup> timetable(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody TimetableGiven given) {
        Decisions decisions = access.look(by, termId).decisions();
        byte[] content = given.content() == null ? new byte[0] : given.content();
        Given file = new Given(given.name() == null ? "the file" : given.name(), content);
        if (file.kind() != Given.Kind.CALENDAR) {
            throw new Unreadable("“" + file.name() + "” is no calendar file. Export the timetable as .ics.");
        }
        CalendarReader.Reading reading =
                CalendarReader.read(file, decisions.term().zone());
        TeachingCalendar calendar = TeachingCalendar.of(decisions.term());
        return TimetableReader.read(reading.events(), decisions.term()).stream()
                .map(group -> group(group, decisions, calendar))
                .toList();
    }

    private static TimetableGroup group(TimetableReader.Group group, Decisions decisions, TeachingCalendar calendar) {
        Course course = decisions.course(group.course()).orElse(null);
        Section was = course == null ? null : course.section(group.section()).orElse(null);
        int usual = group.meets().isEmpty() ? 50 : group.meets().get(0).minutes();
        Section base = was != null ? was : Section.of(group.section(), Section.Pace.SESSIONS, group.meets());
        Section section = base.withMeets(group.meets()).withSessionChanges(group.changes());
        Sessions now = section.timetable(group.course()).sessions(calendar);
        boolean same = was != null
                && now.all()
                        .equals(was.timetable(group.course()).sessions(calendar).all());
        Change change = course == null
                ? new PutCourse(
                        null,
                        new Course(
                                group.course(),
                                group.title(),
                                null,
                                null,
                                usual,
                                Course.WEEK_LIMIT,
                                Course.DAY_LIMIT,
                                List.of(section),
                                List.of(),
                                Besides.NONE,
                                Extra.NONE))
                : new PutSection(group.course(), was == null ? null : was.code(), section);
        List<String> said =
                new ArrayList<>(group.meets().stream().map(MeetsSaid::say).toList());
        group.changes().forEach(c -> said.add(change(c)));
        return new TimetableGroup(
                group.course(),
                group.title(),
                group.section(),
                said,
                now.size(),
                was == null ? "new" : same ? "same" : "changed",
                same ? null : ChangeJson.write(change));
    }

    private static String change(SessionChange change) {
        return change.on(new SessionChange.Cases<>() {
            @Override
            public String cancel(SessionChange.Cancel cancel) {
                return "no class " + Say.moment(cancel.session());
            }

            @Override
            public String move(SessionChange.Move move) {
                return Say.moment(move.session()) + " moved to " + Say.moment(move.to());
            }

            @Override
            public String add(SessionChange.Add add) {
                return "once " + Say.moment(add.at());
            }
        });
    }
}
