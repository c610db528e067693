package app.matsuri.server.reminder;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.reminding.Reminding;
import app.matsuri.core.reminding.Remindings;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.hours.Booking;
import app.matsuri.server.hours.Bookings;
import app.matsuri.server.link.Person;
import app.matsuri.server.page.Readers;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What will go out by itself, and to whom. */
@Component
class ReminderPlans {

    private final Readers readers;
    private final GradeBook book;
    private final EntityManager entities;
    private final Bookings bookings;

    ReminderPlans(Readers readers, GradeBook book, EntityManager entities, Bookings bookings) {
        this.readers = readers;
        this.book = book;
        this.entities = entities;
        this.bookings = bookings;
    }

    /**
     * One reminding of a term.
     *
     * @param stopped whether somebody stopped it
     * @param guest who booked without being on a roster; null for nobody
     */
    record Planned(
            Stored stored,
            Reminding reminding,
            boolean stopped,
            @Nullable Student guest) {

        Planned(Stored stored, Reminding reminding, boolean stopped) {
            this(stored, reminding, stopped, null);
        }

        ZoneId zone() {
            return stored.decisions().term().zone();
        }

        /** When it goes out. */
        Instant at() {
            return instant(reminding.at());
        }

        /** What it comes before. */
        Instant date() {
            return instant(reminding.date());
        }

        private Instant instant(LocalDateTime local) {
            return local.atZone(zone()).toInstant();
        }

        Course course() {
            return stored.decisions().course(reminding.section().course()).orElseThrow();
        }

        /** Those that it goes to; none where it goes to who teaches. */
        List<Student> students() {
            if (guest != null) {
                return reminding.own() ? List.of() : List.of(guest);
            }
            Set<String> ids = Set.copyOf(reminding.students());
            return course().section(reminding.section().section()).orElseThrow().students().stream()
                    .filter(student -> ids.contains(student.id()))
                    .toList();
        }
    }

    /**
     * All remindings of a term, or of one course of it, as they are seen at a moment, in order of time.
     *
     * @param course code; null for all
     */
    List<Planned> of(Stored stored, @Nullable String course, Instant now) {
        List<Course> courses = stored.decisions().courses().stream()
                .filter(c -> course == null || c.code().equals(course))
                .filter(c -> !c.besides().reminders().isEmpty())
                .toList();
        if (courses.isEmpty()) {
            return List.of();
        }
        Schedule schedule = readers.schedule(stored);
        LocalDateTime local = now.atZone(stored.decisions().term().zone()).toLocalDateTime();
        Map<String, Map<String, Set<ThingRef>>> handedIn = new HashMap<>();
        book.of(stored.termId())
                .forEach(one -> handedIn.computeIfAbsent(one.course(), c -> new HashMap<>())
                        .computeIfAbsent(one.student(), s -> new HashSet<>())
                        .add(new ThingRef(one.course(), one.item())));
        Set<String> stopped = stopped(stored.termId());
        List<Planned> planned = new ArrayList<>();
        for (Course of : courses) {
            for (SectionSchedule in : schedule.sections(of.code())) {
                Map<String, Set<ThingRef>> done = handedIn.getOrDefault(of.code(), Map.of());
                Remindings.of(schedule, in, done, local)
                        .forEach(r -> planned.add(new Planned(stored, r, stopped.contains(r.key()))));
            }
        }
        bookings(stored, schedule, courses, stopped, planned);
        planned.sort(Comparator.comparing(Planned::at).thenComparing(Planned::date));
        return planned;
    }

    /** Of each booking that is held, those of the first of its person's courses that reminds of bookings, else of the first that has the hours. */
    private void bookings(
            Stored stored, Schedule schedule, List<Course> courses, Set<String> stopped, List<Planned> planned) {
        List<Course> reminding = courses.stream()
                .filter(c -> c.besides().reminders().stream().anyMatch(ReminderPlans::ofBooking))
                .toList();
        if (reminding.isEmpty()) {
            return;
        }
        for (Booking booking : bookings.of(stored.termId())) {
            OfficeHours hours = !booking.held()
                    ? null
                    : stored.decisions().officeHours(booking.hours).orElse(null);
            if (hours != null) {
                reminding.stream()
                        .filter(c -> hours.isFor(c.code()))
                        .flatMap(c -> schedule.sections(c.code()).stream())
                        .min(Comparator.comparing(s -> student(s, booking).isEmpty()))
                        .ifPresent(s -> s.course().besides().reminders().stream()
                                .filter(ReminderPlans::ofBooking)
                                .map(r -> reminding(r, s, hours, booking))
                                .forEach(r -> planned.add(
                                        new Planned(stored, r, stopped.contains(r.key()), guest(s, booking)))));
            }
        }
    }

    /** Who booked on the class's page with an address, and is on no roster; null for whoever is on one. */
    private static @Nullable Student guest(SectionSchedule in, Booking booking) {
        String mail = booking.mail;
        return student(in, booking).isPresent() || mail == null || mail.isBlank()
                ? null
                : new Student(mail, booking.personName.isBlank() ? mail : booking.personName, mail);
    }

    private static boolean ofBooking(Reminder reminder) {
        return reminder.before() == Reminder.Before.BOOKING;
    }

    private static Optional<Student> student(SectionSchedule in, Booking booking) {
        return in.section().students().stream()
                .filter(s -> Person.of(s).same(booking.person()))
                .findFirst();
    }

    private static Reminding reminding(Reminder reminder, SectionSchedule in, OfficeHours hours, Booking booking) {
        boolean own = reminder.to() == Reminder.Whom.INSTRUCTOR;
        String title = own ? hours.title() + ", " + booking.personName : hours.title();
        return new Reminding(
                reminder,
                in.ref(),
                null,
                booking.place.isEmpty() ? title : title + ", " + booking.place,
                booking.starts,
                reminder.lead().of(booking.starts),
                own ? List.of() : student(in, booking).map(s -> List.of(s.id())).orElse(List.of()),
                booking.uid);
    }

    private Set<String> stopped(long termId) {
        return new HashSet<>(entities.createQuery("select name from StoppedReminding where termId = :t", String.class)
                .setParameter("t", termId)
                .getResultList());
    }
}
