package app.matsuri.core.proposal;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClassesTakenTest {

    private static final Decisions PLAN = Decisions.of(
            demoTerm(),
            List.of(Course.of("HYD 210", "Reading Rivers", 50, List.of(sectionA(), sectionB()), List.of())));

    private static String says(String first, String last) {
        LocalDate from = day(first);
        return ClassesTaken.say(
                ClassesTaken.of(PLAN, List.of(Closure.of(from, day(last), "Off", "other")))
                        .get(0),
                true);
    }

    @Test
    void aDayOffSaysWhichClassesItTakesFromWhom() {
        assertThat(says("2026-10-09", "2026-10-09")).isEqualTo("takes class 17 from A");
        assertThat(says("2026-11-11", "2026-11-12")).isEqualTo("takes class 30 from A, class 21 from B");
        assertThat(says("2026-09-14", "2026-09-18")).isEqualTo("takes classes 6 to 8 from A, classes 5, 6 from B");
    }

    @Test
    void aDayThatIsOffAlreadyOrDoesNotTeachTakesNothing() {
        assertThat(says("2026-09-07", "2026-09-07")).isEqualTo("no class is lost");
        assertThat(says("2026-10-10", "2026-10-11")).isEqualTo("no class is lost");
    }

    @Test
    void eachIsAskedAlone() {
        List<List<ClassesTaken>> both = ClassesTaken.of(
                PLAN,
                List.of(
                        Closure.of(day("2026-10-09"), day("2026-10-09"), "One", "other"),
                        Closure.of(day("2026-10-14"), day("2026-10-14"), "Two", "other")));
        assertThat(both.get(1).get(0).numbers()).containsExactly(18);
    }
}
