package app.matsuri.server.hours;

import app.matsuri.core.change.Find;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.change.hours.PutOfficeHours;
import app.matsuri.core.hours.Offering.Not;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.words.HoursSaid;
import app.matsuri.exchange.words.HoursWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.Person;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.storage.Stored;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Office hours for who teaches: when they are, who comes, and booking for somebody. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/hours", produces = "application/json")
class HoursController {

    private final Access access;
    private final Hours hours;
    private final Bookings bookings;
    private final Links links;
    private final Today today;

    HoursController(Access access, Hours hours, Bookings bookings, Links links, Today today) {
        this.access = access;
        this.hours = hours;
        this.bookings = bookings;
        this.links = links;
        this.today = today;
    }

    @GetMapping
    HoursView hours(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return hours.stands(access.look(by, termId));
    }

    /**
     * Office hours as typed.
     *
     * @param text "Fri 13-14 in 15 min, Weir House 1"
     * @param id of those that it is typed for, whose title and other rules stay; null for new ones
     */
    record HoursTyped(
            @NotNull @Size(max = 2000) String text,
            @Nullable String id) {}

    /**
     * What was understood.
     *
     * @param said the same in words; empty where nothing was understood
     * @param wrong what was not, and what to write
     * @param change that makes it so; null where something is wrong
     */
    record HoursRead(String said, String wrong, @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/reading", consumes = "application/json")
    HoursRead reading(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @Valid @RequestBody HoursTyped typed) {
        Stored stored = access.look(by, termId);
        List<String> codes =
                stored.decisions().courses().stream().map(c -> c.code()).toList();
        HoursWords.Read read =
                HoursWords.read(typed.text(), today.words(stored.decisions().term(), locale), codes);
        if (!read.wrong().isEmpty()) {
            return new HoursRead("", read.wrong(), null);
        }
        OfficeHours was = typed.id() == null ? null : Find.officeHours(stored.decisions(), typed.id());
        OfficeHours now = read.over(was, newId(stored), "Office hours");
        return new HoursRead(HoursSaid.line(now), "", ChangeJson.write(new PutOfficeHours(now)));
    }

    private static String newId(Stored stored) {
        int n = 1;
        while (stored.decisions().officeHours("hours-" + n).isPresent()) {
            n++;
        }
        return "hours-" + n;
    }

    /**
     * A booking by who teaches: for a student, or for somebody who walked in.
     *
     * @param course with section and student, somebody on a roster; null for another, by name
     * @param mail of another; null for none
     */
    record BookingGiven(
            @NotBlank String hours,
            @NotNull LocalDateTime slot,
            @Nullable String course,
            @Nullable String section,
            @Nullable String student,
            @Nullable @Size(max = 200) String name,
            @Nullable @Size(max = 200) String mail,
            @Min(1) @Max(BookingRules.MOST_PLACES) int people,
            @Nullable @Size(max = 1000) String about) {}

    @PostMapping(path = "/bookings", consumes = "application/json")
    HoursView book(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody BookingGiven given) {
        Stored stored = access.change(by, termId);
        Find.officeHours(stored.decisions(), given.hours());
        Bookings.Answer answer = bookings.book(termId, wish(stored, by, given));
        if (answer.booking() == null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-booked",
                    "Not booked",
                    switch (answer.not() == null ? Not.GONE : answer.not()) {
                        case TAKEN -> "The slot has too few places left. Choose another.";
                        case HELD -> "They hold this slot already.";
                        case OPEN -> "These office hours are open without booking.";
                        default -> "There is no such slot any more. Look again.";
                    });
        }
        return hours.stands(access.look(by, termId));
    }

    private Bookings.Wish wish(Stored stored, SignedIn by, BookingGiven given) {
        String about = given.about() == null ? "" : given.about().strip();
        String id = given.student();
        if (id != null && given.course() != null && given.section() != null) {
            Student student = Find.section(stored.decisions(), given.course(), given.section()).students().stream()
                    .filter(s -> s.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> NoSuch.in(given.course() + " " + given.section(), "student", id));
            PublicLink link = links.student(
                    stored,
                    access.workspace(stored.termId()),
                    new SectionRef(given.course(), given.section()),
                    student);
            String language = stored.decisions()
                    .course(given.course())
                    .orElseThrow()
                    .besides()
                    .publishing()
                    .language();
            return new Bookings.Wish(
                    given.hours(),
                    given.slot(),
                    given.people(),
                    student.name(),
                    HoursPageController.person(student),
                    true,
                    about,
                    Seeing.base(links.token(link)),
                    language,
                    true);
        }
        if (given.name() == null || given.name().isBlank()) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-name",
                    "Nobody named",
                    "Say who comes: a student, or a name.");
        }
        String mail = given.mail() == null || given.mail().isBlank()
                ? null
                : given.mail().strip().toLowerCase(Locale.ROOT);
        return new Bookings.Wish(
                given.hours(),
                given.slot(),
                given.people(),
                given.name().strip(),
                new Person(null, mail),
                false,
                about,
                "",
                "en",
                true);
    }

    /** Why a booking is given back; may be empty. */
    record BackGiven(@NotNull @Size(max = 1000) String why) {}

    @PostMapping(path = "/bookings/{uid}/back", consumes = "application/json")
    HoursView back(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable String uid,
            @Valid @RequestBody BackGiven given) {
        access.change(by, termId);
        if (bookings.giveBack(termId, uid, true, given.why().strip()).isEmpty()) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-such-booking",
                    "No such booking",
                    "There is no such booking any more. Look again.");
        }
        return hours.stands(access.look(by, termId));
    }
}
