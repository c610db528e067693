package app.matsuri.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.hours.ChangeSlots;
import app.matsuri.core.hours.Offering.Not;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What of office hours can be booked, and what becomes of bookings when the plan changes. */
class OfferingTest {

    private static final Term TERM =
            Term.of("T", LocalDate.of(2026, 8, 31), LocalDate.of(2026, 10, 16), ZoneOffset.UTC);

    private static final LocalDateTime SLOT = LocalDateTime.of(2026, 9, 15, 13, 20);

    private static Decisions plan(BookingRules rules) {
        return Decisions.of(TERM, List.of())
                .withOfficeHours(List.of(OfficeHours.of(
                        "oh",
                        "Office hours",
                        List.of(
                                MeetingPattern.of("FREQ=WEEKLY;BYDAY=TU", LocalTime.of(13, 0), 60),
                                MeetingPattern.of("FREQ=WEEKLY;BYDAY=TH", LocalTime.of(9, 0), 60)),
                        rules)));
    }

    private static Offering offering(Decisions in, List<Held> held, LocalDateTime now) {
        TeachingCalendar calendar = TeachingCalendar.of(in.term());
        return new Offering(calendar, Slots.of(calendar, in.officeHours().get(0)), held, now);
    }

    private static Held held(LocalDateTime slot, int people, boolean mine) {
        return new Held(slot, slot, people, mine);
    }

    private static final BookingRules GROUPS = new BookingRules(20, 0, 4, 2, 3, 1, 2, 7, 2, 24, false);

    @Test
    void aSlotIsBookedWithinItsTimeByAGroupOfItsSizeWhileItHasPlaces() {
        Decisions in = plan(GROUPS);
        LocalDateTime now = SLOT.minusDays(2);
        assertThat(offering(in, List.of(), now).why(SLOT, 2)).isEmpty();
        assertThat(offering(in, List.of(), now).why(SLOT.plusMinutes(1), 2)).contains(Not.GONE);
        assertThat(offering(in, List.of(), now).why(SLOT, 1)).contains(Not.GROUP_SIZE);
        assertThat(offering(in, List.of(), now).why(SLOT, 4)).contains(Not.GROUP_SIZE);
        assertThat(offering(in, List.of(held(SLOT, 2, false)), now).why(SLOT, 3))
                .contains(Not.TAKEN);
        assertThat(offering(in, List.of(held(SLOT, 2, false)), now).why(SLOT, 2))
                .isEmpty();
        assertThat(offering(in, List.of(held(SLOT, 2, true)), now).why(SLOT, 2)).contains(Not.HELD);
        assertThat(offering(in, List.of(), SLOT.minusHours(2)).why(SLOT, 2)).isEmpty();
        assertThat(offering(in, List.of(), SLOT.minusHours(2).plusMinutes(1)).why(SLOT, 2))
                .contains(Not.TOO_LATE);
        assertThat(offering(in, List.of(), SLOT.minusDays(8)).why(SLOT, 2)).contains(Not.NOT_YET);
        assertThat(offering(in, List.of(), SLOT.toLocalDate().minusDays(7).atStartOfDay())
                        .why(SLOT, 2))
                .isEmpty();
        assertThat(offering(plan(null), List.of(), now).why(SLOT.withMinute(0), 1))
                .contains(Not.OPEN);
    }

    @Test
    void aPersonHoldsAsManyAsAWeekAndTheTermAllow() {
        Decisions in = plan(GROUPS);
        LocalDateTime now = SLOT.minusDays(2);
        LocalDateTime thursday = LocalDateTime.of(2026, 9, 17, 9, 0);
        assertThat(offering(in, List.of(held(thursday, 2, true)), now).why(SLOT, 2))
                .contains(Not.WEEK_FULL);
        assertThat(offering(in, List.of(held(thursday, 2, false)), now).why(SLOT, 2))
                .isEmpty();
        List<Held> two = List.of(held(SLOT.minusDays(7), 2, true), held(SLOT.minusDays(14), 2, true));
        assertThat(offering(in, two, now).why(SLOT, 2)).contains(Not.TERM_FULL);
        assertThat(offering(in, two.subList(0, 1), now).next(2))
                .extracting(Slot::name)
                .as("the next ones that are free")
                .containsExactly(SLOT.withMinute(0), SLOT);
    }

    @Test
    void onlyPlacesBindWhoTeaches() {
        Decisions in = plan(GROUPS);
        Offering offering = offering(in, List.of(held(SLOT, 2, false)), SLOT.minusDays(30));
        assertThat(offering.whyForTeacher(SLOT, 1)).isEmpty();
        assertThat(offering.whyForTeacher(SLOT, 3)).contains(Not.TAKEN);
        assertThat(offering.whyForTeacher(SLOT.plusMinutes(1), 1)).contains(Not.GONE);
        assertThat(offering(plan(null), List.of(), SLOT).whyForTeacher(SLOT.withMinute(0), 1))
                .contains(Not.OPEN);
        assertThat(offering(in, List.of(held(SLOT, 1, true)), SLOT).whyForTeacher(SLOT, 1))
                .contains(Not.HELD);
    }

