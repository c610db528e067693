package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** Someone on a section's roster. */
@Entity
@Table(name = "student")
@IdClass(StudentRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class StudentRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, String id) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public String id;

    public int position;
    public String name;
    public String mail;

    @Override
    public Object key() {
        return new Key(termId, course, section, id);
    }
}
