package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** An item of a unit; its date rules as JSON. */
@Entity
@Table(name = "item")
@IdClass(ItemRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class ItemRow implements Row {

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
    public @Nullable String lesson;
    public String kind;
    public String title;
    public String shortName;
    public @Nullable BigDecimal points;
    public @Nullable Integer minutes;
    public String marking;
    public boolean locked;
    public int place;
    public @Nullable String opens;
    public @Nullable String due;
    public @Nullable String closes;
    public @Nullable String withinItem;
    public @Nullable String instructions;
    public @Nullable String handIn;
    public @Nullable String handInPlace;
    public @Nullable String links;
    public @Nullable String files;
    public @Nullable String onlySections;
    public @Nullable String audience;
    public @Nullable String shared;
    public @Nullable Boolean hidden;
    public @Nullable Boolean draft;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