    @Test
    void itIsGivenBackInTime() {
        Decisions in = plan(GROUPS);
        Slot slot = Slots.of(TeachingCalendar.of(TERM), in.officeHours().get(0))
                .slot(SLOT)
                .orElseThrow();
        assertThat(offering(in, List.of(), SLOT.minusHours(24)).givesBack(slot)).isTrue();
        assertThat(offering(in, List.of(), SLOT.minusHours(23)).givesBack(slot)).isFalse();
    }

    /** One booking in the made-up book of the run below. */
    private record One(LocalDateTime slot, LocalDateTime start, int people, int who) {}

    /**
     * Random windows, days off, edits, undone edits and bookings, ten thousand steps: no slot is ever promised to more than its places, and
     * every booking that is held stands where it was last said to be, or it was said that it is not.
     */
    @Test
    void noSlotIsPromisedTwiceAndNoBookingGoesInSilence() {
        Random random = new Random(19);
        Decisions now = plan(new BookingRules(20, 0, 2, 1, 2, 2, null, 366, 0, 0, false));
        Deque<Decisions> before = new ArrayDeque<>();
        Map<Integer, One> book = new HashMap<>();
        Map<Integer, String> lastSaid = new HashMap<>();
        int next = 0;
        int said = 0;
        int changed = 0;
        TeachingCalendar calendar = TeachingCalendar.of(now.term());
        Slots current = Slots.of(calendar, now.officeHours().get(0));
        for (int step = 0; step < 10_000; step++) {
            List<Held> all = new ArrayList<>();
            int who = random.nextInt(12);
            for (One one : book.values()) {
                all.add(new Held(one.slot(), one.start(), one.people(), one.who() == who));
            }
            Offering offering =
                    new Offering(calendar, current, all, TERM.first().atStartOfDay());
            List<Slot> slots = current.all();
            if (random.nextInt(5) > 0 && !slots.isEmpty()) {
                Slot slot = slots.get(random.nextInt(slots.size()));
                int people = 1 + random.nextInt(2);
                if (offering.why(slot.name(), people).isEmpty()) {
                    book.put(next, new One(slot.name(), slot.start(), people, who));
                    lastSaid.put(next++, "at " + slot.start());
                }
            } else {
                Decisions was = now;
                if (random.nextInt(3) == 0 && !before.isEmpty() || before.size() > 24) {
                    for (int k = before.size() > 24 ? 16 : 1; k > 0; k--) {
                        now = before.pop();
                    }
                } else {
                    try {
                        now = Change.make(edit(random, slots), now).decisions();
                        before.push(was);
                        changed++;
                    } catch (Refused e) {
                        assertThat(e.getMessage()).isNotBlank();
                    }
                }
                calendar = TeachingCalendar.of(now.term());
                current = Slots.of(calendar, now.officeHours().get(0));
                Following following = new Following(now);
                for (Map.Entry<Integer, One> entry : List.copyOf(book.entrySet())) {
                    One one = entry.getValue();
                    Slot slot = following.of("oh", one.slot()).slot();
                    if (slot == null) {
                        book.remove(entry.getKey());
                        lastSaid.put(entry.getKey(), "gone");
                        said++;
                    } else if (!slot.start().equals(one.start())) {
                        book.put(entry.getKey(), new One(one.slot(), slot.start(), one.people(), one.who()));
                        lastSaid.put(entry.getKey(), "at " + slot.start());
                        said++;
                    }
                }
            }
            Map<LocalDateTime, Integer> places = new HashMap<>();
            book.values().forEach(one -> places.merge(one.slot(), one.people(), Integer::sum));
            assertThat(places.values()).allMatch(p -> p <= 2);
            Slots after =
                    Slots.of(TeachingCalendar.of(now.term()), now.officeHours().get(0));
            book.forEach((id, one) -> assertThat(lastSaid.get(id))
                    .isEqualTo("at " + after.slot(one.slot()).orElseThrow().start()));
        }
        assertThat(changed).isGreaterThan(500);
        assertThat(said).isGreaterThan(300);
        assertThat(next).isGreaterThan(300);
    }

    private static Change edit(Random random, List<Slot> slots) {
        LocalDate day = TERM.first().plusDays(random.nextInt(45));
        if (random.nextInt(6) == 0 || slots.isEmpty()) {
            return new AddClosure(Closure.of(day, day.plusDays(random.nextInt(3)), "Off", "other"));
        }
        LocalDateTime name = slots.get(random.nextInt(slots.size())).name();
        ChangeSlots.As[] as = ChangeSlots.As.values();
        ChangeSlots.Reach[] reach = ChangeSlots.Reach.values();
        ChangeSlots.As what = as[random.nextInt(as.length)];
        return new ChangeSlots(
                "oh",
                what == ChangeSlots.As.ADD ? day.atTime(8 + random.nextInt(8), 0) : name,
                what,
                reach[random.nextInt(reach.length)],
                day.atTime(8 + random.nextInt(8), 20),
                null);
    }
}
