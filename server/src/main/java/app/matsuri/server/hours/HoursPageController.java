package app.matsuri.server.hours;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Student;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.hours.HoursPages.Offered;
import app.matsuri.server.hours.HoursPages.Said;
import app.matsuri.server.link.Person;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Previews;
import app.matsuri.server.page.PublicPage;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where office hours are looked at, booked and given back: by a student's link in one press, by the class's with name and address. */
@Hidden
@PublicPage
@Controller
class HoursPageController {

    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_ABOUT = 1000;
    private static final int MOST_PEOPLE = 500;

    private final Seeing seeing;
    private final Previews previews;
    private final HoursPages pages;
    private final Bookings bookings;

    HoursPageController(Seeing seeing, Previews previews, HoursPages pages, Bookings bookings) {
        this.seeing = seeing;
        this.previews = previews;
        this.pages = pages;
        this.bookings = bookings;
    }

    private List<Seen> seen(String token, HttpServletResponse response) {
        PublicLink link = seeing.open(token);
        if (link.kind != PublicLink.Kind.SECTION && link.kind != PublicLink.Kind.STUDENT) {
            throw new NothingHere();
        }
        seeing.framed(link, response);
        List<Seen> seen = seeing.seen(link, token);
        seeing.speak(seeing.words(seen.get(0)));
        return seen;
    }

    @GetMapping("/see/{token}/hours")
    String look(
            @PathVariable String token,
            @RequestParam(required = false) @Nullable String booking,
            HttpServletResponse response,
            Model model) {
        Said said = new Said("", true, "", "", "", booking);
        return page(seen(token, response), token, said, model);
    }

    /** As the class or a student sees it, for whoever may look at the term; nothing can be booked there. */
    @GetMapping("/preview/{termId}/{who}/hours")
    String preview(
            @PathVariable String termId,
            @PathVariable String who,
            @AuthenticationPrincipal @Nullable SignedIn by,
            Model model) {
        List<Seen> seen = previews.seen(by, termId, who);
        seeing.speak(seeing.words(seen.get(0)));
        model.addAttribute("page", pages.page(seen, "", Said.NOTHING));
        return "hours";
    }

    @PostMapping("/see/{token}/hours")
    String book(
            @PathVariable String token,
            @RequestParam String slot,
            @RequestParam(name = "name", defaultValue = "") String who,
            @RequestParam(defaultValue = "") String mail,
            @RequestParam(defaultValue = "") String about,
            @RequestParam(required = false) @Nullable Integer people,
            HttpServletResponse response,
            Model model) {
        List<Seen> seen = seen(token, response);
        Said typed =
                new Said("", true, cut(who, LONGEST_NAME), cut(mail, LONGEST_NAME), cut(about, LONGEST_ABOUT), null);
        int at = slot.lastIndexOf(' ');
        String hours = at < 0 ? "" : slot.substring(0, at);
        Offered offered = HoursPages.offered(seen).stream()
                .filter(o -> o.key().equals(hours))
                .findFirst()
                .orElseThrow(NothingHere::new);
        PageWords words = seeing.words(seen.get(0));
        LocalDateTime name;
        try {
            name = LocalDateTime.parse(slot.substring(at + 1));
        } catch (DateTimeException e) {
            throw new NothingHere();
        }
        Student student = seen.get(0).sees().student();
        boolean known = student != null;
        String by = student != null ? student.name() : typed.name().strip();
        Person person = student != null
                ? person(student)
                : new Person(null, typed.mail().strip().toLowerCase(Locale.ROOT));
        if (!known && (by.isBlank() || !typed.mail().strip().matches("[^@\\s,;<>\"]+@[^@\\s,;<>\"]+"))) {
            return page(seen, token, typed.of(words.say("hours.not.who"), false), model);
        }
        int size = people == null || Bookings.alone(offered.hours())
                ? Bookings.fewest(offered.hours())
                : Math.max(0, Math.min(MOST_PEOPLE, people));
        Bookings.Answer answer = bookings.book(
                offered.stored().termId(),
                new Bookings.Wish(
                        offered.hours().id(),
                        name,
                        size,
                        by,
                        person,
                        known || onRoster(offered, person),
                        typed.about().strip(),
                        Seeing.base(token),
                        words.language(),
                        false));
        return page(seen, token, pages.said(typed, answer, words), model);
    }

    @PostMapping("/see/{token}/hours/back")
    String back(@PathVariable String token, @RequestParam String booking, HttpServletResponse response, Model model) {
        List<Seen> seen = seen(token, response);
        PageWords words = seeing.words(seen.get(0));
        Student student = seen.get(0).sees().student();
        Said said = Said.NOTHING;
        for (Stored stored :
                seen.stream().map(s -> s.sees().stored()).distinct().toList()) {
            Optional<Booking> found = bookings.find(stored.termId(), booking)
                    .filter(b -> student == null || b.person().same(person(student)));
            if (found.isPresent()) {
                Optional<Boolean> done = bookings.giveBack(stored.termId(), booking, false, "");
                if (done.isPresent()) {
                    said = done.get()
                            ? said.of(
                                    words.say(
                                            "hours.given",
                                            HoursPages.when(words, found.get().starts, found.get().ends)),
                                    true)
                            : new Said(words.say("hours.back.late"), false, "", "", "", booking);
                }
            }
        }
        return page(seen, token, said, model);
    }

    /** Who a student is; by the roster's entry where that has no number and no address, as the link is of that very entry. */
    static Person person(Student student) {
        Person person = Person.of(student);
        return person.known() ? person : new Person(student.id(), null);
    }

    /** Whether somebody is on a roster of a course that the hours are for; never said to who asks. */
    private static boolean onRoster(Offered offered, Person person) {
        for (Course course : offered.stored().decisions().courses()) {
            if (offered.hours().isFor(course.code())
                    && course.sections().stream()
                            .flatMap(s -> s.students().stream())
                            .anyMatch(s -> Person.of(s).same(person))) {
                return true;
            }
        }
        return false;
    }

    private String page(List<Seen> seen, String token, Said said, Model model) {
        model.addAttribute("page", pages.page(seen, Seeing.base(token) + "/hours", said));
        return "hours";
    }

    private static String cut(String text, int most) {
        String plain = text.replaceAll("\\p{Cntrl}", " ");
        return plain.length() > most ? plain.substring(0, most) : plain;
    }
}
