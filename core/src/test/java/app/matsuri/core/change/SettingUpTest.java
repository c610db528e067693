package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.DayRotation;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.MarkDays;
import app.matsuri.core.change.calendar.MarkDays.Mark;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.SetFirstPlanDay;
import app.matsuri.core.change.calendar.SetRotation;
import app.matsuri.core.change.section.ChangeSeries;
import app.matsuri.core.change.section.ChangeSession;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.RestoreSession;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.SessionChange;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Changes with which a term is set up. */
class SettingUpTest {

    private static final String HYD = "HYD 210";
    private final Decisions plan = plan(sectionA(), unit(44));

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static List<LocalDate> days(Decisions in) {
        return Schedule.of(in).section(HYD, "A").orElseThrow().sessions().all().stream()
                .map(Session::date)
                .toList();
    }

    @Test
    void theEndsOfADayOffAreDragged() {
        Closure longer = Closure.of(day("2026-10-12"), day("2026-10-16"), "Autumn break", "break");
        Change change = new PutClosure(day("2026-10-12"), day("2026-10-13"), "Autumn break", longer);
        assertThat(make(plan, change).term().closures().get(1)).isEqualTo(longer);
        assertThat(change.sentence(plan))
                .isEqualTo("Set “Autumn break” to Mon 12 Oct to Fri 16 Oct (was Mon 12 Oct to Tue 13 Oct)");
        assertThatThrownBy(() -> make(make(plan, change), change)).hasMessageContaining("any more");
    }

    @Test
    void aSaturdayTeachesAndIsUsualAgain() {
        Change teaches = new MarkDays(day("2026-10-17"), day("2026-10-17"), Mark.TEACHES, null);
        Decisions after = make(plan, teaches);
        assertThat(TeachingCalendar.of(after.term()).teaches(day("2026-10-17"))).isTrue();
        Change usual = new MarkDays(day("2026-10-17"), day("2026-10-17"), Mark.USUAL, null);
        assertThat(make(after, usual)).isEqualTo(plan);
        assertThatThrownBy(() -> make(plan, usual)).hasMessageContaining("Nothing changes");
    }

    @Test
    void aTuesdayRunsAsAMondayAndAMeetsOnIt() {
        Change change = new MarkDays(day("2026-09-08"), day("2026-09-08"), Mark.RUNS_AS, DayOfWeek.MONDAY);
        assertThat(days(make(plan, change))).contains(day("2026-09-08")).hasSize(45);
        assertThat(change.sentence(plan)).isEqualTo("Tue 8 Sep runs as a Monday");
    }

    @Test
    void thePlanStartsLater() {
        Decisions after = make(plan, new SetFirstPlanDay(day("2026-09-02")));
        assertThat(Schedule.of(after).section(HYD, "A").orElseThrow().start("L1"))
                .contains(at("2026-09-02T10:00"));
        assertThat(make(after, new SetFirstPlanDay(day("2026-08-31")))).isEqualTo(plan);
        assertThatThrownBy(() -> make(plan, new SetFirstPlanDay(day("2027-01-01"))))
                .hasMessageContaining("outside the term");
    }

    @Test
    void aSectionMeetsOnItsLetterDays() {
        MeetingPattern onA =
                new MeetingPattern(null, List.of("A"), LocalTime.of(9, 0), 50, "", "", null, null, Extra.NONE);
        Decisions letters = make(
                plan(Section.of("A", Section.Pace.SESSIONS, List.of(onA)), unit(3)),
                new SetRotation(DayRotation.of(DayRotation.Advance.TEACHING_DAYS, "A", "B")));
        assertThat(days(letters)).hasSize(37).startsWith(day("2026-08-31"), day("2026-09-02"), day("2026-09-04"));
        assertThat(days(letters)).doesNotContain(day("2026-09-07")).contains(day("2026-09-09"));
    }

