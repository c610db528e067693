package app.matsuri.server.telling;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What students were told, section by section.
 *
 * @param differ how many dates differ from what students were told, in all sections
 */
public record TellingView(int differ, List<SectionTold> sections) {

    /**
     * What the students of one section were told.
     *
     * @param students how many stand on its roster
     * @param begun whether they were told anything
     * @param upTo the last day whose dates were told; null for all
     * @param last when they were told last; null where it is not known
     * @param why what they were told as the reason then; may be empty
     * @param sessions classes that are at another time or place than they were told
     * @param dates those that differ; before they were told anything, all that there is to tell
     */
    public record SectionTold(
            String course,
            String section,
            int students,
            boolean begun,
            @Nullable LocalDate upTo,
            @Nullable LocalDateTime last,
            String why,
            List<UntoldDate> dates,
            List<UntoldSession> sessions) {

        /** How many dates and classes differ from what they were told. */
        int differing() {
            return begun ? dates.size() + sessions.size() : 0;
        }
    }

    /**
     * A class that is not when or where students were told it.
     *
     * @param told when and where, in words; "nothing yet" for none
     * @param now likewise; "no class" for none
     */
    public record UntoldSession(LocalDateTime session, String told, String now) {}

    /**
     * A date that is not what students were told.
     *
     * @param what "lesson", "opens", "due" or "closes"
     * @param told null for nothing yet
     * @param now null for no such date any more
     * @param days of a due or closing date: as many days more, or where negative less; 0 for the same day; null where
     *     there are not two
     * @param becomesLate students whom telling a due date makes late, by the grade book
     * @param noLongerLate students who are no longer late then
     * @param handedIn how many have handed it in
     */
    public record UntoldDate(
            String what,
            String id,
            String title,
            @Nullable LocalDateTime told,
            @Nullable LocalDateTime now,
            @Nullable Integer days,
            int becomesLate,
            int noLongerLate,
            int handedIn) {}
}
