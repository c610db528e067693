package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A section of a course. */
@Entity
@Table(name = "section")
@IdClass(SectionRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
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
    public @Nullable String instructor;
    public @Nullable String partOf;
    public String pace;
    public @Nullable String beat;
    public @Nullable LocalDate toldUpTo;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, code);
    }
}
