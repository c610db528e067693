package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** What a section decided about one lesson. */
@Entity
@Table(name = "section_lesson")
@IdClass(SectionLessonRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class SectionLessonRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, String lesson) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public String lesson;

    public boolean leftOut;
    public @Nullable Integer gap;
    public @Nullable Integer length;
    public @Nullable LocalDate pin;
    public boolean pinTakenAway;
    public boolean joined;
    public boolean midWeek;
    public boolean partly;
    public @Nullable Integer minutesHad;
    public @Nullable String note;
    public @Nullable LocalDate told;

    @Override
    public Object key() {
        return new Key(termId, course, section, lesson);
    }
}
