package app.matsuri.server.bundle;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.command.Commands;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** Terms with all that belongs to them, out and in over HTTP and by commands. */
class BundleHttpTest extends DemoTest {

    @Autowired
    Commands commands;

    @TempDir
    Path folder;

    private static final byte[] SHEET = "depth,width\r\n".getBytes(StandardCharsets.UTF_8);

    /** Attaches a file to a piece of work; the version after it. */
    private void attach() throws Exception {
        String file = browser.ask(HttpMethod.POST, at + "/files?name=Sheet.csv", SHEET, "application/octet-stream")
                .body()
                .path("file")
                .stringValue();
        String item = "{\"id\":\"log-1\",\"kind\":\"homework\",\"title\":\"Field log 1\",\"files\":[{\"file\":\"" + file
                + "\",\"name\":\"Sheet.csv\"}]}";
        assertThat(browser.change(term, 1, "{\"kind\":\"put-item\",\"course\":\"HYD 210\",\"item\":" + item + "}")
                        .status())
                .isEqualTo(200);
    }

    private byte[] bundle(boolean history) throws Exception {
        return browser.get(at + "/bundle?history=" + history).response().getContentAsByteArray();
    }

    private JsonNode opened(Browser by, byte[] zip) throws Exception {
        Browser.Answer answer = by.ask(HttpMethod.POST, "/api/bundles", zip, "application/octet-stream");
        assertThat(answer.status()).as("%s", answer.body()).isEqualTo(201);
        return answer.body();
    }

    @Test
    void aTermGoesOutAndComesInWithItsFilesAndItsHistory() throws Exception {
        attach();
        Browser other = Browser.of(mvc, accounts);
        JsonNode made = opened(other, bundle(true));
        assertThat(made.path("faults").isEmpty()).as("%s", made).isTrue();
        String there = "/api/terms/" + made.path("id").asLong();
        assertThat(Json.read(other.plan(made.path("id").asLong()))).isEqualTo(Json.read(browser.plan(term)));
        JsonNode item = Json.read(other.plan(made.path("id").asLong())).at("/courses/0/units/0/items");
        String file = item.valueStream()
                .filter(i -> i.path("id").stringValue().equals("log-1"))
                .findFirst()
                .orElseThrow()
                .at("/files/0/file")
                .stringValue();
        assertThat(other.get(there + "/files/" + file).response().getContentAsByteArray())
                .isEqualTo(SHEET);
        JsonNode history = other.get(there + "/history").body();
        assertThat(history.at("/lines/1/sentence").stringValue()).contains("Field log 1");
        assertThat(other.post(there + "/undo", "{\"version\":1}").status()).isEqualTo(200);
        assertThat(other.plan(made.path("id").asLong())).doesNotContain("Sheet.csv");
    }

    @Test
    void aPlanFileAloneSaysWhichFilesItLacks() throws Exception {
        attach();
        Browser other = Browser.of(mvc, accounts);
        Browser.Answer made = other.ask(
                HttpMethod.POST,
                "/api/terms",
                browser.plan(term).getBytes(StandardCharsets.UTF_8),
                "application/octet-stream");
        assertThat(made.body().at("/faults/0/message").stringValue())
                .contains("“Sheet.csv”, attached to “Field log 1”");
        JsonNode findings = other.get("/api/terms/" + made.body().path("id").asLong() + "/findings")
                .body();
        assertThat(findings.valueStream().map(f -> f.path("code").stringValue()))
                .contains("file-missing");
        assertThat(browser.get(at + "/findings")
                        .body()
                        .valueStream()
                        .map(f -> f.path("code").stringValue()))
                .doesNotContain("file-missing");
    }

    @Test
    void whatIsNoBundleIsRefusedAndStoresNothing() throws Exception {
        Browser.Answer answer =
                browser.ask(HttpMethod.POST, "/api/bundles", "PK nonsense".getBytes(), "application/octet-stream");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").stringValue()).contains("Nothing was stored");
        assertThat(browser.get("/api/terms").body().size()).isEqualTo(1);
    }

    @Test
    void theSameByCommands() throws Exception {
        Path zip = folder.resolve("term.zip");
        assertThat(commands.run(List.of("bundle", Long.toString(term), "--out", zip.toString())))
                .isEqualTo(new Commands.Result(0, "", ""));
        assertThat(Files.size(zip)).isGreaterThan(1000);
        Commands.Result made = commands.run(
                List.of("open", zip.toString(), "--account", browser.person().signIn()));
        assertThat(made.status()).as(made.err()).isZero();
        assertThat(Json.read(browser.plan(Long.parseLong(made.out().strip()))))
                .isEqualTo(Json.read(browser.plan(term)));
        assertThat(commands.run(List.of("admin", "terms")).out())
                .contains(term + "\t" + browser.person().signIn() + "\tAutumn 2026\t2026-08-31\t2026-12-18\n");
        assertThat(commands.run(List.of("bundle", "999999", "--out", zip.toString()))
                        .status())
                .isEqualTo(2);
        assertThat(commands.run(List.of("open", zip.toString(), "--account", "nobody"))
                        .err())
                .contains("no account “nobody”");
        assertThat(commands.run(List.of("open", "/none.zip", "--account", "x")).err())
                .contains("no such file");
    }
}
