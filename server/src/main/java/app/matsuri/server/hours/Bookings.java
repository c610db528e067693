package app.matsuri.server.hours;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.hours.Following;
import app.matsuri.core.hours.Held;
import app.matsuri.core.hours.Offering;
import app.matsuri.core.hours.Offering.Not;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.server.clock.Today;
import app.matsuri.server.hours.Booking.State;
import app.matsuri.server.link.Person;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermRecord;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.storage.TermWritten;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Making bookings and giving them back. Each holds the row of its term until it is made, so that of any number who press at once one after
 * the other is looked at, and none while the plan changes.
 */
@Component
public class Bookings {

    private final EntityManager entities;
    private final TermStore store;
    private final Today today;
    private final Clock clock;
    private final BookingLetters letters;

    Bookings(EntityManager entities, TermStore store, Today today, Clock clock, BookingLetters letters) {
        this.entities = entities;
        this.store = store;
        this.today = today;
        this.clock = clock;
        this.letters = letters;
    }

    /**
     * What somebody wants.
     *
     * @param slot its name
     * @param byTeacher whether who teaches books for them, whom only places bind
     */
    public record Wish(
            String hours,
            LocalDateTime slot,
            int people,
            String name,
            Person person,
            boolean onRoster,
            String about,
            String page,
            String language,
            boolean byTeacher) {}

    /**
     * What came of it.
     *
     * @param booking as made; null where it was not
     * @param not why it was not; null where it was
     * @param next free slots instead
     */
    public record Answer(
            @Nullable Booking booking, @Nullable Not not, List<Slot> next) {}

    /** The most free slots that are offered instead. */
    private static final int INSTEAD = 3;

    /** Books a slot, or says why not. */
    @Transactional
    public Answer book(long termId, Wish wish) {
        // who cannot have it waits for nobody
        Looked now = look(store.any(termId), wish);
        if (now.not() == null) {
            now = locked(termId).map(stored -> look(stored, wish)).orElse(Looked.GONE);
        }
        Offering offering = now.offering();
        Stored stored = now.stored();
        if (now.not() != null || offering == null || stored == null) {
            return new Answer(null, now.not(), offering == null ? List.of() : offering.next(INSTEAD));
        }
        OfficeHours hours = offering.hours();
        Slot slot = offering.slots().slot(wish.slot()).orElseThrow();
        Booking booking = new Booking();
        booking.termId = termId;
        booking.hours = hours.id();
        booking.slot = slot.name();
        booking.people = wish.people();
        booking.personName = wish.name();
        booking.mail = wish.person().mail();
        booking.rosterNumber = wish.person().number();
        booking.onRoster = wish.onRoster();
        booking.about = wish.about();
        booking.state = State.HELD;
        booking.standAs(slot);
        booking.madeAt = Instant.now(clock);
        booking.changedAt = booking.madeAt;
        booking.uid = UUID.randomUUID().toString();
        booking.page = wish.page();
        booking.language = wish.language();
        entities.persist(booking);
        entities.flush();
        take(booking);
        letters.booked(stored, hours, booking);
        return new Answer(booking, null, List.of());
    }

    /** What a wish comes to: why it cannot be, or null. */
    private record Looked(
            @Nullable Stored stored,
            @Nullable Offering offering,
            @Nullable Not not) {

        private static final Looked GONE = new Looked(null, null, Not.GONE);
    }

    private Looked look(Stored stored, Wish wish) {
        return stored.decisions()
                .officeHours(wish.hours())
                .map(hours -> {
                    Offering offering = offering(stored, hours, wish.person());
                    Optional<Not> not = wish.byTeacher()
                            ? offering.whyForTeacher(wish.slot(), wish.people())
                            : offering.why(wish.slot(), wish.people());
                    return new Looked(stored, offering, not.orElse(null));
                })
                .orElse(Looked.GONE);
    }

