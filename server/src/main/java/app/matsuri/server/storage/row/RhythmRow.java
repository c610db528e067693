package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** A rhythm of a course; what each time brings as JSON. */
@Entity
@Table(name = "rhythm")
@IdClass(RhythmRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class RhythmRow implements Row {

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
    public String weekdays;
    public String words;
    public int everyNth;
    public int beginNth;
    public int times;
    public String yielded;
    public String parts;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, id);
    }
}
