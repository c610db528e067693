package app.matsuri.server.link;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A link that shows something to whoever has its address. The address is made of its id and generation under a key that is not in the
 * database; of the address there is a hash.
 */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class PublicLink {

    /** What a link shows. */
    public enum Kind {
        /** What a section was told. */
        SECTION,
        /** What a student was told, in all courses of the workspace. */
        STUDENT,
        /** When a place is taken, and by which section. */
        PLACE,
        /** The classes of some days as they are planned, with steps and private notes, for whoever takes them. */
        RUN,
        /** Everything of a term as it is planned, private notes too: one's own calendar. */
        OWN
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long workspaceId;

    /** Null for a student who can be found in every term, by number or address. */
    public @Nullable Long termId;

    @Enumerated(EnumType.STRING)
    public Kind kind;

    public @Nullable String course;
    public @Nullable String section;

    /** Of a student of whom nothing but a name is known, the id within the course above; else null. */
    public @Nullable String student;

    /** Of a student; null where there is none. */
    public @Nullable String rosterNumber;

    /** Of a student; null where there is none. */
    public @Nullable String mail;

    /** Null for another kind of link. */
    public @Nullable String place;

    /** The first day whose classes it shows; null for another kind of link. */
    public @Nullable LocalDate firstDay;

    /** The last one. */
    public @Nullable LocalDate lastDay;

    /** How often it was made anew. */
    public int generation;

    /** Of its address; null only until it has an id. */
    public @Nullable String hash;

    public LocalDate madeOn;

    /** The last day on which it was opened; null for never. */
    public @Nullable LocalDate lastUsedOn;

    /** Null while it shows something. */
    public @Nullable LocalDate withdrawnOn;

    /** Whether it shows something. */
    public boolean open() {
        return withdrawnOn == null;
    }
}
