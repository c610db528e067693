package app.matsuri.server.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.plan.Student;
import app.matsuri.server.settings.Tokens;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Addresses are made with a key beside the database, and people are known by number, else by address, never by name. */
class LinkKeyTest {

    private static PublicLink link(long id, int generation) {
        PublicLink link = new PublicLink();
        link.id = id;
        link.generation = generation;
        return link;
    }

    @Test
    void anAddressCanBeWrittenAgainWithTheSameKeyAndIsAnotherWithEachGeneration(@TempDir Path data) throws Exception {
        LinkKey key = new LinkKey(data.toString());
        String token = key.token(link(1, 0));
        assertThat(token).matches("[A-Za-z0-9_-]{43}");
        assertThat(new LinkKey(data.toString()).token(link(1, 0))).isEqualTo(token);
        assertThat(key.token(link(1, 1))).isNotEqualTo(token);
        assertThat(key.token(link(2, 0))).isNotEqualTo(token);
        assertThat(new LinkKey("").token(link(1, 0))).as("another key").isNotEqualTo(token);
        Path file = data.resolve(LinkKey.NAME);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThat(Tokens.hash(token)).matches("[0-9a-f]{64}").doesNotContain(token);
    }

    @Test
    void aKeyThatIsCutShortIsNotTakenSilently(@TempDir Path data) throws Exception {
        Files.write(data.resolve(LinkKey.NAME), new byte[] {1, 2, 3});
        assertThatThrownBy(() -> new LinkKey(data.toString())).hasMessageContaining("Bring it back from a backup");
    }

    @Test
    void theSamePersonIsFoundByNumberElseByAddressNeverByName() {
        Person wren = Person.of(new Student("4101", "Wren Oakes", "Wren.Oakes@quillmarsh.example"));
        assertThat(wren.same(Person.of(new Student("4101", "W. Oakes", "")))).isTrue();
        assertThat(wren.same(Person.of(new Student("4102", "Wren Oakes", "wren.oakes@quillmarsh.example"))))
                .as("another number")
                .isFalse();
        Person byMail = Person.of(new Student("wren.oakes@quillmarsh.example", "Wren Oakes", ""));
        assertThat(byMail.number()).isNull();
        assertThat(wren.same(byMail)).isTrue();
        Person byName = Person.of(new Student("wren-oakes-2", "Wren Oakes", ""));
        assertThat(byName.known()).isFalse();
        assertThat(byName.same(byName)).as("a name is nobody").isFalse();
    }
}
