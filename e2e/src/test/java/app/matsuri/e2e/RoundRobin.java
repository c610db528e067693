package app.matsuri.e2e;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Stands before several servers and gives each request to the next one; 502 where that one does not answer, which is then left
 * out for a while.
 */
final class RoundRobin implements AutoCloseable {

    /** How long one is left out, in nanoseconds. */
    private static final long A_WHILE = Duration.ofSeconds(2).toNanos();

    /** Headers that belong to one connection. */
    private static final Set<String> OWN =
            Set.of("host", "connection", "content-length", "transfer-encoding", "upgrade", "http2-settings", ":status");

    private final List<App> servers;
    private final AtomicInteger next = new AtomicInteger();
    private final Map<App, Long> leftOut = new ConcurrentHashMap<>();
    private final HttpClient http =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final HttpServer server;

    RoundRobin(List<App> servers) throws IOException {
        this.servers = servers;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 100);
        server.createContext("/", this::pass);
        server.setExecutor(threads);
        server.start();
    }

    String url() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    private App next() {
        App to = servers.get(0);
        for (int n = 0; n < servers.size(); n++) {
            to = servers.get(Math.floorMod(next.getAndIncrement(), servers.size()));
            Long since = leftOut.get(to);
            if (since == null || System.nanoTime() - since > A_WHILE) {
                break;
            }
        }
        return to;
    }

    private void pass(HttpExchange exchange) throws IOException {
        App to = next();
        try {
            HttpRequest.Builder request = HttpRequest.newBuilder(
                            URI.create(to.url(exchange.getRequestURI().toString())))
                    .method(
                            exchange.getRequestMethod(),
                            BodyPublishers.ofByteArray(exchange.getRequestBody().readAllBytes()));
            exchange.getRequestHeaders()
                    .forEach((name, values) -> values.stream()
                            .filter(v -> !OWN.contains(name.toLowerCase(Locale.ROOT)))
                            .forEach(v -> request.header(name, v)));
            HttpResponse<byte[]> answer = http.send(request.build(), BodyHandlers.ofByteArray());
            answer.headers().map().forEach((name, values) -> {
                if (!OWN.contains(name)) {
                    exchange.getResponseHeaders().put(name, values);
                }
            });
            byte[] body = answer.body();
            exchange.sendResponseHeaders(answer.statusCode(), body.length == 0 ? -1 : body.length);
            exchange.getResponseBody().write(body);
        } catch (IOException gone) {
            leftOut.put(to, System.nanoTime());
            exchange.sendResponseHeaders(502, -1);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            exchange.close();
        }
    }

    @Override
    public void close() {
        server.stop(0);
        threads.shutdownNow();
    }
}
