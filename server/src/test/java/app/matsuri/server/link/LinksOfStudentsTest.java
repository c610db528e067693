package app.matsuri.server.link;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Student;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A student's link is found by that very entry, else by number, else by address, and never by name (public.md, "Who sees what"). */
class LinksOfStudentsTest {

    private static final Student WREN = new Student("4101", "Wren Oakes", "wren.oakes@quillmarsh.example");

    private static PublicLink link(long id, String number, String mail) {
        PublicLink link = new PublicLink();
        link.id = id;
        link.kind = PublicLink.Kind.STUDENT;
        link.rosterNumber = number;
        link.mail = mail;
        return link;
    }

    private static Long of(Student student, PublicLink... links) {
        return new LinksOfStudents(List.of(links))
                .of(7, "HYD 210", student)
                .map(link -> link.id)
                .orElse(null);
    }

    @Test
    void theNumberGoesBeforeTheAddress() {
        PublicLink number = link(1, "4101", null);
        PublicLink mail = link(2, null, "wren.oakes@quillmarsh.example");
        assertThat(of(WREN, mail, number)).isEqualTo(1);
        assertThat(of(WREN, mail)).isEqualTo(2);
        assertThat(of(WREN)).isNull();
    }

    @Test
    void anotherNumberWithTheSameAddressIsSomebodyElse() {
        PublicLink other = link(1, "4102", "wren.oakes@quillmarsh.example");
        assertThat(of(WREN, other)).isNull();
        assertThat(of(new Student("wren.oakes@quillmarsh.example", "Wren Oakes", ""), other))
                .as("who has no number is found by address")
                .isEqualTo(1);
    }

    @Test
    void whoHasANameAloneIsFoundInThatCourseOnly() {
        PublicLink entry = link(1, null, null);
        entry.termId = 7L;
        entry.course = "HYD 210";
        entry.student = "wren-oakes";
        Student byName = new Student("wren-oakes", "Wren Oakes", "");
        assertThat(of(byName, entry)).isEqualTo(1);
        assertThat(new LinksOfStudents(List.of(entry)).of(7, "MAP 115", byName)).isEmpty();
        assertThat(new LinksOfStudents(List.of(entry)).of(8, "HYD 210", byName)).isEmpty();
        assertThat(of(new Student("wren-oakes-2", "Wren Oakes", ""), entry)).isNull();
    }
}
