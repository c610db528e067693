package app.matsuri.server.hours;

import app.matsuri.core.hours.Slot;
import app.matsuri.server.link.Person;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A slot that somebody booked. No decision: an undo of the plan leaves it, and it follows its slot. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Booking {

    /** What became of it. */
    public enum State {
        HELD,
        /** By who booked, or by who teaches for them. */
        GIVEN_BACK,
        /** Its slot went away. */
        WITHDRAWN,
        /** Its slot went away and is there again: who had booked was asked. */
        ASKED
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long termId;

    /** Id of the office hours. */
    public String hours;

    /** The slot's name: the start it first had. */
    public LocalDateTime slot;

    /** How many come, each on a place. */
    public int people;

    public String personName;
    public @Nullable String mail;
    public @Nullable String rosterNumber;

    /** Whether the person is on a roster of the courses that the hours are for. */
    public boolean onRoster;

    public String about;

    @Enumerated(EnumType.STRING)
    public State state;

    /** When and where, as last said to who booked. */
    public LocalDateTime starts;

    public LocalDateTime ends;
    public String place;
    public String link;

    /** Why it is no longer held; empty for nothing said. */
    public String why = "";

    public Instant madeAt;
    public Instant changedAt;

    /** Names it in invitations and addresses; not to be guessed. */
    public String uid;

    public int sequence;

    /** Where the person's page is, without the host; empty for none. */
    public String page;

    /** In which language the person is written to. */
    public String language;

    public boolean held() {
        return state == State.HELD;
    }

    public Person person() {
        return new Person(rosterNumber, mail);
    }

    /** Whether it was last said to be when and where the slot is. */
    boolean stands(Slot slot) {
        return slot.start().equals(starts)
                && slot.end().equals(ends)
                && slot.place().equals(place)
                && slot.link().equals(link);
    }

    /** Takes over when and where the slot is. */
    void standAs(Slot at) {
        starts = at.start();
        ends = at.end();
        place = at.place();
        link = at.link();
    }
}
