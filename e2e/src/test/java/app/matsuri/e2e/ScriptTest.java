package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** 7. What the one script does, called from another folder as a person does. */
class ScriptTest {

    private static final Path SCRIPT = Path.of("..", "matsuri").toAbsolutePath().normalize();
    private static final Path DEMO = SCRIPT.resolveSibling("demo");

    @TempDir
    Path folder;

    private record Said(int code, String out, String err) {}

    private Said run(String... words) throws Exception {
        List<String> command = new ArrayList<>(List.of(SCRIPT.toString()));
        command.addAll(List.of(words));
        Path out = folder.resolve("out.txt");
        Path err = folder.resolve("err.txt");
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectOutput(out.toFile())
                .redirectError(err.toFile())
                .start();
        assertThat(process.waitFor(4, TimeUnit.MINUTES)).as("it ends").isTrue();
        return new Said(
                process.exitValue(),
                Files.readString(out, StandardCharsets.UTF_8),
                Files.readString(err, StandardCharsets.UTF_8));
    }

    @Test
    void everyDateOfAPlanFileIsPrinted() throws Exception {
        Files.copy(DEMO.resolve("autumn-2026.json"), folder.resolve("my plan.json"));
        Said said = run("dates", "my plan.json");
        assertThat(said.code()).as(said.err()).isZero();
        assertThat(said.out().lines())
                .startsWith("course,section,what,id,title,starts,ends,state")
                .contains("HYD 210,A,lesson,CH2,\"Pools, riffles, bars\",2026-10-09T10:00,2026-10-09T10:50,ok");
    }

    @Test
    void whatAChangeWouldDoIsPrinted() throws Exception {
        Said said = run(
                "dates",
                DEMO.resolve("autumn-2026.json").toString(),
                "--change",
                DEMO.resolve("flood-warning.json").toString());
        assertThat(said.code()).as(said.err()).isZero();
        assertThat(said.out()).contains("2026-10-14").contains("\"CH2\"");
    }

    @Test
    void aFileThatIsNotThereIsSaidAndNothingPrinted() throws Exception {
        Said said = run("dates", "nothing.json");
        assertThat(said.code()).isNotZero();
        assertThat(said.out()).isEmpty();
        assertThat(said.err()).contains("nothing.json");
    }

    @Test
    void aTermLeavesAsABundleAndComesBackWhileTheServerRuns() throws Exception {
        String data = App.demo().data().toString();
        Said terms = run("admin", "terms", "--data", data);
        assertThat(terms.code()).as(terms.err()).isZero();
        String id = terms.out()
                .lines()
                .filter(line -> line.contains("Spring 2025"))
                .map(line -> line.replaceAll("\\D.*", ""))
                .findFirst()
                .orElseThrow();
        Said bundle = run("bundle", id, "--out", "my bundle.zip", "--history", "--data", data);
        assertThat(bundle.code()).as(bundle.err()).isZero();
        try (ZipFile zip = new ZipFile(folder.resolve("my bundle.zip").toFile())) {
            assertThat(zip.stream().map(ZipEntry::getName)).contains("bundle.json", "plan.json", "history.json");
        }
        Said open = run("open", "my bundle.zip", "--account", "aldous", "--data", data);
        assertThat(open.code()).as(open.err()).isZero();
        assertThat(run("admin", "terms", "--data", data).out().lines().filter(l -> l.contains("Spring 2025")))
                .hasSizeGreaterThan((int) terms.out()
                        .lines()
                        .filter(l -> l.contains("Spring 2025"))
                        .count());
        Said none = run("bundle", "999999", "--out", "none.zip", "--data", data);
        assertThat(none.code()).isEqualTo(2);
        assertThat(none.err()).contains("999999");
        assertThat(folder.resolve("none.zip")).doesNotExist();
    }

    /** In place of the server stands a process that ends as Java does when it is out of memory, and the second time well. */
    @Test
    void aServerThatIsOutOfMemoryIsStartedAgainAndThatIsSaid() throws Exception {
        Path java = Files.createDirectory(folder.resolve("bin")).resolve("java");
        Files.writeString(
                java, """
                #!/bin/bash
                case "$*" in *--server.port*) ;; *) exec "%s" "$@" ;; esac
                [ ! -e "%2$s" ] || { echo "there the second time"; exit 0; }
                touch "%2$s"
                sleep 16
                exit 3
                """.formatted(Path.of(System.getProperty("java.home"), "bin", "java"), folder.resolve("ended")));
        assertThat(java.toFile().setExecutable(true)).isTrue();
        Path out = folder.resolve("start.txt");
        ProcessBuilder start = new ProcessBuilder(
                SCRIPT.toString(), "start", "--data", folder.resolve("data").toString());
        start.environment().merge("PATH", java.getParent() + ":", (was, first) -> first + was);
        Process process =
                start.redirectErrorStream(true).redirectOutput(out.toFile()).start();
        assertThat(process.waitFor(2, TimeUnit.MINUTES)).as("it ends").isTrue();
        assertThat(Files.readString(out))
                .contains(
                        "The server ended (status 3: out of memory, or a fault below it). Nothing that was confirmed is lost."
                                + " Starting it again")
                .contains("there the second time");
    }

    /** The README's first command: from its start to somebody who looks, and again on what they left. */
    @Test
    void theDemoStartsSaysWhereItIsAndKeepsWhatWasDone() throws Exception {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        String before = demo(port, client -> client.opened(DEMO.resolve("spring-2027-short.json")));
        assertThat(before)
                .as("worked out once, before it starts")
                .contains("Starting AOT-processed")
                .contains("Demo sign-ins (all made up): tolvanen or aldous");
        assertThat(demo(
                        port,
                        client -> assertThat(client.get("/api/terms"))
                                .contains("Autumn 2026")
                                .contains(Json.read(Files.readString(DEMO.resolve("spring-2027-short.json")))
                                        .at("/term/name")
                                        .asString())))
                .doesNotContain("Preparing");
    }

    private interface Look {
        void at(Client client) throws Exception;
    }

    /** What it prints, from its start to its end, with somebody who signs in between. */
    private String demo(int port, Look look) throws Exception {
        Path out = folder.resolve("demo.txt");
        Process process = new ProcessBuilder(
                        SCRIPT.toString(),
                        "demo",
                        "--port",
                        "" + port,
                        "--data",
                        folder.resolve("demo").toString())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        try {
            long limit = System.nanoTime() + TimeUnit.MINUTES.toNanos(8);
            while (!Files.readString(out).contains("Matsuri is at http://localhost:" + port)) {
                assertThat(process.isAlive() && System.nanoTime() < limit)
                        .as(Files.readString(out))
                        .isTrue();
                Thread.sleep(200);
            }
            look.at(new Client("http://localhost:" + port, "tolvanen"));
        } finally {
            process.destroy();
        }
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).as("it ends").isTrue();
        return Files.readString(out);
    }
}
