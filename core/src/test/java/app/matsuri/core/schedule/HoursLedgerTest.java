package app.matsuri.core.schedule;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.SessionChange;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class HoursLedgerTest {

    private static Course course(HoursAsked asks, Section... sections) {
        Integer required = asks == null ? null : asks.classMinutes();
        return new Course(
                "HYD 210",
                "Reading Rivers",
                required,
                asks,
                50,
                480,
                240,
                List.of(sections),
                List.of(),
                Besides.NONE,
                Extra.NONE);
    }

    private static HoursLedger ledger(Course course, String section) {
        return HoursLedger.of(Schedule.of(Decisions.of(demoTerm(), List.of(course)))
                .section("HYD 210", section)
                .orElseThrow());
    }

    /** 34 CFR 600.2 with 15 hours of 50 minutes a credit (common practice): 2,250 minutes for three credits. */
    @Test
    void threeCreditsAskForOneClassMoreThanAHasAndExactlyWhatBHas() {
        Course course = course(new HoursAsked(HoursAsked.In.CREDITS, 3), sectionA(), sectionB());
        HoursLedger a = ledger(course, "A");
        assertThat(List.of(a.sessions(), a.minutes(), a.asked(), a.missing(), a.missingSessions()))
                .containsExactly(44, 2200, 2250, 50, 1);
        HoursLedger b = ledger(course, "B");
        assertThat(List.of(b.sessions(), b.minutes(), b.missing(), b.missingSessions()))
                .containsExactly(30, 2250, 0, 0);
    }

    /** ECTS Users' Guide 2015: one credit is 25 to 30 hours of work. */
    @Test
    void fiveEctsAskFor125To150HoursInAllAndNothingOfClassAlone() {
        HoursLedger a = ledger(course(new HoursAsked(HoursAsked.In.ECTS, 5), sectionA()), "A");
        assertThat(a.asked()).isNull();
        assertThat(a.leastInAll()).isEqualTo(125 * 60);
        assertThat(a.mostInAll()).isEqualTo(150 * 60);
    }

    @Test
    void creditsOutOfReasonAreRefused() {
        assertThatThrownBy(() -> new HoursAsked(HoursAsked.In.ECTS, 0)).hasMessageContaining("1 to 100");
    }

    @Test
    void shortWeeksSayHowManyOfHowMany() {
        HoursLedger a = ledger(course(null, sectionA()), "A");
        assertThat(a.weeks().get(1)).isEqualTo(new HoursLedger.WeekClasses(2, 2, 3));
        assertThat(a.weeks().get(12)).isEqualTo(new HoursLedger.WeekClasses(13, 1, 3));
        assertThat(a.weeks().stream().filter(HoursLedger.WeekClasses::isShort)).hasSize(3);
        assertThat(a.byWeekday())
                .containsEntry(DayOfWeek.MONDAY, 14)
                .containsEntry(DayOfWeek.WEDNESDAY, 15)
                .containsEntry(DayOfWeek.FRIDAY, 15);
    }

    @Test
    void aCancelledClassCountsAsOneThatWouldBeAndAMovedOneWhereItStands() {
        Section section = sectionA()
                .withSessionChanges(List.of(
                        new SessionChange.Cancel(at("2026-09-14T10:00"), Extra.NONE),
                        new SessionChange.Move(at("2026-09-16T10:00"), at("2026-09-22T10:00"), null, Extra.NONE)));
        HoursLedger a = ledger(course(null, section), "A");
        assertThat(a.weeks().get(2)).isEqualTo(new HoursLedger.WeekClasses(3, 1, 3));
        assertThat(a.weeks().get(3)).isEqualTo(new HoursLedger.WeekClasses(4, 4, 3));
    }

    /** Law: over all weeks, what would stand is what stands and what was lost. */
    @Test
    void everyLostClassIsCountedOnce() {
        List<Closure> off = new ArrayList<>(demoTerm().closures());
        off.add(Closure.of(day("2026-10-05"), day("2026-10-09"), "Flood", "weather"));
        Course course = course(null, sectionA());
        SectionSchedule in = Schedule.of(Decisions.of(demoTerm().withClosures(off), List.of(course)))
                .section("HYD 210", "A")
                .orElseThrow();
        HoursLedger ledger = HoursLedger.of(in);
        int usual =
                ledger.weeks().stream().mapToInt(HoursLedger.WeekClasses::usual).sum();
        assertThat(usual).isEqualTo(in.sessions().size() + in.sessions().lost().size());
    }
}
