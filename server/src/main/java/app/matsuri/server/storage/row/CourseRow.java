package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** A course. */
@Entity
@Table(name = "course")
@IdClass(CourseRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class CourseRow implements Row {

    /** What names the row. */
    public record Key(long termId, String code) {}

    @Id
    public long termId;

    @Id
    public String code;

    public int position;
    public String title;
    public @Nullable Integer requiredMinutes;
    public @Nullable String asks;
    public int usualMinutes;
    public int weekLimit;
    public @Nullable String weights;
    public @Nullable String publishing;
    public @Nullable String reminders;
    public @Nullable String took;
    public @Nullable String waits;
    public int dayLimit;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, code);
    }
}
