package app.matsuri.exchange.sheet;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a part of a row is.
 *
 * @param row the row it stands in, from 1; 0 for the whole sheet
 */
public sealed interface Entry {

    int row();

    /** What is unclear about it, a sentence each. */
    List<String> doubts();

    /** A unit begins. */
    record UnitBegins(int row, String title, List<String> doubts) implements Entry {}

    /**
     * A lesson.
     *
     * @param sessions how many classes it takes, 1 or more
     * @param day the day that the sheet says; null for none
     * @param week the week of the term that the sheet says, from 1; 0 for none
     * @param opensWeek whether it is the first of its row, which stands for a week
     * @param same whether the row says that it is the lesson before, once more
     */
    record Taught(
            int row,
            String title,
            int sessions,
            @Nullable LocalDate day,
            int week,
            boolean opensWeek,
            boolean same,
            String objectives,
            List<String> doubts)
            implements Entry {}

    /**
     * Work.
     *
     * @param lesson the lesson it belongs to; null for that of the unit alone, or for one outside the classes
     * @param day the day of its row, for work outside the classes; null for none
     * @param week the first day of the week that its row stands for; null where it stands for a class
     */
    record Given(
            Work work,
            @Nullable Taught lesson,
            @Nullable LocalDate day,
            @Nullable LocalDate week) implements Entry {
        @Override
        public int row() {
            return work.row();
        }

        @Override
        public List<String> doubts() {
            return work.doubts();
        }
    }

    /**
     * Neither.
     *
     * @param why in few words
     */
    record Nothing(int row, String why, List<String> doubts) implements Entry {}

    static Entry nothing(int row, String why) {
        return new Nothing(row, why, new ArrayList<>());
    }

    static Entry doubt(int row, String doubt) {
        return new Nothing(row, "", new ArrayList<>(List.of(doubt)));
    }

    /** A span of times on a day. */
    record Span(LocalDate day, LocalTime start, LocalTime end) {}
}
