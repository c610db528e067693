package app.matsuri.core.hours;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.hours.ChangeSlots;
import app.matsuri.core.change.hours.ChangeSlots.As;
import app.matsuri.core.change.hours.ChangeSlots.Reach;
import app.matsuri.core.change.hours.PutOfficeHours;
import app.matsuri.core.change.hours.RemoveOfficeHours;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.plan.RemoveCourse;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Slots of office hours and what is done with single ones. */
class SlotsTest {

    private static final Term TERM = Term.of("T", LocalDate.of(2026, 8, 31), LocalDate.of(2026, 9, 25), ZoneOffset.UTC)
            .withClosures(List.of(Closure.of(LocalDate.of(2026, 9, 8), LocalDate.of(2026, 9, 8), "Fair", "other")));

    private static final OfficeHours HOURS = new OfficeHours(
            "oh",
            "Office hours",
            List.of(),
            List.of(new MeetingPattern(
                    "FREQ=WEEKLY;BYDAY=TU",
                    List.of(),
                    LocalTime.of(13, 0),
                    60,
                    "Weir House 1",
                    "",
                    null,
                    null,
                    Extra.NONE)),
            new BookingRules(15, 5, 1, 1, 1, null, null, 14, 1, 1, false),
            "",
            false,
            List.of(),
            Set.of(),
            Extra.NONE);

    private static final Decisions PLAN = Decisions.of(TERM, List.of()).withOfficeHours(List.of(HOURS));

    private static LocalDateTime at(int day, int hour, int minute) {
        return LocalDateTime.of(2026, 9, day, hour, minute);
    }

    private static Slots slots(Decisions in) {
        return Slots.of(TeachingCalendar.of(in.term()), in.officeHours().get(0));
    }

    private static List<LocalDateTime> starts(Decisions in, int day) {
        return slots(in).all().stream()
                .filter(s -> s.date().getDayOfMonth() == day)
                .map(Slot::start)
                .toList();
    }

    private static Decisions after(Decisions in, ChangeSlots change) {
        return Change.make(change, in).decisions();
    }

    private static ChangeSlots change(
            LocalDateTime slot, As as, Reach reach, @Nullable LocalDateTime to, @Nullable Integer minutes) {
        return new ChangeSlots("oh", slot, as, reach, to, minutes);
    }

    @Test
    void aWindowIsCutWithPausesAndDaysOffTakeSlotsAway() {
        assertThat(starts(PLAN, 1)).containsExactly(at(1, 13, 0), at(1, 13, 20), at(1, 13, 40));
        assertThat(starts(PLAN, 8)).isEmpty();
        assertThat(slots(PLAN).why(at(8, 13, 20))).isEqualTo("Fair");
        assertThat(slots(PLAN).why(at(9, 13, 20))).isEmpty();
        assertThat(slots(PLAN).all())
                .hasSize(9)
                .allMatch(s -> s.place().equals("Weir House 1") && !s.blocked() && !s.byHand());
    }

    @Test
    void theyMayStayOnDaysOff() {
        OfficeHours stay = new OfficeHours(
                "oh", "Office hours", List.of(), HOURS.windows(), null, "", true, List.of(), Set.of(), Extra.NONE);
        Decisions in = PLAN.withOfficeHours(List.of(stay));
        assertThat(starts(in, 8)).as("without booking a window is one").containsExactly(at(8, 13, 0));
    }

    @Test
    void aSlotKeepsItsNameWhereverItGoes() {
        Decisions moved = after(PLAN, change(at(1, 13, 20), As.MOVE, Reach.SLOT, at(2, 9, 0), null));
        Slot slot = slots(moved).slot(at(1, 13, 20)).orElseThrow();
        assertThat(List.of(slot.start(), slot.end())).containsExactly(at(2, 9, 0), at(2, 9, 15));
        assertThat(slot.byHand()).isTrue();
        Decisions again = after(moved, change(at(1, 13, 20), As.MOVE, Reach.SLOT, at(3, 9, 0), 30));
        assertThat(slots(again).slot(at(1, 13, 20)).orElseThrow().end()).isEqualTo(at(3, 9, 30));
        assertThat(again.officeHours().get(0).changes())
                .as("one move of a slot")
                .hasSize(1);
        Decisions back = after(again, change(at(1, 13, 20), As.RESTORE, Reach.SLOT, null, null));
        assertThat(back).isEqualTo(PLAN);
    }

    @Test
    void aDayOrAllLaterOnesAtOnce() {
        Decisions day = after(PLAN, change(at(15, 13, 20), As.WITHDRAW, Reach.DAY, null, null));
        assertThat(starts(day, 15)).isEmpty();
        assertThat(slots(day).withdrawn()).containsExactly(at(15, 13, 0), at(15, 13, 20), at(15, 13, 40));
        assertThat(after(day, change(at(15, 13, 0), As.RESTORE, Reach.DAY, null, null)))
                .isEqualTo(PLAN);
        Decisions on = after(PLAN, change(at(15, 13, 40), As.MOVE, Reach.ON, at(16, 9, 0), null));
        assertThat(starts(on, 1)).hasSize(3);
        assertThat(List.of(
                        starts(on, 15).size(),
                        starts(on, 16).size(),
                        starts(on, 23).size()))
                .containsExactly(2, 1, 1);
    }

