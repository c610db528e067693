package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** A notice of a course; when it is, links and rules as JSON. */
@Entity
@Table(name = "notice")
@IdClass(NoticeRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class NoticeRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String id) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String id;

    public @Nullable String unit;
    public int position;
    public String title;
    public String text;
    public String place;
    public @Nullable String links;
    public @Nullable String files;
    public String occurs;
    public @Nullable String otherTimes;
    public String reach;
    public @Nullable String onlySections;
    public @Nullable String shared;
    public @Nullable String hiddenUntil;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }

    @Override
    public boolean ofOneself() {
        return reach.equals("OWN") || reach.equals("own");
    }
}
