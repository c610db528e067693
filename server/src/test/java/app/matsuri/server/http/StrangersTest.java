package app.matsuri.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.catalina.Context;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.test.annotation.DirtiesContext;

/** Strangers at the door of a real server: what they send costs next to nothing. */
@Tag("database")
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"matsuri.test.name=strangers", "matsuri.today=2026-10-07"})
@DirtiesContext
@ExtendWith(OutputCaptureExtension.class)
class StrangersTest {

    @LocalServerPort
    int port;

    @Autowired
    ServletWebServerApplicationContext context;

    private Socket from(String address) throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), port, InetAddress.getByName(address), 0);
        socket.setSoTimeout(15_000);
        return socket;
    }

    private static void send(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.ISO_8859_1));
        socket.getOutputStream().flush();
    }

    private static String answer(Socket socket) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        try {
            socket.getInputStream().transferTo(all);
        } catch (SocketException closed) {
            assertThat(closed).hasMessageContaining("reset"); // what came before it counts
        }
        return all.toString(StandardCharsets.UTF_8);
    }

    private static String post(String path, long length, String body) {
        return "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n"
                + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: " + length + "\r\n\r\n" + body;
    }

    private int sessions() {
        TomcatWebServer server = (TomcatWebServer) context.getWebServer();
        Context app = (Context) server.getTomcat().getHost().findChildren()[0];
        return app.getManager().getActiveSessions();
    }

    @Test
    void aRefusedRequestIsForgotten() throws Exception {
        String much = "x".repeat(6_500);
        for (int i = 0; i < 50; i++) {
            try (Socket socket = from("127.0.0.1")) {
                send(
                        socket,
                        "GET /api/terms/" + i + "/wall?q=" + i + " HTTP/1.1\r\nHost: localhost\r\nX-Much: " + much
                                + "\r\nConnection: close\r\n\r\n");
                assertThat(answer(socket)).startsWith("HTTP/1.1 401").doesNotContain("JSESSIONID");
            }
        }
        assertThat(sessions()).isZero();
    }

    @Test
    void aLargeBodyIsTurnedAwayBeforeItComes() throws Exception {
        for (String path : List.of("/api/session", "/api/accounts", "/see/abc", "/api/terms", "/nothing")) {
            try (Socket socket = from("127.0.0.1")) {
                send(socket, post(path, 9_900_000, ""));
                assertThat(answer(socket)).startsWith("HTTP/1.1 413").contains("not signed in");
            }
        }
    }

    @Test
    void bodiesInDropsAreLetGoAndKeepNobodyOut() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 70; i++) {
                Socket socket = from("127.0.0.1");
                slow.add(socket);
                send(socket, post("/api/session", 10_000, "s"));
            }
            try (Socket other = from("127.0.0.2")) {
                send(other, post("/api/session", 13, "signIn=nobody"));
                assertThat(answer(other)).startsWith("HTTP/1.1 403"); // read, and turned away for its token
            }
            for (int second = 0; second < 7; second++) {
                Thread.sleep(1_000);
                slow.forEach(StrangersTest::drop);
            }
            for (Socket socket : slow) {
                assertThat(answer(socket)).isNotNull(); // the end of it: the server has let go
            }
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
        try (Socket other = from("127.0.0.1")) {
            send(other, post("/api/session", 13, "signIn=nobody"));
            assertThat(answer(other)).as("nobody holds anything any more").startsWith("HTTP/1.1 403");
        }
    }

    private static void drop(Socket socket) {
        try {
            send(socket, "x");
        } catch (IOException closed) {
            assertThat(closed).isNotNull(); // the server let go of it
        }
    }

    @Test
    void whatWentWrongIsSaidAlsoAtTheAddressOfErrors() throws Exception {
        for (String path : List.of("/error", "/error?status=500", "/api/%ff", "/api/terms?name=%ff%zz", "/%2e%2e/x")) {
            try (Socket socket = from("127.0.0.1")) {
                send(socket, "GET " + path + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n");
                assertThat(answer(socket)).as(path).startsWith("HTTP/1.1 4").doesNotContain("timestamp");
            }
        }
    }

    @Test
    void fieldsOfAFormThatAreNoneAreSaidToBe() throws Exception {
        try (Socket socket = from("127.0.0.1")) {
            String body = "signIn=%C3%A9t%C3%A9+%26&password=%zz";
            send(socket, post("/api/session", body.length(), body));
            assertThat(answer(socket)).startsWith("HTTP/1.1 400").contains("/problems/not-readable");
        }
    }

    @Test
    void whoIsGoneBeforeTheAnswerIsNoFaultInTheLog(CapturedOutput log) throws Exception {
        String script;
        try (Socket socket = from("127.0.0.1")) {
            send(socket, "GET / HTTP/1.0\r\nHost: localhost\r\n\r\n");
            Matcher named = Pattern.compile("/assets/[^\"]+\\.js").matcher(answer(socket));
            assertThat(named.find()).isTrue();
            script = named.group();
        }
        List<String> paths = List.of("/actuator/health", "/", script, "/api/welcome", "/nothing-here");
        for (int i = 0; i < 300; i++) {
            try (Socket socket = from("127.0.0.1")) {
                send(socket, "GET " + paths.get(i % paths.size()) + " HTTP/1.1\r\nHost: localhost\r\n\r\n");
                socket.setSoLinger(true, 0); // closed with a reset, at once
            }
        }
        try (Socket socket = from("127.0.0.1")) {
            send(socket, "GET /actuator/health HTTP/1.0\r\nHost: localhost\r\n\r\n");
            assertThat(answer(socket)).startsWith("HTTP/1.1 200");
        }
        assertThat(log.getAll()).doesNotContain("unexpected").doesNotContain("Exception");
    }
}