    @Test
    void severalChangesAreOneStepOrNone() {
        Closure flood = Closure.of(day("2026-10-09"), day("2026-10-09"), "Flood", "weather");
        Change both = new Together(
                "",
                List.of(new AddClosure(flood), new MarkDays(day("2026-10-17"), day("2026-10-17"), Mark.TEACHES, null)));
        Decisions after = make(plan, both);
        assertThat(after.term().closures()).contains(flood);
        assertThat(after.term().extraDays()).containsExactly(day("2026-10-17"));
        assertThat(both.sentence(plan)).isEqualTo("Day off Fri 9 Oct, Flood; Sat 17 Oct teaches");
        Change bad = new Together("Holidays", List.of(new AddClosure(flood), new AddClosure(flood)));
        assertThatThrownBy(() -> make(plan, bad)).isInstanceOf(Refused.class);
    }

    @Test
    void aSeriesChangesFromADayOnAndStaysOneSeries() {
        MeetingPattern later = meets("MO,WE,FR", "11:00", 50);
        Decisions after = make(plan, new ChangeSeries(HYD, "A", 0, day("2026-10-01"), later));
        Section section = after.course(HYD).orElseThrow().sections().get(0);
        assertThat(section.meets()).hasSize(2);
        assertThat(section.sessionChanges()).isEmpty();
        List<Session> sessions =
                Schedule.of(after).section(HYD, "A").orElseThrow().sessions().all();
        assertThat(sessions).hasSize(44);
        assertThat(sessions).allMatch(s -> s.start().getHour() == (s.date().isBefore(day("2026-10-01")) ? 10 : 11));
        assertThat(make(plan, new ChangeSeries(HYD, "A", 0, null, later))
                        .course(HYD)
                        .orElseThrow()
                        .sections()
                        .get(0)
                        .meets())
                .containsExactly(later);
    }

    @Test
    void everySecondWeekIsCountedAsBeforeWhenASeriesChanges() {
        MeetingPattern second = MeetingPattern.of("FREQ=WEEKLY;INTERVAL=2;BYDAY=TH", LocalTime.of(15, 0), 110);
        Decisions labs = plan(Section.of("A", Section.Pace.SESSIONS, List.of(second)), unit(3));
        List<LocalDate> before = days(labs);
        MeetingPattern earlier = MeetingPattern.of("FREQ=WEEKLY;INTERVAL=2;BYDAY=TH", LocalTime.of(14, 0), 110);
        assertThat(days(make(labs, new ChangeSeries(HYD, "A", 0, day("2026-10-02"), earlier))))
                .isEqualTo(before);
    }

    @Test
    void aCancelledAndAMovedClassAreAsTheirPatternSaysAgain() {
        Decisions cancelled =
                make(plan, new ChangeSession(HYD, "A", new SessionChange.Cancel(at("2026-09-02T10:00"), Extra.NONE)));
        assertThat(days(cancelled)).hasSize(43);
        Change restore = new RestoreSession(HYD, "A", at("2026-09-02T10:00"));
        assertThat(make(cancelled, restore)).isEqualTo(plan);
        assertThatThrownBy(() -> make(plan, restore)).hasMessageContaining("as its pattern says");
    }

    @Test
    void studentsWhoLeaveASectionLeaveItsHalfGroups() {
        Student one = new Student("s1", "Wren Oakes", "");
        Student two = new Student("s2", "Tove Lindqvist", "");
        Decisions both = make(plan, new PutRoster(HYD, "A", List.of(one, two)));
        Section half = Section.of("L1", Section.Pace.SESSIONS, List.of(meets("TH", "15:00", 110)))
                .asPartOf("HYD 210/A")
                .withStudents(List.of(two));
        Decisions halved = make(both, new PutSection(HYD, null, half));
        Change removed = new PutRoster(HYD, "A", List.of());
        assertThat(make(halved, removed).course(HYD).orElseThrow().sections())
                .allMatch(s -> s.students().isEmpty());
        assertThat(removed.sentence(halved)).isEqualTo("Remove 2 students in HYD 210 A");
        assertThatThrownBy(() -> make(plan, new PutRoster(HYD, "A", List.of(one, one))))
                .hasMessageContaining("twice");
    }
}
