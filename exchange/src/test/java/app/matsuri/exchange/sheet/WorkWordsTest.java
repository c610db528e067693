package app.matsuri.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Work as it stands in a cell or a line. */
class WorkWordsTest {

    static final SheetTerm TERM = new SheetTerm(
            LocalDate.of(2026, 8, 31),
            LocalDate.of(2026, 12, 18),
            new TreeSet<>(),
            new TreeSet<>(LocalDate.of(2026, 8, 31)
                    .datesUntil(LocalDate.of(2026, 12, 19))
                    .filter(d -> d.getDayOfWeek().getValue() % 2 == 1
                            && d.getDayOfWeek().getValue() < 6)
                    .toList()),
            LocalDate.of(2026, 8, 31)
                    .datesUntil(LocalDate.of(2026, 12, 19), java.time.Period.ofWeeks(1))
                    .toList(),
            null);

    private static final WorkWords WORDS = new WorkWords(new SheetDays("fall 2026", TERM));

    private static List<Work> read(String cell, String kind, boolean reading) {
        return WORDS.read(cell, new WorkWords.Place(7, kind, reading, LocalDate.of(2026, 9, 9)))
                .works();
    }

    private static String when(When when) {
        return when == null
                ? ""
                : when.sort()
                        + (when.day() == null ? "" : " " + when.day())
                        + (when.weekday() == null ? "" : " " + when.weekday())
                        + (when.time() == null ? "" : " " + when.time());
    }

