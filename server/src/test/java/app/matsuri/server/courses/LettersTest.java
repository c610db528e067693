package app.matsuri.server.courses;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.SectionRef;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Letters that tell sections apart. */
class LettersTest {

    private static SectionRef of(String course, String section) {
        return new SectionRef(course, section);
    }

    @Test
    void aCourseWithSeveralSectionsHasTheirCodesAnotherItsFirstLetter() {
        assertThat(Letters.of(List.of(
                        of("HYD 210", "A"),
                        of("HYD 210", "B"),
                        of("HYD 210L", "L1"),
                        of("HYD 210L", "L2"),
                        of("MAP 115", "A"),
                        of("SOL 101", "A"))))
                .containsExactly("A", "B", "L1", "L2", "M", "S");
    }

    @Test
    void whatIsTakenIsNotTakenAgain() {
        assertThat(Letters.of(List.of(of("MAP 115", "1"), of("MAT 20", "1"), of("M", "1"), of("MAP 115", "1"))))
                .containsExactly("M", "MA", "M2", "MAP");
        assertThat(Letters.of(List.of(of("", "x"), of("7", "first group"), of("7", "second group"))))
                .containsExactly("2", "3", "4");
    }

    @Test
    void aHundredAreAllDifferent() {
        List<SectionRef> many = IntStream.range(0, 100)
                .mapToObj(n -> of("GEO " + n % 7, "" + (n % 13)))
                .toList();
        assertThat(Letters.of(many)).doesNotHaveDuplicates().hasSize(100);
    }
}
