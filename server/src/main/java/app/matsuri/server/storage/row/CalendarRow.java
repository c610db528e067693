package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A term's calendar: its bounds, weekdays and swapped days. */
@Entity
@Table(name = "calendar")
@IdClass(CalendarRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class CalendarRow implements Row {

    /** What names the row. */
    public record Key(long termId) {}

    @Id
    public long termId;

    public String name;
    public LocalDate firstDay;
    public LocalDate lastDay;
    public String zone;
    public String weekdays;
    public String weekStart;
    public @Nullable LocalDate firstPlanDay;
    public String extraDays;
    public String runsAs;
    public @Nullable String rotation;
    public @Nullable String officeHours;
    public String extra;
    public String fileExtra;

    @Override
    public Object key() {
        return new Key(termId);
    }
}