    @Test
    void blockedSlotsStandAndAreNotGivenOut() {
        Decisions blocked = after(PLAN, change(at(1, 13, 0), As.BLOCK, Reach.ON, null, null));
        assertThat(slots(blocked).all()).filteredOn(Slot::blocked).hasSize(3);
        assertThat(after(blocked, change(at(1, 13, 0), As.UNBLOCK, Reach.ON, null, null)))
                .isEqualTo(PLAN);
        assertThatThrownBy(() -> after(blocked, change(at(1, 13, 0), As.BLOCK, Reach.SLOT, null, null)))
                .isInstanceOf(Refused.class)
                .hasMessage("It is blocked already.");
    }

    @Test
    void oneMoreIsAsLongAsTheOthers() {
        Decisions more = after(PLAN, change(at(4, 8, 0), As.ADD, Reach.SLOT, null, null));
        Slot added = slots(more).slot(at(4, 8, 0)).orElseThrow();
        assertThat(added.end()).isEqualTo(at(4, 8, 15));
        assertThat(added.place()).isEqualTo("Weir House 1");
        assertThatThrownBy(() -> after(more, change(at(4, 8, 0), As.ADD, Reach.SLOT, null, null)))
                .hasMessageContaining("already");
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        assertThatThrownBy(() -> after(
                        PLAN,
                        change(at(1, 13, 0), As.MOVE, Reach.SLOT, at(1, 13, 0).plusYears(1), null)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("not within the term");
        assertThatThrownBy(() -> after(PLAN, change(at(2, 13, 0), As.WITHDRAW, Reach.SLOT, null, null)))
                .hasMessageContaining("has no slot on");
        assertThatThrownBy(() -> new RemoveOfficeHours("none").apply(PLAN)).isInstanceOf(NoSuch.class);
        OfficeHours long40 = OfficeHours.of("x", "X", HOURS.windows(), BookingRules.of(90));
        assertThatThrownBy(() -> new PutOfficeHours(long40).apply(PLAN)).hasMessageContaining("longer than the time");
        assertThatThrownBy(() -> new PutOfficeHours(OfficeHours.of("x", "X", List.of(), null)).apply(PLAN))
                .hasMessageContaining("Say when");
        assertThatThrownBy(() -> new PutOfficeHours(HOURS.withCourses(List.of("NO 1"))).apply(PLAN))
                .isInstanceOf(NoSuch.class);
        assertThatThrownBy(() ->
                        new PutOfficeHours(OfficeHours.of("x", "X".repeat(201), HOURS.windows(), null)).apply(PLAN))
                .hasMessageContaining("200 characters");
        MeetingPattern day = HOURS.windows().get(0).part(-13 * 60, 24 * 60);
        assertThatThrownBy(() ->
                        new PutOfficeHours(OfficeHours.of("x", "X", List.of(day, day), BookingRules.of(5))).apply(PLAN))
                .hasMessageContaining("300 slots at the most");
        assertThatThrownBy(() -> BookingRules.of(2)).hasMessageContaining("5 minutes or more");
    }

    /** Office hours follow the code of a course; those for it alone go with it. */
    @Test
    void aCourseThatGoesOrIsCalledOtherwiseTakesThemAlong() {
        Course one = Course.of("C 1", "One", 50, List.of(), List.of());
        Course two = Course.of("C 2", "Two", 50, List.of(), List.of());
        Decisions in = PLAN.withCourses(List.of(one, two))
                .withOfficeHours(List.of(
                        HOURS.withCourses(List.of("C 1", "C 2")),
                        OfficeHours.of("b", "B", HOURS.windows(), null).withCourses(List.of("C 1")),
                        OfficeHours.of("c", "C", HOURS.windows(), null)));
        assertThat(new RemoveCourse("C 1").apply(in).decisions().officeHours())
                .extracting(h -> h.id() + h.courses())
                .containsExactly("oh[C 2]", "c[]");
        assertThat(new PutCourse("C 1", Course.of("C 9", "One", 50, List.of(), List.of()))
                        .apply(in)
                        .decisions()
                        .officeHours())
                .extracting(h -> h.id() + h.courses())
                .containsExactly("oh[C 9, C 2]", "b[C 9]", "c[]");
    }

    @Test
    void officeHoursArePutInPlaceOfThoseWithTheirId() {
        OfficeHours other = OfficeHours.of("oh", "Open door", HOURS.windows(), null);
        PutOfficeHours put = new PutOfficeHours(other);
        assertThat(put.sentence(PLAN)).isEqualTo("Change office hours “Open door”");
        assertThat(put.apply(PLAN).decisions().officeHours()).containsExactly(other);
        assertThat(new RemoveOfficeHours("oh").apply(PLAN).decisions().officeHours())
                .isEmpty();
    }
}
