package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.MatsuriApplication;
import app.matsuri.server.ServerTest;
import app.matsuri.server.TestDatabase;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.storage.TermStore;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** A data folder taken over to PostgreSQL: the same term is there, and its last change can be undone. */
class MoveTest {

    private static final ChangeService.Telling TOLD = ChangeService.Telling.USUAL;

    @TempDir
    Path folder;

    private ConfigurableApplicationContext started(String... more) {
        List<String> all = new ArrayList<>(List.of(
                "--matsuri.data=" + folder,
                "--matsuri.today=2026-10-07",
                "--server.port=0",
                "--matsuri.password-strength=4"));
        all.addAll(List.of(more));
        return new SpringApplicationBuilder(MatsuriApplication.class).run(all.toArray(String[]::new));
    }

    @Test
    void everythingIsThereAndGoesOn() throws Exception {
        SignedIn by;
        long term;
        String plan;
        try (ConfigurableApplicationContext server = started()) {
            by = server.getBean(Accounts.class).create("mover", "M. Over", "a password of some length");
            ChangeService changes = server.getBean(ChangeService.class);
            term = changes.begin(by, PlanFile.read(Browser.demo()).decisions()).termId();
            changes.make(by, term, 1, ChangeGiven.read(Json.read(ServerTest.FLOOD)), TOLD);
            plan = PlanFile.write(server.getBean(TermStore.class).any(term).decisions());
            assertThatThrownBy(() -> Move.over(folder, TestDatabase.postgresql("moved"), "postgres", ""))
                    .hasMessageContaining("A server runs on");
        }
        String url = TestDatabase.postgresql("moved");
        Map<String, Long> taken = Move.over(folder, url, "postgres", "");
        assertThat(taken).containsEntry("account", 1L).containsEntry("history_entry", 2L);
        assertThat(taken.get("lesson")).isGreaterThan(20);
        try (ConfigurableApplicationContext server =
                started("--spring.datasource.url=" + url, "--spring.datasource.username=postgres")) {
            assertThat(PlanFile.write(server.getBean(TermStore.class).any(term).decisions()))
                    .isEqualTo(plan);
            ChangeService changes = server.getBean(ChangeService.class);
            assertThat(changes.undo(by, term, 2).stored().version()).isEqualTo(3);
            // what is counted goes on behind what there was
            assertThat(changes.begin(by, PlanFile.read(Browser.demo()).decisions())
                            .termId())
                    .isGreaterThan(term);
        }
        assertThatThrownBy(() -> Move.over(folder, url, "postgres", ""))
                .hasMessageContaining("accounts in that database");
    }

    @Test
    void whatCannotBeTakenOverIsSaid() throws Exception {
        assertThatThrownBy(() -> Move.over(folder, "jdbc:h2:mem:x", "", "")).hasMessageContaining("no address of a");
        String url = TestDatabase.postgresql("not-moved");
        assertThatThrownBy(() -> Move.over(folder, url, "postgres", "")).hasMessageContaining("no database in");
        try (var old = DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("matsuri"), "sa", "")) {
            old.createStatement()
                    .execute("create table \"flyway_schema_history\" (\"installed_rank\" int, \"version\" varchar(50),"
                            + " \"success\" boolean)");
            old.createStatement().execute("insert into \"flyway_schema_history\" values (1, '3', true)");
        }
        assertThatThrownBy(() -> Move.over(folder, url, "postgres", "")).hasMessageContaining("another version");
    }
}