    private static String said(Work work) {
        return work.kind() + ": " + work.title();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "HW 3 due, Quiz 2 (Fri); Project proposal (5%) | homework: HW 3 / quiz: Quiz 2 / project: Project proposal",
                "HW 1, HW 2 | homework: HW 1 / homework: HW 2",
                "Lab 3: Read the jars; start starters | lab: Lab 3: Read the jars; start starters",
                "Cart lab; lab report due Fri, 30 pts | lab: Cart lab / lab: lab report",
                "Quiz 4; Paper 2 draft due Sun midnight | quiz: Quiz 4 / project: Paper 2 draft",
                "read 5.2, watch https://phys.example/throw | reading: 5.2 / reading: https://phys.example/throw",
                "Read: Primer 4–6; Osei, \"Customs\" | reading: Primer 4–6 / reading: Osei, \"Customs\"",
                "Budget, first version | other: Budget, first version",
                "HW 0: install everything, due Fri 5pm | homework: HW 0: install everything",
                "Discussion board: one objection, 150 words | discussion: one objection, 150 words",
                "peer review of one draft, due Thu | other: peer review of one draft",
                "FINAL project report due 12/4 | project: FINAL project report",
                "Final exam | test: Final exam",
                "Problem set 2 | homework: Problem set 2",
                "Read 1 | reading: Read 1",
                "Hausaufgabe: S. 12 Nr. 3 | homework: S. 12 Nr. 3",
                "Lire: p. 12-15 | reading: p. 12-15",
                "Tarea: ejercicios 1-4 | homework: ejercicios 1-4",
                "Bring: a ruler | other: ruler",
            })
    void severalWorksOfACell(String cell, String works) {
        assertThat(read(cell, "", false).stream().map(WorkWordsTest::said).collect(Collectors.joining(" / ")))
                .isEqualTo(works);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "HW 1 due Sun 9/6 11:59pm | DAY 2026-09-06 23:59",
                "HW 2 due Fri 9/18, 5pm | DAY 2026-09-18 17:00",
                "Project draft due Wed 11/18 | DAY 2026-11-18",
                "Annotated sources due 11/4 by noon | DAY 2026-11-04 12:00",
                "check-in form (2%) by Wed noon | WEEKDAY WEDNESDAY 12:00",
                "Safety form due in class | IN_CLASS",
                "Debate sheet due at the start of class | CLASS_START",
                "Form, due end of class | CLASS_END",
                "Sheet, due next class | NEXT_CLASS",
                "Bridge, due the last day of 2.7, start of class | LAST_CLASS",
                "Essay due midnight | TIME 2026-09-09 23:59",
                "Essay due sometime soon | WORDS",
                "Set 1 due Sunday | WEEKDAY SUNDAY",
                "Quiz 2 (Fri) | WEEKDAY FRIDAY",
                "HW 3 due | WORDS",
                "DUE Sun 9/6, 11:59pm: Argument map | DAY 2026-09-06 23:59",
                "Exercice à rendre mer 09/09 | DAY 2026-09-09",
            })
    void whenItIsDue(String cell, String due) {
        assertThat(when(read(cell, "", false).get(0).due())).isEqualTo(due);
    }

    @Test
    void opensDueAndClosesInOneLine() {
        Work paper = read(
                        "Paper 1 (4–5 pp., 100 pts). Opens 9/22 4:30pm, due Fri 10/2 11:59pm, accepted until Mon 10/5 11:59pm",
                        "",
                        false)
                .get(0);
        assertThat(List.of(when(paper.opens()), when(paper.due()), when(paper.closes())))
                .containsExactly("DAY 2026-09-22 16:30", "DAY 2026-10-02 23:59", "DAY 2026-10-05 23:59");
        assertThat(paper.points()).isEqualByComparingTo("100");
        assertThat(paper.title()).isEqualTo("Paper 1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "safety contract, signed by parent - 5 pts | safety contract, signed by parent | 5 | - | -",
                "Quiz: laws 1-3 (10 min, 15 pts) | Quiz: laws 1-3 | 15 | - | 10",
                "Project proposal (5%) | Project proposal | - | 5 | -",
                "Group project: written case (20% of grade) | Group project: written case | - | 20 | -",
                "one-page table, due at the start of class (10) | one-page table | 10 | - | -",
                "vector hunt (~30 min) | vector hunt | - | - | 30",
                "field report, 2 hours | field report | - | - | 120",
                "Set 3, 12.5 points | Set 3 | 12.5 | - | -",
            })
    void whatItIsWorthAndHowLongItTakes(String cell, String title, String points, String percent, Integer minutes) {
        Work work = read(cell, "", false).get(0);
        assertThat(work.title()).isEqualTo(title);
        assertThat(work.points()).isEqualTo(points == null ? null : new java.math.BigDecimal(points));
        assertThat(work.percent()).isEqualTo(percent == null ? null : new java.math.BigDecimal(percent));
        assertThat(work.minutes()).isEqualTo(minutes);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "no HW",
                "(no HW – break)",
                "—",
                "nothing :)",
                "(no reading)",
                "keine Hausaufgaben",
                "pas de devoirs",
                "TBA",
                "Lab 4 moved to Thu 10/22!!!",
                "Quiz 3 cancelled"
            })
    void whatGivesNoWork(String cell) {
        assertThat(read(cell, "", false)).isEmpty();
    }

    @Test
    void whatIsHandedOutIsNoWorkOfItsOwn() {
        WorkWords.Said said = WORDS.read(
                "Paper 1 assigned (prompt goes up 9/22 after class)", new WorkWords.Place(3, "", false, null));
        assertThat(said.works()).isEmpty();
        assertThat(said.opened()).containsExactly("Paper 1");
    }

    @Test
    void aLineWithoutANameIsSaid() {
        WorkWords.Said said = WORDS.read("due 3 nov", new WorkWords.Place(3, "", false, null));
        assertThat(said.works()).isEmpty();
        assertThat(said.doubts()).singleElement().asString().contains("“due 3 nov” has no name");
    }

    @Test
    void linksAreKeptAndLeaveTheTitle() {
        Work work = read("Case 1 & Case 2, course page: https://phil.example/160/cases", "reading", true)
                .get(0);
        assertThat(work.title()).isEqualTo("Case 1 & Case 2");
        assertThat(work.links()).containsExactly("https://phil.example/160/cases");
        Work video = read("video: \"Lists in 9 minutes\" https://vid.example/9m", "reading", true)
                .get(0);
        assertThat(video.title()).isEqualTo("\"Lists in 9 minutes\"");
        assertThat(video.minutes()).isEqualTo(9);
    }

    @Test
    void whoMarksItAndWhatIsNotMarked() {
        assertThat(read("Debate sheet due in class; who marks: TA (Yusuf)", "", false)
                        .get(0)
                        .marking())
                .isEqualTo("instructor");
        assertThat(read("Survey; graded by: computer", "", false).get(0).marking())
                .isEqualTo("machine");
        assertThat(read("review packet (not graded)", "", false).get(0).marking())
                .isEqualTo("not-marked");
    }

    @Test
    void twoTimesToHandInAreAskedAbout() {
        Work work =
                read("Discussion 1 due 10/22 9pm; replies 10/25 9pm", "", false).get(0);
        assertThat(when(work.due())).isEqualTo("DAY 2026-10-22 21:00");
        assertThat(work.doubts()).singleElement().asString().contains("two times to be handed in");
    }
}
