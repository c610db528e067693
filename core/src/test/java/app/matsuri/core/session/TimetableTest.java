package app.matsuri.core.session;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import app.matsuri.core.session.Sessions.Note;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.threeten.extra.LocalDateRange;

/** The sessions section of the rules. */
class TimetableTest {

    private static final List<MeetingPattern> MWF = List.of(meets("MO,WE,FR", "10:00", 50));

    private static Sessions of(Term term, List<MeetingPattern> patterns, SessionChange... changes) {
        return new Timetable("HYD 210", "A", patterns, null, List.of(changes), Set.of(), Set.of())
                .sessions(TeachingCalendar.of(term));
    }

    private static Closure part(String date, String from, String to, boolean noClass, boolean pauses) {
        return new Closure(
                LocalDateRange.ofClosed(day(date), day(date)),
                LocalTime.parse(from),
                LocalTime.parse(to),
                "Drill",
                "event",
                noClass,
                pauses,
                false,
                null,
                false,
                Extra.NONE);
    }

    private static Term plus(Closure... more) {
        List<Closure> closures = new ArrayList<>(demoTerm().closures());
        closures.addAll(List.of(more));
        return demoTerm().withClosures(closures);
    }

    @Test
    void sectionAHas44Sessions() {
        Sessions a = of(demoTerm(), MWF);
        assertThat(a.size()).isEqualTo(44);
        assertThat(a.get(0).date()).isEqualTo(day("2026-08-31"));
        assertThat(a.get(43).date()).isEqualTo(day("2026-12-18"));
        assertThat(a.minutes()).isEqualTo(2200);
    }

    @Test
    void sectionBHas30Sessions() {
        Sessions b = of(demoTerm(), List.of(meets("TU,TH", "13:00", 75)));
        assertThat(b.size()).isEqualTo(30);
        assertThat(b.get(0).date()).isEqualTo(day("2026-09-01"));
        assertThat(b.get(29).date()).isEqualTo(day("2026-12-17"));
        assertThat(b.minutes()).isEqualTo(2250);
    }

    /** Published: IANA time zones; the US clock change of 2026-11-01 leaves a 10:00 class at 10:00. */
    @Test
    void classesKeepTheirLocalTimeOverAClockChange() {
        assertThat(of(demoTerm(), MWF).all())
                .allMatch(s -> s.start().toLocalTime().equals(LocalTime.of(10, 0)));
    }

    @Test
    void aWholeDayTakesTheSessionAndSaysWhy() {
        Sessions sessions = of(demoTerm(), MWF);
        assertThat(sessions.lost())
                .extracting(Sessions.Lost::name)
                .containsExactly(
                        at("2026-09-07T10:00"), at("2026-10-12T10:00"), at("2026-11-25T10:00"), at("2026-11-27T10:00"));
        assertThat(sessions.lost().get(0).reason()).isEqualTo("Public holiday");
    }

    @Test
    void aDrillAtTheBeginningOrEndMovesThatEdge() {
        Session late = find(of(plus(part("2026-09-23", "09:50", "10:20", true, false)), MWF), "2026-09-23T10:00");
        assertThat(late.start()).isEqualTo(at("2026-09-23T10:20"));
        assertThat(late.minutes()).isEqualTo(30);
        Session early = find(of(plus(part("2026-09-23", "10:30", "11:20", true, false)), MWF), "2026-09-23T10:00");
        assertThat(early.end()).isEqualTo(at("2026-09-23T10:30"));
    }

    @Test
    void aDrillInTheMiddleOnlyTakesMinutes() {
        Session shorter = find(of(plus(part("2026-09-23", "10:10", "10:35", true, false)), MWF), "2026-09-23T10:00");
        assertThat(shorter.start()).isEqualTo(at("2026-09-23T10:00"));
        assertThat(shorter.end()).isEqualTo(at("2026-09-23T10:50"));
        assertThat(shorter.minutes()).isEqualTo(25);
    }

    @Test
    void lessThanTenMinutesAreNoClass() {
        assertThat(of(plus(part("2026-09-23", "10:09", "10:50", true, false)), MWF)
                        .size())
                .isEqualTo(43);
        assertThat(of(plus(part("2026-09-23", "10:10", "10:50", true, false)), MWF)
                        .size())
                .isEqualTo(44);
    }

    @Test
    void aPauseOfPartOfADayPausesASessionThatItCoversWholly() {
        assertThat(find(of(plus(part("2026-09-23", "10:00", "10:50", false, true)), MWF), "2026-09-23T10:00")
                        .paused())
                .isTrue();
        assertThat(find(of(plus(part("2026-09-23", "10:01", "10:50", false, true)), MWF), "2026-09-23T10:00")
                        .paused())
                .isFalse();
    }

    @Test
    void changesApplyInOrderAndACancelledSessionStaysCancelled() {
        LocalDateTime friday = at("2026-10-02T10:00");
        Sessions sessions = of(
                demoTerm(),
                MWF,
                new SessionChange.Cancel(friday, Extra.NONE),
                new SessionChange.Move(friday, at("2026-10-03T10:00"), null, Extra.NONE));
        assertThat(sessions.indexOf(friday)).isEmpty();
    }