    /** A place for each of the people; the key of the table says that none is promised twice. */
    private void take(Booking booking) {
        List<Integer> taken = entities.createNativeQuery(
                        "select place from booked_place where term_id = :t and hours = :h and slot = :s", Integer.class)
                .setParameter("t", booking.termId)
                .setParameter("h", booking.hours)
                .setParameter("s", booking.slot)
                .getResultList();
        int left = booking.people;
        for (int place = 1; left > 0; place++) {
            if (!taken.contains(place)) {
                entities.createNativeQuery("insert into booked_place (term_id, hours, slot, place, booking_id)"
                                + " values (:t, :h, :s, :p, :b)")
                        .setParameter("t", booking.termId)
                        .setParameter("h", booking.hours)
                        .setParameter("s", booking.slot)
                        .setParameter("p", place)
                        .setParameter("b", booking.id)
                        .executeUpdate();
                left--;
            }
        }
    }

    /**
     * Gives a booking back.
     *
     * @param byTeacher whether who teaches does, whom no time binds
     * @param why a word to who had booked; empty for none
     * @return whether it was given back; empty where there is none that is held
     */
    @Transactional
    public Optional<Boolean> giveBack(long termId, String uid, boolean byTeacher, String why) {
        Stored stored = locked(termId).orElse(null);
        Booking booking = find(termId, uid).filter(Booking::held).orElse(null);
        if (stored == null || booking == null) {
            return Optional.empty();
        }
        OfficeHours hours = stored.decisions().officeHours(booking.hours).orElse(null);
        if (hours == null) {
            return Optional.empty();
        }
        Offering offering = offering(stored, hours, booking.person());
        Optional<Slot> slot = offering.slots().slot(booking.slot);
        if (!byTeacher && slot.filter(offering::givesBack).isEmpty()) {
            return Optional.of(false);
        }
        end(booking, State.GIVEN_BACK, why);
        letters.gone(stored, hours.title(), booking, byTeacher);
        return Optional.of(true);
    }

    /** One by what names it. */
    @Transactional(readOnly = true)
    public Optional<Booking> find(long termId, String uid) {
        return entities.createQuery("from Booking where termId = :t and uid = :u", Booking.class)
                .setParameter("t", termId)
                .setParameter("u", uid)
                .getResultStream()
                .findFirst();
    }

    /** All of a term, also those that are no longer held, by when they are. */
    @Transactional(readOnly = true)
    public List<Booking> of(long termId) {
        return entities.createQuery("from Booking where termId = :t order by starts, id", Booking.class)
                .setParameter("t", termId)
                .getResultList();
    }

    /** Changes whenever a booking of the term does. */
    @Transactional(readOnly = true)
    public String mark(long termId) {
        Object[] last = entities.createQuery(
                        "select count(b), max(b.changedAt) from Booking b where b.termId = :t", Object[].class)
                .setParameter("t", termId)
                .getSingleResult();
        return last[0] + "@" + last[1];
    }

    /** Those of a person that are held and not over. */
    @Transactional(readOnly = true)
    public List<Booking> of(Stored stored, Person person) {
        LocalDateTime now = now(stored);
        return of(stored.termId()).stream()
                .filter(b -> b.held() && b.ends.isAfter(now) && b.person().same(person))
                .toList();
    }

    /** What of office hours can be booked now by a person. */
    @Transactional(readOnly = true)
    public Offering offering(Stored stored, OfficeHours hours, @Nullable Person person) {
        TeachingCalendar calendar = TeachingCalendar.of(stored.decisions().term());
        List<Held> held = entities.createQuery(
                        "from Booking where termId = :t and hours = :h and state = :s", Booking.class)
                .setParameter("t", stored.termId())
                .setParameter("h", hours.id())
                .setParameter("s", State.HELD)
                .getResultStream()
                .map(b -> new Held(
                        b.slot, b.starts, b.people, person != null && b.person().same(person)))
                .toList();
        return new Offering(calendar, Slots.of(calendar, hours), held, now(stored));
    }

    LocalDateTime now(Stored stored) {
        return today.now(stored.decisions().term().zone());
    }

