package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** A unit of a course. */
@Entity
@Table(name = "unit")
@IdClass(UnitRow.Key.class)
public final class UnitRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String id) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String id;

    public int position;
    public String code;
    public String title;
    public boolean startsWeek;
    public String yields;
    public String colour;
    public String opens;
    public String due;
    public String closes;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