    @Test
    void aMovedSessionStandsOnADayOffAndKeepsItsName() {
        Sessions sessions = of(
                demoTerm(),
                MWF,
                new SessionChange.Move(at("2026-10-09T10:00"), at("2026-10-13T09:00"), 40, Extra.NONE));
        Session moved = find(sessions, "2026-10-09T10:00");
        assertThat(moved.start()).isEqualTo(at("2026-10-13T09:00"));
        assertThat(moved.minutes()).isEqualTo(40);
        assertThat(moved.origin()).isEqualTo(Origin.MOVED);
        assertThat(sessions.notes()).extracting(Note::kind).contains(Note.Kind.ON_DAY_OFF);
    }

    @Test
    void aLostSessionCanBeMovedToAMakeUpDay() {
        Sessions sessions = of(
                demoTerm(),
                MWF,
                new SessionChange.Move(at("2026-10-12T10:00"), at("2026-10-17T10:00"), null, Extra.NONE));
        assertThat(sessions.size()).isEqualTo(45);
    }

    @Test
    void anAddedSessionComesLastAmongEqualStarts() {
        Sessions sessions = of(demoTerm(), MWF, new SessionChange.Add(at("2026-09-02T10:00"), 30, "Field", Extra.NONE));
        assertThat(sessions.get(1).origin()).isEqualTo(Origin.PATTERN);
        assertThat(sessions.get(2).origin()).isEqualTo(Origin.ADDED);
        assertThat(sessions.notes()).extracting(Note::kind).contains(Note.Kind.OVERLAP);
    }

    @Test
    void twoPatternsOfOneStartGiveOneSession() {
        Sessions sessions = of(demoTerm(), List.of(MWF.get(0), meets("MO", "10:00", 110)));
        assertThat(sessions.size()).isEqualTo(44);
        assertThat(sessions.get(0).minutes()).isEqualTo(50);
        assertThat(sessions.notes()).extracting(Note::kind).contains(Note.Kind.SAME_START);
    }

    @Test
    void aChangeOfNothingIsARemark() {
        Sessions sessions = of(demoTerm(), MWF, new SessionChange.Cancel(at("2026-09-01T10:00"), Extra.NONE));
        assertThat(sessions.size()).isEqualTo(44);
        assertThat(sessions.notes()).extracting(Note::kind).containsExactly(Note.Kind.NAMES_NO_SESSION);
    }

    @Test
    void aSessionWithARecordStandsWhateverClosesIt() {
        Sessions sessions = new Timetable(
                        "HYD 210",
                        "A",
                        MWF,
                        null,
                        List.of(new SessionChange.Cancel(at("2026-09-09T10:00"), Extra.NONE)),
                        Set.of(),
                        Set.of(at("2026-09-07T10:00"), at("2026-09-09T10:00")))
                .sessions(TeachingCalendar.of(demoTerm()));
        assertThat(sessions.indexOf(at("2026-09-07T10:00"))).isPresent();
        assertThat(sessions.indexOf(at("2026-09-09T10:00"))).isPresent();
    }

    @Test
    void aTuesdayThatRunsAsAMondayHasMondaysMeetings() {
        Term term = with(day("2026-10-20"), DayOfWeek.MONDAY);
        Sessions sessions = of(term, List.of(MWF.get(0), meets("TU", "13:00", 75)));
        List<LocalDateTime> onThatDay = sessions.all().stream()
                .map(Session::name)
                .filter(n -> n.toLocalDate().equals(day("2026-10-20")))
                .toList();
        assertThat(onThatDay).containsExactly(at("2026-10-20T10:00"));
    }

    @Test
    void aPatternMayMeetOnAWeekdayThatDoesNotTeach() {
        assertThat(of(demoTerm(), List.of(meets("SA", "09:00", 90))).size()).isEqualTo(15);
    }

    @Test
    void aSectionWithoutMeetingsHasABeatAWeek() {
        Sessions beats = new Timetable(
                        "SOL 101", "A", List.of(), new Beat(DayOfWeek.MONDAY), List.of(), Set.of(), Set.of())
                .sessions(TeachingCalendar.of(demoTerm()));
        assertThat(beats.size()).isEqualTo(16);
        assertThat(beats.get(1).date()).as("Monday is a holiday").isEqualTo(day("2026-09-08"));
        assertThat(beats.get(0).origin()).isEqualTo(Origin.BEAT);
    }

    private static Term with(LocalDate day, DayOfWeek weekday) {
        Term term = demoTerm();
        TreeMap<LocalDate, DayOfWeek> runsAs = new TreeMap<>();
        runsAs.put(day, weekday);
        return new Term(
                "",
                term.first(),
                term.last(),
                term.zone(),
                term.weekdays(),
                term.weekStart(),
                null,
                term.closures(),
                new TreeSet<>(),
                runsAs,
                null,
                Extra.NONE);
    }

    private static Session find(Sessions sessions, String name) {
        return sessions.get(sessions.indexOf(at(name)).orElseThrow());
    }
}