    /** The term with its row held until the transaction ends; empty where there is none. */
    private Optional<Stored> locked(long termId) {
        TermRecord term = entities.find(TermRecord.class, termId, LockModeType.PESSIMISTIC_WRITE);
        if (term == null || term.deletedAt != null) {
            return Optional.empty();
        }
        // as it is stored now that nobody else can write it
        entities.clear();
        return Optional.of(store.any(termId));
    }

    private void end(Booking booking, State state, String why) {
        entities.createNativeQuery("delete from booked_place where booking_id = :b")
                .setParameter("b", booking.id)
                .executeUpdate();
        booking.state = state;
        booking.why = why;
        booking.sequence++;
        booking.changedAt = Instant.now(clock);
    }

    /**
     * Bookings of a plan that is another now, with what becomes of them.
     *
     * @param slot as it is now; null where it is gone
     * @param why the day off that took it; empty for none
     */
    public record Followed(Booking booking, @Nullable Slot slot, String why) {}

    /** Bookings that are still to come and that other decisions would withdraw or move. */
    @Transactional(readOnly = true)
    public List<Followed> followed(Stored before, Decisions after) {
        List<Booking> all = ahead(before, State.HELD);
        if (all.isEmpty()) {
            return List.of();
        }
        Following following = new Following(after);
        return all.stream()
                .map(b -> {
                    Following.Now now = following.of(b.hours, b.slot);
                    return new Followed(b, now.slot(), now.why());
                })
                .filter(f -> f.slot() == null || !f.booking().stands(f.slot()))
                .toList();
    }

    private List<Booking> ahead(Stored stored, State state) {
        return entities.createQuery(
                        "from Booking where termId = :t and state = :s and ends > :n order by starts, id",
                        Booking.class)
                .setParameter("t", stored.termId())
                .setParameter("s", state)
                .setParameter("n", now(stored))
                .getResultList();
    }

    /** Bookings follow their slots, within the step that changes the plan: each that goes or moves has its letter. */
    @EventListener
    @Transactional
    public void follow(TermWritten written) {
        Stored after = written.after();
        for (Followed one : followed(after, after.decisions())) {
            Booking booking = one.booking();
            String title = title(written, booking.hours);
            Slot slot = one.slot();
            if (slot == null) {
                end(booking, State.WITHDRAWN, one.why());
                letters.gone(after, title, booking, true);
            } else {
                booking.standAs(slot);
                booking.sequence++;
                booking.changedAt = Instant.now(clock);
                letters.moved(after, title, booking);
            }
        }
        List<Booking> withdrawn = ahead(after, State.WITHDRAWN);
        if (!withdrawn.isEmpty()) {
            Following following = new Following(after.decisions());
            for (Booking booking : withdrawn) {
                Slot slot = following.of(booking.hours, booking.slot).slot();
                if (slot != null && !slot.blocked()) {
                    booking.state = State.ASKED;
                    booking.standAs(slot);
                    booking.changedAt = Instant.now(clock);
                    letters.again(after, title(written, booking.hours), booking);
                }
            }
        }
        for (Booking booking : ahead(after, State.ASKED)) {
            if (new Following(after.decisions()).of(booking.hours, booking.slot).slot() == null) {
                booking.state = State.WITHDRAWN;
            }
        }
    }

    private static String title(TermWritten written, String hours) {
        return written.after()
                .decisions()
                .officeHours(hours)
                .or(() -> written.before().decisions().officeHours(hours))
                .map(OfficeHours::title)
                .orElse("");
    }

    /** How a booking is made with the fewest people that it may be for. */
    static int fewest(OfficeHours hours) {
        BookingRules rules = hours.booking();
        return rules == null ? 1 : rules.groupFrom();
    }

    /** Whether a booking is for one person always. */
    static boolean alone(OfficeHours hours) {
        BookingRules rules = hours.booking();
        return rules == null || rules.groupTo() == 1;
    }
}
