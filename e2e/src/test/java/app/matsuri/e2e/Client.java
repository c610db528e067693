package app.matsuri.e2e;

import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;

/** One signed-in person of the demo at the running application, without a browser. */
final class Client {

    private final CookieManager cookies;
    private final HttpClient http;
    private final String base;

    /**
     * Signs in.
     *
     * @param base the address without a path
     */
    Client(String base, String signIn) throws IOException, InterruptedException {
        this(base, new CookieManager());
        get("/api/welcome");
        send(
                "/api/session",
                "application/x-www-form-urlencoded",
                "signIn=" + signIn + "&password=" + URLEncoder.encode("lantern-paper", StandardCharsets.UTF_8));
        get("/api/me");
    }

    private Client(String base, CookieManager cookies) {
        this.base = base;
        this.cookies = cookies;
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** The same person at another address, without signing in again. */
    Client at(String another) {
        return new Client(another, cookies);
    }

    String get(String path) throws IOException, InterruptedException {
        return tried(path).body();
    }

    HttpResponse<String> tried(String path) throws IOException, InterruptedException {
        return http.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofString());
    }

    HttpResponse<String> send(String path, String type, String body) throws IOException, InterruptedException {
        return send(path, type, BodyPublishers.ofString(body));
    }

    private HttpResponse<String> send(String path, String type, BodyPublisher body)
            throws IOException, InterruptedException {
        String token = cookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", token)
                .POST(body)
                .build();
        return http.send(request, BodyHandlers.ofString());
    }

    /** Opens a plan file as a term of its own; its id. */
    long opened(Path plan) throws IOException, InterruptedException {
        HttpResponse<String> answer = send("/api/terms", "application/octet-stream", BodyPublishers.ofFile(plan));
        if (answer.statusCode() / 100 != 2) {
            throw new IllegalStateException(plan + ": " + answer.body());
        }
        return Json.read(answer.body()).path("id").asLong();
    }

    /** What tells the application who this is. */
    List<HttpCookie> cookies() {
        return cookies.getCookieStore().getCookies();
    }
}
