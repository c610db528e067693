package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** A unit of a course. */
@Entity
@Table(name = "unit")
@IdClass(UnitRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
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
    public @Nullable Boolean draft;
    public @Nullable String yields;
    public @Nullable String colour;
    public @Nullable String opens;
    public @Nullable String due;
    public @Nullable String closes;
    public @Nullable String links;
    public @Nullable String files;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
