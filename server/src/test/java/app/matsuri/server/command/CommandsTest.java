package app.matsuri.server.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.matsuri.core.change.NoSuch;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SecondFactor;
import app.matsuri.server.account.Sessions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.bundle.Bundles;
import app.matsuri.server.command.Commands.Result;
import app.matsuri.server.disk.Room;
import app.matsuri.server.http.Problem;
import app.matsuri.server.person.PersonalData;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Rows;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.HttpStatus;

/** What an owner of the data folder may ask for, over a store, bundles and accounts that are stand-ins. */
class CommandsTest {

    private static final SignedIn OWNER = new SignedIn(3, 5, "tolvanen", "I. Tolvanen", "");

    private final TermStore store = mock(TermStore.class);
    private final Bundles bundles = mock(Bundles.class);
    private final Accounts accounts = mock(Accounts.class);
    private static final MatsuriProperties SETTINGS = new MatsuriProperties(null, null, "data", 7, null, 10, 20000);

    private final Administration administration = new Administration(
            accounts,
            mock(SecondFactor.class),
            mock(Sessions.class),
            mock(AccessLog.class),
            mock(EntityManager.class),
            mock(PersonalData.class),
            SETTINGS);
    private final Commands commands =
            new Commands(store, bundles, accounts, administration, mock(DataSource.class), mock(Room.class), SETTINGS);

    private static Stored stored() {
        Decisions demo = PlanFile.read(Browser.demo()).decisions();
        return new Stored(7, 1, Rows.of(List.of()), demo, false, null);
    }

    private Result run(String... arguments) {
        return commands.run(List.of(arguments));
    }

    private static void wrong(Result result, String... words) {
        assertThat(result.status()).isEqualTo(2);
        assertThat(result.out()).isEmpty();
        assertThat(result.err()).contains(words).endsWith("\n");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "bundel", "admin.terms"})
    void whatIsNoCommandIsSaid(String name) {
        wrong(run(name), "There is no command “" + name + "”.");
        verifyNoInteractions(store, bundles, accounts);
    }

    @Test
    void nothingAtAllIsNoCommand() {
        wrong(commands.run(List.of()), "There is no command");
    }

    @Test
    void eachCommandSaysHowItIsUsed() {
        wrong(run("bundle"), "Usage: ./matsuri bundle TERM --out FILE.zip [--history]");
        wrong(run("bundle", "7"), "Usage: ./matsuri bundle");
        wrong(run("bundle", "HYD", "--out", "/tmp/x.zip"), "TERM is a number");
        wrong(run("open"), "Usage: ./matsuri open FILE.zip --account NAME");
        wrong(run("open", "/tmp/x.zip"), "Usage: ./matsuri open");
        wrong(run("admin"), "Usage: ./matsuri admin terms");
        wrong(run("admin", "terms", "all"), "Usage: ./matsuri admin terms");
        verifyNoInteractions(store, bundles, accounts);
    }

    @Test
    void anOptionThatIsUnknownTwiceOrWithoutItsValueIsNamed() {
        wrong(run("bundle", "7", "--into", "x"), "“--into” is not understood.");
        wrong(run("bundle", "7", "--out"), "“--out” is not understood.");
        wrong(run("bundle", "7", "--out", "x", "--out", "y"), "“--out” is not understood.");
        verifyNoInteractions(store, bundles, accounts);
    }

    @Test
    void aBundleIsWrittenWholeOrNotAtAll(@TempDir Path folder) throws Exception {
        Path out = Files.writeString(folder.resolve("autumn.zip"), "as it was");
        when(store.any(7)).thenReturn(stored());
        doThrow(new IOException("no room")).when(bundles).write(any(), anyBoolean(), any());
        wrong(run("bundle", "7", "--out", out.toString()), "The file could not be read or written: no room");
        assertThat(out).hasContent("as it was");
        assertThat(folder.toFile().list()).as("nothing is left behind").containsExactly("autumn.zip");

        doAnswer(call -> {
                    call.getArgument(2, OutputStream.class).write("whole".getBytes(StandardCharsets.UTF_8));
                    return null;
                })
                .when(bundles)
                .write(any(), anyBoolean(), any());
        assertThat(run("bundle", "7", "--out", out.toString(), "--history")).isEqualTo(new Result(0, "", ""));
        assertThat(out).hasContent("whole");
        verify(bundles).write(any(), eq(true), any());
    }

    @Test
    void aTermThatIsNotThereIsSaid(@TempDir Path folder) {
        when(store.any(anyLong())).thenThrow(NoSuch.term(9));
        wrong(
                run("bundle", "9", "--out", folder.resolve("x.zip").toString()),
                "There is no term 9 here; ./matsuri admin terms prints those that there are.");
    }

    @Test
    void aFileIsOpenedForAnAccountWithWhatIsWorthKnowing(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("autumn.zip"), "a bundle");
        wrong(run("open", folder.resolve("no.zip").toString(), "--account", "tolvanen"), "there is no such file");
        when(accounts.find("nobody")).thenReturn(Optional.empty());
        wrong(run("open", file.toString(), "--account", "nobody"), "There is no account “nobody” here.");

        when(accounts.find("tolvanen")).thenReturn(Optional.of(OWNER));
        Fault doubt = new Fault(Fault.Severity.KEPT, "/courses/0", 12, "A unit is named twice.");
        when(bundles.open(OWNER, file)).thenReturn(new Bundles.Opened(41, List.of(doubt)));
        assertThat(run("open", file.toString(), "--account", "tolvanen"))
                .isEqualTo(new Result(0, "41\n", "A unit is named twice.\n"));
    }

    @Test
    void aFileThatIsNoBundleIsSaidWithEveryFault(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("autumn.zip"), "no bundle");
        when(accounts.find("tolvanen")).thenReturn(Optional.of(OWNER));
        when(bundles.open(OWNER, file)).thenThrow(new Unreadable("This is no bundle."));
        wrong(run("open", file.toString(), "--account", "tolvanen"), "This is no bundle.");
        Fault fault = new Fault(Fault.Severity.FATAL, "/term/first", 4, "“first” is missing.");
        doThrow(new Problem(
                        HttpStatus.UNPROCESSABLE_ENTITY, "plan-at-fault", "No", "It cannot be opened.", List.of(fault)))
                .when(bundles)
                .open(OWNER, file);
        wrong(run("open", file.toString(), "--account", "tolvanen"), "plan.json", "“first” is missing.");
    }

    @Test
    void theTermsOfAllAreListedWithWhoseTheyAre() {
        when(store.everywhere()).thenReturn(List.of(new TermStore.Owned(stored(), 5)));
        when(accounts.namesOf(5)).thenReturn("tolvanen");
        assertThat(run("admin", "terms").out()).isEqualTo("7\ttolvanen\tAutumn 2026\t2026-08-31\t2026-12-18\n");
    }

    @Test
    void aDatabaseOnAnotherServerIsCopiedThere() {
        wrong(run("backup", "/tmp/copy.zip"), "on another server", "pg_dump", "Nothing was copied.");
    }
}
