package app.matsuri.server.whatif;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A named what-if of a term: changes beside the plan, which they follow. */
@Entity
@Table(name = "what_if")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class WhatIf {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    long termId;
    public String name;
    Instant createdAt;

    /** Raised by each step that is made, taken back or made again. */
    long revision;
}
