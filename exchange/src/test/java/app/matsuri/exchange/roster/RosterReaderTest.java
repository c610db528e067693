package app.matsuri.exchange.roster;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Student;
import app.matsuri.exchange.file.Given;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** All names are made up. */
class RosterReaderTest {

    private static List<String> names(List<RosterReader.Line> lines) {
        return lines.stream()
                .filter(l -> l.state().equals("student"))
                .map(RosterReader.Line::student)
                .filter(Objects::nonNull)
                .map(Student::name)
                .toList();
    }

    @Test
    void namesALineEachInWhateverOrder() {
        List<RosterReader.Line> lines = RosterReader.read(
                "Oakes, Wren\n2. Tove Lindqvist <tove@quillmarsh.example>\n\nwren oakes\nÁine Ní Bhriain\n—");
        assertThat(names(lines)).containsExactly("Wren Oakes", "Tove Lindqvist", "Áine Ní Bhriain");
        assertThat(lines)
                .extracting(RosterReader.Line::state)
                .containsExactly("student", "student", "double", "student", "not-understood");
        assertThat(lines.get(1).student().mail()).isEqualTo("tove@quillmarsh.example");
        assertThat(lines.get(1).student().id()).isEqualTo("tove@quillmarsh.example");
    }

    @Test
    void aTableWithAHeaderAndDoublesByMail() {
        List<RosterReader.Line> lines = RosterReader.read(
                "Last name\tFirst name\tEmail\tID\n"
                        + "Oakes\tWren\two@quillmarsh.example\t1001\nOaks\tWren\tWO@quillmarsh.example\t1002\nLindqvist\tTove\tno mail\t1003");
        assertThat(names(lines)).containsExactly("Wren Oakes", "Tove Lindqvist");
        assertThat(lines.get(2).said()).contains("same as line 2");
        assertThat(lines.get(3).said()).contains("no mail address");
        assertThat(lines.get(1).student().id()).isEqualTo("1001");
    }

    /** Published: 1EdTech OneRoster 1.1 CSV tables, users.csv: columns sourcedId, status, role, givenName, familyName, email. */
    @Test
    void usersOfAOneRosterFile() {
        String csv =
                "\"sourcedId\",\"status\",\"dateLastModified\",\"enabledUser\",\"orgSourcedIds\",\"role\",\"username\",\"userIds\","
                        + "\"givenName\",\"familyName\",\"middleName\",\"identifier\",\"email\",\"sms\",\"phone\",\"agentSourcedIds\",\"grades\",\"password\"\r\n"
                        + "u1,active,,true,o1,student,wo,,Wren,Oakes,,,wo@quillmarsh.example,,,,,\r\n"
                        + "u2,active,,true,o1,teacher,it,,Ilse,Tolvanen,,,it@quillmarsh.example,,,,,\r\n"
                        + "u3,tobedeleted,,true,o1,student,tl,,Tove,Lindqvist,,,,,,,,\r\n";
        List<RosterReader.Line> lines = RosterReader.read(new Given("users.csv", csv.getBytes(StandardCharsets.UTF_8)));
        assertThat(names(lines)).containsExactly("Wren Oakes");
        assertThat(lines)
                .extracting(RosterReader.Line::state)
                .containsExactly("heading", "student", "passed", "passed");
        assertThat(lines.get(1).student().id()).isEqualTo("u1");
    }

    @Test
    void tooManyStudentsAreBounded() {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < RosterReader.MOST + 5; i++) {
            many.append("Student Number")
                    .append((char) ('A' + i % 26))
                    .append(i)
                    .append('\n');
        }
        assertThat(names(RosterReader.read(many.toString()))).hasSize(RosterReader.MOST);
    }
}
