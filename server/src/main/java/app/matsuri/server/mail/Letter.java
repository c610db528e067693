package app.matsuri.server.mail;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A mail, kept from when it is written. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Letter {

    /** What became of a letter. */
    public enum State {
        /** It waits to go out, for the first time or again. */
        WAITING,
        /** Somebody has claimed it and sends it now. */
        SENDING,
        /** It went out, or where mail is simulated, it would have. */
        SENT,
        /** The mail server did not take it, however often. */
        FAILED,
        /** Its moment passed before it could go out. */
        MISSED,
        /** The server stopped while it was sent: it may have gone out, and is not sent twice. */
        UNSURE
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long workspaceId;

    /** Names it where it must go out once, whoever writes it; null where it may go out again. */
    public @Nullable String name;

    public String recipient;
    public String subject;

    /** Plain words. */
    public String body;

    /** The same as a page; empty for plain words alone. */
    public String html = "";

    /** Where the reader may say that no more shall come; empty where it is no reminder. */
    public String stopAddress = "";

    /** An invitation or its withdrawal as text/calendar; empty for none. */
    public String calendar = "";

    /** When it was to go out. */
    public Instant moment;

    /** The zone of the term that it is of, in which its moment is said. */
    public String zone;

    @Enumerated(EnumType.STRING)
    public State state;

    /** How often it was tried. */
    public int tries;

    /** Null unless it waits. */
    public @Nullable Instant nextTry;

    public Instant changedAt;

    /** What the mail server said last; empty for nothing. */
    public String fault = "";
}
