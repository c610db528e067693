package app.matsuri.server.reminder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;

/** What a letter reminds of; several rows where one letter has several things. */
@Entity
@IdClass(Reminded.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class Reminded {

    /** What names the row. */
    record Key(long letterId, String name) {}

    @Id
    public long letterId;

    /** Of the reminding. */
    @Id
    public String name;

    public long termId;
    public String course;
    public String title;
}
