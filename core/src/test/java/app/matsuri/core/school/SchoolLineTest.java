package app.matsuri.core.school;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.school.SchoolLine.State;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** A term that follows a school's calendar. */
class SchoolLineTest {

    private static final Term PLAIN = demoTerm().withClosures(List.of()).withMarks(new TreeSet<>(), new TreeMap<>());
    private static final Closure BREAK = off("2026-10-12", "2026-10-13", "Autumn break");

    private static Closure off(String first, String last, String reason) {
        return Closure.of(day(first), day(last), reason, "break");
    }

    private static Term with(Closure... closures) {
        return PLAIN.withClosures(List.of(closures));
    }

    private static List<SchoolLine> lines(Term taken, Term published, Term mine) {
        return SchoolLine.of(new LinkedHashSet<>(SchoolDay.of(taken)), SchoolDay.of(published), mine);
    }

    private static List<State> states(Term taken, Term published, Term mine) {
        return lines(taken, published, mine).stream().map(SchoolLine::state).toList();
    }

    private static Term take(Term mine, List<SchoolLine> lines) {
        Decisions now = Decisions.of(mine, List.of());
        for (SchoolLine line : lines) {
            now = Change.make(line.change(), now).decisions();
        }
        return now.term();
    }

    @Test
    void whatIsNewChangedAndGoneIsProposedAndTakenIsInStep() {
        Closure later = off("2026-10-14", "2026-10-16", "Autumn break");
        assertThat(states(PLAIN, with(BREAK), PLAIN)).containsExactly(State.NEW);
        assertThat(take(PLAIN, lines(PLAIN, with(BREAK), PLAIN)).closures()).containsExactly(BREAK);
        List<SchoolLine> changed = lines(with(BREAK), with(later), with(BREAK));
        assertThat(changed).extracting(SchoolLine::state).containsExactly(State.CHANGED);
        assertThat(changed.get(0).said()).contains("it was").contains("12");
        assertThat(take(with(BREAK), changed).closures()).containsExactly(later);
        List<SchoolLine> gone = lines(with(BREAK), PLAIN, with(BREAK));
        assertThat(gone).extracting(SchoolLine::state).containsExactly(State.GONE);
        assertThat(take(with(BREAK), gone).closures()).isEmpty();
        assertThat(lines(with(BREAK), with(BREAK), with(BREAK))).isEmpty();
    }

    @Test
    void whatWasChangedByHandStaysAndIsToldApart() {
        Closure own = off("2026-10-12", "2026-10-14", "Autumn break");
        assertThat(states(with(BREAK), with(BREAK), with(own))).containsExactly(State.BY_HAND);
        assertThat(states(with(BREAK), with(BREAK), PLAIN)).containsExactly(State.BY_HAND);
        assertThat(states(with(BREAK), with(off("2026-10-19", "2026-10-20", "Autumn break")), with(own)))
                .containsExactly(State.BY_HAND);
        assertThat(lines(with(BREAK), PLAIN, with(own)))
                .as("a withdrawn day takes nothing that was changed")
                .isEmpty();
        Closure named = off("2026-10-12", "2026-10-13", "Mill fair");
        List<SchoolLine> same = lines(PLAIN, with(BREAK), with(named));
        assertThat(same).extracting(SchoolLine::state).containsExactly(State.BY_HAND);
        assertThat(same.get(0).said()).contains("Mill fair");
    }

    @Test
    void daysThatTeachOrRunAsOthersAndDaysOutsideTheTerm() {
        Term marks = PLAIN.withMarks(
                new TreeSet<>(Set.of(day("2026-10-17"))), new TreeMap<>(Map.of(day("2026-11-24"), DayOfWeek.FRIDAY)));
        List<SchoolLine> lines = lines(PLAIN, marks, PLAIN);
        assertThat(lines)
                .extracting(SchoolLine::said)
                .containsExactly("Sat 17 Oct teaches", "Tue 24 Nov runs as a Friday");
        assertThat(take(PLAIN, lines).runsAs()).isEqualTo(marks.runsAs());
        assertThat(take(marks, lines(marks, PLAIN, marks)).extraDays()).isEmpty();
        assertThat(lines(PLAIN, with(off("2030-01-01", "2030-01-02", "Far")), PLAIN))
                .isEmpty();
    }

    /** Whatever both do, what is taken line by line ends in step, nothing twice, and what is left loses no day. */
    @Test
    void randomYearsEndInStep() {
        for (int seed = 0; seed < 400; seed++) {
            Random random = new Random(seed);
            Term school = random(random);
            Term mine = random.nextBoolean() ? school : random(random);
            Set<SchoolDay> taken = SchoolLine.taken(Set.of(), SchoolDay.of(school), mine);
            Term now = random(random);
            List<SchoolLine> lines = SchoolLine.of(taken, SchoolDay.of(now), mine);
            Term after = take(mine, lines);
            assertThat(SchoolDay.of(after))
                    .as("seed %s", seed)
                    .containsAll(SchoolDay.of(now))
                    .doesNotHaveDuplicates();
            Set<SchoolDay> then = SchoolLine.taken(taken, SchoolDay.of(now), after);
            assertThat(SchoolLine.of(then, SchoolDay.of(now), after))
                    .as("seed %s", seed)
                    .isEmpty();
        }
    }

    private static Term random(Random random) {
        List<Closure> closures = new ArrayList<>();
        List<String> reasons = new ArrayList<>(List.of("Fair", "Flood", "Break", "Staff"));
        Collections.shuffle(reasons, random);
        for (String reason : reasons.subList(0, random.nextInt(4))) {
            LocalDate first = day("2026-09-07").plusDays(random.nextInt(8) * 10L);
            closures.add(Closure.of(first, first.plusDays(random.nextInt(3)), reason, "other"));
        }
        return PLAIN.withClosures(closures);
    }
}
