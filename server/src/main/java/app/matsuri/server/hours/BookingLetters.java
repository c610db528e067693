package app.matsuri.server.hours;

import app.matsuri.core.plan.OfficeHours;
import app.matsuri.exchange.calendar.Invitation;
import app.matsuri.server.account.Account;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Letters about bookings, with the invitation or its withdrawal, to who booked and to who teaches. */
@Component
class BookingLetters {

    private final EntityManager entities;
    private final Letters letters;
    private final Seeing seeing;
    private final Clock clock;

    BookingLetters(EntityManager entities, Letters letters, Seeing seeing, Clock clock) {
        this.entities = entities;
        this.letters = letters;
        this.seeing = seeing;
        this.clock = clock;
    }

    /** It was made. */
    void booked(Stored stored, OfficeHours hours, Booking booking) {
        write(stored, hours.title(), booking, "booked", hours.howToCome(), false);
    }

    /** It is when or where it was not. */
    void moved(Stored stored, String title, Booking booking) {
        write(stored, title, booking, "moved", "", false);
    }

    /**
     * It is no longer held.
     *
     * @param byTeacher whether who booked did not give it back themselves
     */
    void gone(Stored stored, String title, Booking booking, boolean byTeacher) {
        write(stored, title, booking, byTeacher ? "withdrawn" : "back", booking.why, true);
    }

    /** Its slot is there again; who had booked is asked, and nothing is put back. */
    void again(Stored stored, String title, Booking booking) {
        PageWords words = words(booking);
        String when = when(words, booking);
        if (booking.mail != null) {
            letters.write(
                    workspace(stored),
                    stored.decisions().term().zone(),
                    booking.mail,
                    words.say("hours.mail.again.subject", title, when),
                    text(
                            words.say("mail.hello", booking.personName),
                            words.say("hours.mail.again", title, when),
                            page(booking)));
        }
    }

    private void write(Stored stored, String title, Booking booking, String what, String more, boolean cancelled) {
        List<Account> teaching = entities.createQuery(
                        "from Account where workspaceId = :w and mail <> '' order by id", Account.class)
                .setParameter("w", workspace(stored))
                .getResultList();
        PageWords words = words(booking);
        PageWords english = seeing.words(Locale.ENGLISH);
        String calendar =
                invitation(stored, title, booking, teaching, cancelled).text();
        if (booking.mail != null) {
            String body = text(
                    words.say("mail.hello", booking.personName),
                    words.say("hours.mail." + what, title, when(words, booking)),
                    more,
                    booking.link,
                    booking.about.isEmpty() ? "" : words.say("hours.about") + ": " + booking.about,
                    page(booking));
            send(
                    stored,
                    booking.mail,
                    words.say("hours.mail." + what + ".subject", title, when(words, booking)),
                    body,
                    calendar);
        }
        for (Account account : teaching) {
            String who = booking.people > 1 ? booking.personName + " (" + booking.people + ")" : booking.personName;
            String body = text(
                    english.say("hours.mail.teacher." + what, who, title, when(english, booking)),
                    more,
                    booking.about.isEmpty() ? "" : english.say("hours.about") + ": " + booking.about);
            send(
                    stored,
                    account.mail,
                    english.say("hours.mail.teacher." + what + ".subject", who, when(english, booking)),
                    body,
                    calendar);
        }
    }

    private void send(Stored stored, String to, String subject, String body, String calendar) {
        Letter letter = new Letter();
        letter.workspaceId = workspace(stored);
        letter.recipient = to;
        letter.subject = subject;
        letter.body = body;
        letter.calendar = calendar;
        letter.moment = Instant.now(clock);
        letter.zone = stored.decisions().term().zone().getId();
        letters.write(letter);
    }

    private Invitation invitation(
            Stored stored, String title, Booking booking, List<Account> teaching, boolean cancelled) {
        Invitation.Who organizer = teaching.isEmpty()
                ? new Invitation.Who(title, letters.from())
                : new Invitation.Who(teaching.get(0).displayName, teaching.get(0).mail);
        List<Invitation.Who> attendees = new ArrayList<>();
        String mail = booking.mail;
        if (mail != null) {
            attendees.add(new Invitation.Who(booking.personName, mail));
        }
        return new Invitation(
                cancelled,
                booking.uid + "@matsuri",
                booking.sequence,
                Instant.now(clock),
                stored.decisions().term().zone(),
                booking.starts,
                booking.ends,
                title + ", " + booking.personName,
                booking.about,
                booking.place,
                booking.link.matches("https?://[^\\s\"<>\\\\^`{|}]+") ? booking.link : "",
                organizer,
                attendees.isEmpty() ? List.of(organizer) : attendees);
    }

    private PageWords words(Booking booking) {
        return seeing.words(Locale.forLanguageTag(booking.language));
    }

    private static String when(PageWords words, Booking booking) {
        LocalDateTime end = booking.ends;
        String when = words.say(
                "moment",
                words.day(booking.starts.toLocalDate()),
                words.say("span", words.time(booking.starts), words.end(booking.starts, end)));
        return booking.place.isEmpty() ? when : when + ", " + booking.place;
    }

    private String page(Booking booking) {
        return booking.page.isEmpty() ? "" : letters.address() + booking.page + "/hours?booking=" + booking.uid;
    }

    private long workspace(Stored stored) {
        return entities.createQuery("select workspaceId from TermRecord where id = :t", Long.class)
                .setParameter("t", stored.termId())
                .getSingleResult();
    }

    /** What is not empty, apart by empty lines. */
    private static String text(String... parts) {
        return String.join("\n\n", Stream.of(parts).filter(p -> !p.isBlank()).toList()) + "\n";
    }
}
