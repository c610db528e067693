package app.matsuri.e2e;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The real application as a process of its own, with its data in a folder. */
final class App implements AutoCloseable {

    private static final Path JAR = Path.of("..", "server", "target", "matsuri-server-0.1.0-app.jar");
    private static final Path ARCHIVE = Path.of("target", "classes.jsa");

    private static App shared;

    private final Path data;
    private final boolean demo;
    private final List<String> more;
    private Process process;
    private int port;

    private App(Path data, boolean demo, String... more) {
        this.data = data;
        this.demo = demo;
        this.more = List.of(more);
    }

    /** The demo, started once for all journeys; each opens plans of its own in it. */
    static synchronized App demo() throws Exception {
        if (shared == null) {
            App app = new App(Files.createTempDirectory("matsuri demo "), true);
            app.start();
            shared = app;
            Runtime.getRuntime().addShutdownHook(new Thread(shared::kill));
        }
        return shared;
    }

    static App over(Path data, boolean demo, String... more) throws Exception {
        App app = new App(data, demo, more);
        app.start();
        return app;
    }

    /** The folder with its data. */
    Path data() {
        return data.toAbsolutePath();
    }

    /** Starts it, on a free port. */
    void start() throws Exception {
        Path app = extracted();
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx256m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:ReservedCodeCacheSize=240m",
                Files.exists(ARCHIVE) ? "-XX:SharedArchiveFile=" + ARCHIVE : "-Xshare:auto",
                "-Xlog:cds=off",
                "-jar",
                app.toString(),
                "--server.port=" + port,
                "--matsuri.data=" + data.toAbsolutePath(),
                "--matsuri.first-code=WREN-2345",
                "--matsuri.password-strength=4", // signing in is no part of what these tests try
                "--matsuri.today=2026-10-07"));
        if (demo) {
            command.add("--matsuri.demo=" + Path.of("..", "demo"));
        }
        command.addAll(more);
        process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(data.resolve("server.log").toFile())
                .start();
        long limit = System.nanoTime() + Duration.ofSeconds(240).toNanos();
        while (!healthy()) {
            if (!process.isAlive() || System.nanoTime() > limit) {
                throw new IllegalStateException("not started: " + Files.readString(data.resolve("server.log")));
            }
            Thread.sleep(100);
        }
    }

    /** The jar as it starts fastest: its libraries beside it, and an archive of the classes that a start uses. */
    private static synchronized Path extracted() throws Exception {
        Path app = Path.of("target", "app", JAR.getFileName().toString());
        if (!Files.exists(app) || Files.getLastModifiedTime(app).compareTo(Files.getLastModifiedTime(JAR)) < 0) {
            String java =
                    Path.of(System.getProperty("java.home"), "bin", "java").toString();
            run(List.of(
                    java,
                    "-Djarmode=tools",
                    "-jar",
                    JAR.toString(),
                    "extract",
                    "--force",
                    "--destination",
                    "target/app"));
            Files.setLastModifiedTime(app, FileTime.fromMillis(System.currentTimeMillis()));
            Path data = Files.createTempDirectory("matsuri-archive");
            run(List.of(
                    java,
                    "-XX:ArchiveClassesAtExit=" + ARCHIVE,
                    "-XX:+UseSerialGC",
                    "-XX:TieredStopAtLevel=1",
                    "-XX:ReservedCodeCacheSize=240m",
                    "-Xlog:cds=off",
                    "-Xlog:cds+dynamic=off",
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    app.toString(),
                    "--matsuri.data=" + data));
        }
        return app;
    }

    private static void run(List<String> command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (!process.waitFor(120, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new IllegalStateException("did not end: " + command);
        }
    }

    private boolean healthy() throws InterruptedException {
        try {
            return HttpClient.newHttpClient()
                            .send(
                                    HttpRequest.newBuilder(URI.create(url("/actuator/health")))
                                            .build(),
                                    HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException e) {
            return false;
        }
    }

    String url(String path) {
        return "http://localhost:" + port + path;
    }

    /** Ends it as a power cut would: kill -9. */
    void kill() {
        process.destroyForcibly();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() throws Exception {
        process.destroy();
        if (!process.waitFor(20, TimeUnit.SECONDS)) {
            kill();
        }
    }
}
