package app.matsuri.server.rollover;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The name that a term has a year on. */
class NextYearTest {

    @ParameterizedTest
    @CsvSource({
        "Autumn 2026, Autumn 2027",
        "School year 2026/27, School year 2027/28",
        "2099-00, 2100-01",
        "2026–2027, 2027–2028",
        "Course 26, Course 26"
    })
    void countsOn(String name, String then) {
        assertThat(RolloverController.aYearOn(name)).isEqualTo(then);
    }
}
