package app.matsuri.server.lanes;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The sections of a term as lanes, one below the other.
 *
 * @param today what is now
 * @param at which day of the term's weeks that is, from 0; before it lies what is past
 * @param days how many days the term's weeks have
 * @param apart tests shared by several courses that fall on different days, a sentence each
 * @param findings how many there are
 */
public record LanesView(
        long termId,
        String name,
        long version,
        LocalDate today,
        int at,
        int days,
        List<LaneWeek> weeks,
        List<LaneOff> off,
        List<LaneUnit> units,
        List<Lane> lanes,
        List<String> apart,
        int findings,
        @Nullable String undo,
        @Nullable String redo) {

    /** A week: its number, its first day, and which day of the term's weeks that is. */
    public record LaneWeek(int number, LocalDate first, int at) {}

    /** A run of days off that concern everyone. */
    public record LaneOff(int at, int days, String reason) {}

    /** How a unit's thread is drawn. */
    public record LaneUnit(
            String course,
            String id,
            String code,
            String title,
            int number,
            @Nullable String colour) {}

    /**
     * One section.
     *
     * @param meets when, in words
     * @param unrecorded classes with a lesson that lie before today and have no record
     * @param behind how many lessons it is behind the section of its course that is furthest at the end of this week, as planned; 0
     *     for that one
     * @param furthest code of that section; null where the course has one section
     * @param standing how it stands, in words
     * @param knots its lessons, a knot a class
     * @param tests those that it shares with other courses
     * @param stands likewise as it stands now, where something is proposed that differs; null otherwise
     */
    public record Lane(
            String course,
            String courseTitle,
            String section,
            String meets,
            int sessions,
            int held,
            int lessons,
            int taught,
            int unrecorded,
            int behind,
            @Nullable String furthest,
            String standing,
            List<LaneKnot> knots,
            @Nullable List<LaneKnot> stands,
            List<LaneTest> tests) {}

    /** A test that several courses share, on its day in a section. */
    public record LaneTest(String course, String id, String title, LocalDate date, int at) {}

    /**
     * A lesson in a class.
     *
     * @param number of the lesson within its unit, from 1
     * @param at which day of the term's weeks
     * @param goesOn it began in an earlier class
     * @param moved a proposal puts it here
     */
    public record LaneKnot(
            String lesson,
            String title,
            String unit,
            int number,
            LocalDate date,
            int at,
            boolean taught,
            boolean goesOn,
            boolean test,
            boolean moved) {}
}
