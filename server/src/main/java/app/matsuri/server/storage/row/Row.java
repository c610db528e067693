package app.matsuri.server.storage.row;

/** One row of a table that holds decisions. Fields are columns; the key names it within all tables of its kind. */
public sealed interface Row
        permits CalendarRow,
                ClosureRow,
                CourseRow,
                SectionRow,
                StudentRow,
                PatternRow,
                SessionChangeRow,
                SectionLessonRow,
                SectionSessionRow,
                TaughtRow,
                AdjustmentRow,
                UnitRow,
                LessonRow,
                ItemRow,
                NoticeRow,
                RhythmRow,
                DayNoteRow,
                WeekNoteRow,
                ToldSessionRow,
                ToldWorkRow,
                TellingRow {

    Object key();

    /** Whether it is for oneself, or of a single student: who may only look does not hear of it. */
    @com.fasterxml.jackson.annotation.JsonIgnore
    default boolean ofOneself() {
        return false;
    }
}
