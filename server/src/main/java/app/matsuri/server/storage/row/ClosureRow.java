package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** A day off or a run of them. */
@Entity
@Table(name = "closure")
@IdClass(ClosureRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class ClosureRow implements Row {

    /** What names the row. */
    public record Key(long termId, String id) {}

    @Id
    public long termId;

    @Id
    public String id;

    public int position;
    public LocalDate firstDay;
    public LocalDate lastDay;
    public @Nullable LocalTime fromTime;
    public @Nullable LocalTime toTime;
    public String reason;
    public String kind;
    public boolean noClass;
    public boolean planPauses;
    public boolean nothingDue;
    public @Nullable String onlyCodes;
    public boolean justInCase;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, id);
    }
}
