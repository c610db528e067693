package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** A section of a course. */
@Entity
@Table(name = "section")
@IdClass(SectionRow.Key.class)
public final class SectionRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String code) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String code;

    public int position;
    public String instructor;
    public String partOf;
    public String pace;
    public String beat;
    public LocalDate toldUpTo;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, code);
    }
}
