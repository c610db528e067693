package app.matsuri.exchange.roster;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Student;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Who is new, here and missing when a list is read onto a roster. */
class RosterAgainstTest {

    private static final List<Student> ROSTER = List.of(
            new Student("1", "Wren Oakes", "w@quillmarsh.example"),
            new Student("2", "Tove Lindqvist", ""),
            new Student("3", "Ansel Mire", ""));

    @Test
    void newStudentsAreAddedBehindAndThoseHereAreSaid() {
        RosterAgainst read =
                RosterAgainst.of(ROSTER, RosterReader.read("Lindqvist, Tove\nWREN OAKES\nPim Sedge\nPim Sedge\n"));
        assertThat(read.lines())
                .extracting(RosterReader.Line::state)
                .containsExactly("here", "here", "student", "double");
        assertThat(read.lines().get(0).said()).endsWith("on the roster already");
        assertThat(read.all())
                .extracting(Student::name)
                .containsExactly("Wren Oakes", "Tove Lindqvist", "Ansel Mire", "Pim Sedge");
        assertThat(read.missing()).extracting(Student::name).containsExactly("Ansel Mire");
    }

    @Test
    void whoIsToldByIdIsHereUnderAnotherName() {
        RosterAgainst read = RosterAgainst.of(ROSTER, RosterReader.read("id,name\n3,Ansel Mire-Holt\n"));
        assertThat(read.lines()).extracting(RosterReader.Line::state).containsExactly("heading", "here");
        assertThat(read.all()).isEqualTo(ROSTER);
        assertThat(read.missing()).extracting(Student::id).containsExactly("1", "2");
    }

    @Test
    void aListThatNamesNobodyMissesNobody() {
        RosterAgainst read = RosterAgainst.of(ROSTER, List.of());
        assertThat(read.missing()).isEmpty();
        assertThat(read.all()).isEqualTo(ROSTER);
    }
}
