package app.matsuri.server.school;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Set;
import java.util.TreeSet;

/** A calendar that somebody keeps for others: the days of one or more of their terms, by a link. */
@Entity
@Table(name = "school_calendar")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class SchoolCalendar {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    long workspaceId;
    String name;

    /** What its link ends with. */
    String token;

    boolean withdrawn;
    Instant madeAt;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "school_calendar_term", joinColumns = @JoinColumn(name = "calendar_id"))
    @Column(name = "term_id")
    Set<Long> terms = new TreeSet<>();
}
