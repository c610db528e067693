package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.math.BigDecimal;

/** An item of a unit; its date rules as JSON. */
@Entity
@Table(name = "item")
@IdClass(ItemRow.Key.class)
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
    public String lesson;
    public String kind;
    public String title;
    public String shortName;
    public BigDecimal points;
    public Integer minutes;
    public String marking;
    public boolean locked;
    public int place;
    public String opens;
    public String due;
    public String closes;
    public String withinItem;
    public String instructions;
    public String handIn;
    public String handInPlace;
    public String links;
    public String files;
    public String onlySections;
    public String audience;
    public String shared;
    public Boolean hidden;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
