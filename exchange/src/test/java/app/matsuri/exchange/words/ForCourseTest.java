package app.matsuri.exchange.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The course for which a line is typed. */
class ForCourseTest {

    private static Decisions term;

    @BeforeAll
    static void demo() throws IOException {
        term = PlanFile.read(Files.readString(Path.of("..", "demo", "autumn-2026.json")))
                .decisions();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "quiz 3, 17:00, for MAP 115|MAP 115||quiz 3, 17:00",
                "quiz 3 for map115, 17:00|MAP 115||quiz 3, 17:00",
                "essay, for HYD 210 B|HYD 210|B|essay",
                "essay for HYD 210L l2, 20 points|HYD 210L|L2|essay, 20 points",
                "Aufsatz, 17:00, für SOL 101|SOL 101||Aufsatz, 17:00",
                "for MAP 115, quiz 3|MAP 115||quiz 3",
            })
    void isTheOneThatItNames(String line, String course, String section, String rest) {
        Optional<ForCourse> found = ForCourse.of(line, term);
        assertThat(found.map(ForCourse::course).orElse(null)).isEqualTo(course);
        assertThat(found.map(ForCourse::section).orElse(null)).isEqualTo(section);
        assertThat(found.map(ForCourse::rest).orElse(null)).isEqualTo(rest);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"a gift for Ida", "sheets for MAP 1150", "for", "", "notes for MAP 115 students", "MAP 115"})
    void isNoneWhereNoneIsNamed(String line) {
        assertThat(ForCourse.of(line, term)).isEmpty();
    }

    @Test
    void aTermWithoutCoursesHasNone() {
        assertThat(ForCourse.of("for MAP 115", Decisions.of(term.term(), List.of())))
                .isEmpty();
    }
}
