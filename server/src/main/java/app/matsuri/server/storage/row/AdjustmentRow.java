package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** Other dates of an item for a section (student empty) or for one of its students; the dates as JSON. */
@Entity
@Table(name = "adjustment")
@IdClass(AdjustmentRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class AdjustmentRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, String item, String student) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public String item;

    @Id
    public String student;

    public int position;
    public String dates;
    public String why;

    @Override
    public Object key() {
        return new Key(termId, course, section, item, student);
    }

    @Override
    public boolean ofOneself() {
        return !student.isEmpty();
    }
}
