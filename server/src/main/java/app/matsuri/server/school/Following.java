package app.matsuri.server.school;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** That a term follows a calendar, and what it took of it. */
@Entity
@Table(name = "school_following")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class Following {

    @Id
    long termId;

    long calendarId;

    /** A term as the plan file writes it, with what was taken. */
    String taken;

    /** Keys of lines that were left, as a JSON list. */
    String leftOut = "[]";
}
