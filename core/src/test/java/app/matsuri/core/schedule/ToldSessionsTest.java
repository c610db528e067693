package app.matsuri.core.schedule;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What students know of sessions is what they were told of them. */
class ToldSessionsTest {

    private static final String HYD = "HYD 210";
    private static final Change FLOOD =
            new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather"));

    private final Decisions plan = plan(sectionA(), unit(6));
    private final Decisions told = make(plan, tell(null));

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static Decisions seen(Decisions before, Change change) {
        return Proposal.of(before, change, true).after();
    }

    private static Tell tell(LocalDate upTo) {
        return new Tell(HYD, "A", upTo, "", at("2026-09-01T08:00"));
    }

    private static Section section(Decisions in) {
        return in.course(HYD).orElseThrow().section("A").orElseThrow();
    }

    private static Map<LocalDateTime, ToldSession> sessions(Decisions in) {
        return section(in).told().sessions();
    }

    private static List<String> lessons(Decisions in, String session) {
        return sessions(in).get(at(session)).lessons().stream()
                .map(ToldSession.OfLesson::id)
                .toList();
    }

    /** The same section meeting in another room. */
    private static Change inRoom(Decisions in, String place) {
        List<MeetingPattern> meets = section(in).meets().stream()
                .map(m -> new MeetingPattern(
                        m.rule(), m.letters(), m.start(), m.minutes(), place, m.link(), m.from(), m.until(), m.extra()))
                .toList();
        return new PutSection(HYD, "A", section(in).withMeets(meets));
    }

    @Test
    void aTellingTellsWhenAndWhereSessionsAreAndTheirLessons() {
        assertThat(sessions(plan)).isEmpty();
        ToldSession first = sessions(told).get(at("2026-08-31T10:00"));
        assertThat(first.start()).isEqualTo(at("2026-08-31T10:00"));
        assertThat(first.end()).isEqualTo(at("2026-08-31T10:50"));
        assertThat(lessons(told, "2026-09-09T10:00")).containsExactly("L4");
        assertThat(sessions(told)).hasSameSizeAs(schedule(told).sessions().all());
        assertThat(sessions(make(plan, tell(day("2026-09-04")))).keySet())
                .as("up to a day")
                .containsExactly(at("2026-08-31T10:00"), at("2026-09-02T10:00"), at("2026-09-04T10:00"));
    }

    private static SectionSchedule schedule(Decisions in) {
        return Schedule.of(in).section(HYD, "A").orElseThrow();
    }

    @Test
    void whatIsKeptBackComesOutByNoSession() {
        Decisions kept = make(told, FLOOD);
        assertThat(sessions(kept)).isEqualTo(sessions(told));
        // another change that they see tells its own sessions, and nothing of L4, which moved there unsaid
        Decisions moved = seen(kept, inRoom(kept, "Weir House 9"));
        assertThat(sessions(moved).get(at("2026-09-11T10:00")).place()).isEqualTo("Weir House 9");
        assertThat(lessons(moved, "2026-09-11T10:00")).containsExactly("L5");
        assertThat(lessons(moved, "2026-09-09T10:00")).as("off unsaid").containsExactly("L4");
        assertThat(lessons(moved, "2026-09-04T10:00")).containsExactly("L3");
        Decisions all = make(moved, tell(null));
        assertThat(lessons(all, "2026-09-11T10:00")).containsExactly("L4");
        assertThat(sessions(all)).doesNotContainKey(at("2026-09-09T10:00"));
    }

    @Test
    void aChangeThatTheySeeTellsTheSessionsThatItAlters() {
        Decisions flooded = seen(told, FLOOD);
        assertThat(sessions(flooded)).doesNotContainKey(at("2026-09-09T10:00"));
        assertThat(lessons(flooded, "2026-09-11T10:00")).containsExactly("L4");
        assertThat(section(flooded).told().lessons()).containsEntry("L4", day("2026-09-11"));
        // where only the room differs no date is altered, and students know it still
        Proposal room = Proposal.of(told, inRoom(told, "Barn"), true);
        assertThat(room.altered()).isZero();
        assertThat(sessions(room.after()).values())
                .extracting(ToldSession::place)
                .containsOnly("Barn");
        assertThat(section(room.after()).told().tellings()).hasSize(1);
        Proposal unseen = Proposal.of(told, inRoom(told, "Barn"), false);
        assertThat(sessions(unseen.after())).isEqualTo(sessions(told));
        assertThat(sessions(make(unseen.after(), tell(null))).values())
                .extracting(ToldSession::place)
                .containsOnly("Barn");
    }

    /** A file with the days alone: nothing is known of sessions until students are told again. */
    @Test
    void daysAloneStayDaysUntilTheyAreToldAgain() {
        Section days = section(told).withTold(Told.of(section(told).told().lessons()));
        Decisions old = told.withCourse(told.course(HYD).orElseThrow().withSection(days));
        assertThat(sessions(seen(old, FLOOD))).isEmpty();
        assertThat(sessions(make(old, tell(null)))).isEqualTo(sessions(told));
    }
}
