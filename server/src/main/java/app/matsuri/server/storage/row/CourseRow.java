package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** A course. */
@Entity
@Table(name = "course")
@IdClass(CourseRow.Key.class)
public final class CourseRow implements Row {

    /** What names the row. */
    public record Key(long termId, String code) {}

    @Id
    public long termId;

    @Id
    public String code;

    public int position;
    public String title;
    public Integer requiredMinutes;
    public String asks;
    public int usualMinutes;
    public int weekLimit;
    public String weights;
    public String took;
    public String waits;
    public int dayLimit;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, code);
    }
}
