package app.matsuri.server.reminder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import app.matsuri.server.link.LinkKey;
import app.matsuri.server.reminder.Refusals.Reader;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The address behind which a reader says that no more shall come cannot be made up for somebody else (RFC 8058, 3.1). */
class RefusalsTest {

    private static final Reader WREN = new Reader(7, "wren.oakes@quillmarsh.example");

    @TempDir
    Path data;

    private Refusals refusals() {
        return new Refusals(mock(EntityManager.class), new LinkKey(data.toString()));
    }

    @Test
    void whoseAddressItIsIsReadFromIt() {
        String token = refusals().token(new Reader(7, " Wren.Oakes@quillmarsh.example "));
        assertThat(refusals().reader(token)).contains(WREN);
        assertThat(refusals().token(WREN))
                .as("one address, however it is written")
                .isEqualTo(token);
        assertThat(token).matches("[A-Za-z0-9_-]+\\.[A-Za-z0-9_-]{43}");
    }

    @Test
    void oneThatWasMadeUpIsNobodys() {
        String token = refusals().token(WREN);
        String sign = token.substring(token.indexOf('.'));
        String other = Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString("7 hedy.larkspur@quillmarsh.example".getBytes(StandardCharsets.UTF_8));
        assertThat(refusals().reader(other + sign))
                .as("another's address with this mark")
                .isEmpty();
        String elsewhere = Base64.getUrlEncoder()
                .withoutPadding()
                .encodeToString("8 wren.oakes@quillmarsh.example".getBytes(StandardCharsets.UTF_8));
        assertThat(refusals().reader(elsewhere + sign)).as("another workspace").isEmpty();
        for (String wrong :
                new String[] {"", ".", "x", "x.y", "%%%." + sign, token.substring(1), token + "x", "Nw." + sign}) {
            assertThat(refusals().reader(wrong)).as(wrong).isEmpty();
        }
        assertThat(new Refusals(mock(EntityManager.class), new LinkKey("")).reader(token))
                .as("under another key")
                .isEmpty();
    }

    @Test
    void theWordsOfALetterKeepItsAddresses() {
        String html = "<html><body><p>Hello Wren,</p><p>HYD 210: <a href=\"https://m.example/see/x?a=1&amp;b=2\">Field"
                + " log 5</a><br>due Thu 8 Oct, 17:00</p><p></p><p>5 &lt; 6</p></body></html>";
        assertThat(ReminderLetters.plain(html))
                .isEqualTo("Hello Wren,\n\nHYD 210: Field log 5 <https://m.example/see/x?a=1&b=2>\n"
                        + "due Thu 8 Oct, 17:00\n\n5 < 6\n");
    }
}
