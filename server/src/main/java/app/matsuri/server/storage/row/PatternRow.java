package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** When a section meets. */
@Entity
@Table(name = "meeting_pattern")
@IdClass(PatternRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class PatternRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, int position) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public int position;

    public @Nullable String rule;
    public @Nullable String letters;
    public LocalTime startTime;
    public int minutes;
    public String place;
    public String link;
    public @Nullable LocalDate validFrom;
    public @Nullable LocalDate validUntil;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, section, position);
    }
}
