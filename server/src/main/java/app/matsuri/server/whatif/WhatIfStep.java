package app.matsuri.server.whatif;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** One change of a what-if, as it was asked for. */
@Entity
@Table(name = "what_if_step")
@IdClass(WhatIfStep.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class WhatIfStep {

    /** What names the row. */
    record Key(long whatIfId, int position) {}

    @Id
    long whatIfId;

    @Id
    int position;

    public String sentence;

    /** As JSON. */
    String changed;

    boolean undone;
}
