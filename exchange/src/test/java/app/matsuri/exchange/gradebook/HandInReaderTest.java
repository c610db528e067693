package app.matsuri.exchange.gradebook;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Hand-ins from a grade book's table. */
class HandInReaderTest {

    private static Decisions demo;
    private static Student student;

    @BeforeAll
    static void readTheDemo() throws Exception {
        demo = PlanFile.read(Files.readString(Path.of("..", "demo", "autumn-2026.json")))
                .decisions();
        student = demo.courses().get(0).sections().get(0).students().get(0);
    }

    private static HandInReader.Read read(String text) {
        return HandInReader.read(new Given("grades.csv", text.getBytes(StandardCharsets.UTF_8)), demo);
    }

    @Test
    void workAndStudentsAreToldByIdOrByTitleAndName() {
        HandInReader.Read read = read("Course;Assignment;Student;Submitted\n"
                + "HYD 210;log-5;" + student.id() + ";2026-10-06T20:15\n"
                + "HYD 210;field log 4;" + student.name() + ";2026-09-29 08:00\n");
        assertThat(read.wrong()).isEmpty();
        assertThat(read.handIns())
                .containsExactly(
                        new HandIn("HYD 210", "log-5", student.id(), LocalDateTime.parse("2026-10-06T20:15")),
                        new HandIn("HYD 210", "log-4", student.id(), LocalDateTime.parse("2026-09-29T08:00")));
    }

    @Test
    void ofSeveralTheEarliestCounts() {
        String row = "HYD 210,log-5," + student.id() + ",";
        assertThat(read("course,work,student,handed in\n" + row + "2026-10-07T09:00\n" + row + "2026-10-06T20:15\n")
                        .handIns())
                .extracting(HandIn::at)
                .containsExactly(LocalDateTime.parse("2026-10-06T20:15"));
    }

    @Test
    void whatIsNotUnderstoodSaysWhereAndWhatToDo() {
        HandInReader.Read read = read("course,work,student,handed in\nHYD 21,log-5,x,2026-10-06T20:15\n"
                + "HYD 210,log-55,x,2026-10-06T20:15\nHYD 210,log-5,Nobody,2026-10-06T20:15\n"
                + "HYD 210,log-5," + student.id() + ",yesterday\n");
        assertThat(read.handIns()).isEmpty();
        assertThat(read.wrong()).extracting(HandInReader.Wrong::line).containsExactly(2, 3, 4, 5);
        assertThat(read.wrong().get(3).said()).contains("2026-10-05T17:00");
        assertThat(read("who,what\n").wrong())
                .singleElement()
                .satisfies(w -> assertThat(w.said()).contains("course, work, student, handed in"));
    }

    @Test
    void theDemosGradeBookIsReadWhole() throws Exception {
        HandInReader.Read read = read(Files.readString(Path.of("..", "demo", "hand-ins.csv")));
        assertThat(read.wrong()).isEmpty();
        assertThat(read.handIns()).hasSizeGreaterThan(200);
    }
}
