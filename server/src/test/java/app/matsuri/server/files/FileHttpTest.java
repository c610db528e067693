package app.matsuri.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;

/** Files kept with a term's data: told by content, bounded, given back as they were, to those of the term only. */
class FileHttpTest extends DemoTest {

    private static final byte[] PDF = "%PDF-1.7\n%âãÏÓ\n1 0 obj\n<<>>\nendobj\n".getBytes(StandardCharsets.ISO_8859_1);
    private static final byte[] PROGRAM = ("MZ" + "\0".repeat(58) + "\u0080\0\0\0" + "\0".repeat(64) + "PE\0\0")
            .getBytes(StandardCharsets.ISO_8859_1);

    private String at() {
        return at + "/files";
    }

    private Browser.Answer keep(String name, byte[] content) throws Exception {
        return browser.ask(HttpMethod.POST, at() + "?name=" + name, content, "application/octet-stream");
    }

    @Test
    void aFileIsGivenBackAsItWasAndKeptOnce() throws Exception {
        Browser.Answer kept = keep("Survey%20sheet.pdf", PDF);
        assertThat(kept.status()).isEqualTo(200);
        assertThat(kept.body().path("mediaType").stringValue()).isEqualTo("application/pdf");
        String id = kept.body().path("file").stringValue();
        assertThat(keep("Again.pdf", PDF).body().path("file").stringValue()).isEqualTo(id);
        Browser.Answer back = browser.get(at() + "/" + id);
        assertThat(back.response().getContentAsByteArray()).isEqualTo(PDF);
        assertThat(back.response().getHeader("Content-Disposition"))
                .startsWith("attachment")
                .contains("Survey");
        assertThat(back.response().getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
    }

    @Test
    void theContentTellsWhatItIsAndNotTheName() throws Exception {
        assertThat(keep("sheet.exe", PDF).body().path("mediaType").stringValue())
                .isEqualTo("application/pdf");
        Browser.Answer program = keep("harmless.pdf", PROGRAM);
        assertThat(program.status()).isEqualTo(422);
        assertThat(program.body().path("detail").stringValue()).contains("is a program");
    }

    @Test
    void whatIsEmptyOrTooLargeIsRefusedWithASentence() throws Exception {
        assertThat(keep("empty.txt", new byte[0]).status()).isBetween(400, 422);
        Browser.Answer large = keep("large.txt", "x".repeat(8_000_001).getBytes(StandardCharsets.UTF_8));
        assertThat(large.status()).isEqualTo(422);
        assertThat(large.body().path("detail").stringValue()).contains("at most 8 MB are kept");
    }

    @Test
    void anotherAccountDoesNotSeeIt() throws Exception {
        String id = keep("a.pdf", PDF).body().path("file").stringValue();
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.get(at() + "/" + id).status()).isEqualTo(404);
        assertThat(browser.get(at() + "/nothing").status()).isEqualTo(404);
    }
}
