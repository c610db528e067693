package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A lesson of a unit. */
@Entity
@Table(name = "lesson")
@IdClass(LessonRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class LessonRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String id) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String id;

    public String unit;
    public int position;
    public String title;
    public int length;
    public int minLength;
    public boolean optional;
    public boolean joinable;
    public boolean reserve;
    public @Nullable LocalDate pin;
    public int gapBefore;
    public String notes;
    public @Nullable String objectives;
    public @Nullable String steps;
    public @Nullable String links;
    public @Nullable String files;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
