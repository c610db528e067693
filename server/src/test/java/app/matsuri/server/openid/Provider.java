package app.matsuri.server.openid;

import app.matsuri.exchange.plan.Json;
import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Base64;
import java.util.Date;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * A small OpenID provider: it describes itself, signs tokens, and wants client, redirection and verifier to be right, as OpenID
 * Connect Core 1.0 and RFC 7636 have it. Who signs in is set; {@code /authorize} asks nobody.
 */
public final class Provider {

    public static final String CLIENT = "matsuri-at-quillmarsh";
    public static final String SECRET = "kept between the two";

    /** What is asked for with a code. */
    private record Granted(String nonce, String challenge, String redirection, Consumer<JWTClaimsSet.Builder> claims) {}

    private final Map<String, Granted> codes = new ConcurrentHashMap<>();
    private final RSAKey key;
    private final HttpServer http;
    private final String issuer;
    private volatile RSAKey signing;
    private volatile boolean down;
    private volatile Consumer<JWTClaimsSet.Builder> who = claims -> claims.subject("nobody");

    public Provider(int port) {
        try {
            key = new RSAKeyGenerator(2048).keyID("one").generate();
            signing = key;
            http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        } catch (JOSEException | IOException e) {
            throw new IllegalStateException("no provider", e);
        }
        issuer = "http://localhost:" + http.getAddress().getPort();
        http.createContext("/", this::answer);
        http.start();
    }

    public String issuer() {
        return issuer;
    }

    /** Who signs in from now on. */
    public void signsIn(Consumer<JWTClaimsSet.Builder> claims) {
        who = claims;
    }

    /** Signs with a key that it does not tell of, or with its own again. */
    void forges(boolean on) throws JOSEException {
        signing = on ? new RSAKeyGenerator(2048).keyID("one").generate() : key;
    }

    void down(boolean now) {
        down = now;
    }

    private void answer(HttpExchange asked) throws IOException {
        try (asked) {
            if (down) {
                asked.sendResponseHeaders(503, -1);
                return;
            }
            switch (asked.getRequestURI().getPath()) {
                case "/.well-known/openid-configuration" ->
                    json(
                            asked,
                            200,
                            Map.of(
                                    "issuer",
                                    issuer,
                                    "authorization_endpoint",
                                    issuer + "/authorize",
                                    "token_endpoint",
                                    issuer + "/token",
                                    "jwks_uri",
                                    issuer + "/keys",
                                    "response_types_supported",
                                    new String[] {"code"},
                                    "subject_types_supported",
                                    new String[] {"public"},
                                    "id_token_signing_alg_values_supported",
                                    new String[] {"RS256"}));
                case "/keys" -> json(asked, 200, new JWKSet(key.toPublicJWK()).toJSONObject());
                case "/authorize" -> {
                    asked.getResponseHeaders()
                            .add("Location", authorize(asked.getRequestURI().toString()));
                    asked.sendResponseHeaders(302, -1);
                }
                case "/token" -> token(asked);
                default -> asked.sendResponseHeaders(404, -1);
            }
        }
    }

    private static MultiValueMap<String, String> query(String text) {
        return UriComponentsBuilder.fromUriString(text).build().getQueryParams();
    }

    private static String said(MultiValueMap<String, String> query, String name) {
        return java.net.URLDecoder.decode(Objects.requireNonNull(query.getFirst(name), name), StandardCharsets.UTF_8);
    }

    /** Where a browser is sent back to that was sent to an address here. */
    public String authorize(String address) {
        MultiValueMap<String, String> query = query(address);
        if (!said(query, "client_id").equals(CLIENT)
                || !said(query, "response_type").equals("code")
                || !said(query, "code_challenge_method").equals("S256")) {
            throw new IllegalArgumentException(address);
        }
        String code = UUID.randomUUID().toString();
        codes.put(
                code,
                new Granted(said(query, "nonce"), said(query, "code_challenge"), said(query, "redirect_uri"), who));
        return said(query, "redirect_uri") + "?code=" + code + "&state=" + query.getFirst("state");
    }

    private void token(HttpExchange asked) throws IOException {
        var form = query("?" + new String(asked.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
        Granted granted = codes.remove(said(form, "code"));
        String client = "Basic "
                + Base64.getEncoder()
                        .encodeToString((CLIENT + ":" + java.net.URLEncoder.encode(SECRET, StandardCharsets.UTF_8))
                                .getBytes(StandardCharsets.UTF_8));
        if (granted == null
                || !client.equals(asked.getRequestHeaders().getFirst("Authorization"))
                || !granted.redirection().equals(said(form, "redirect_uri"))
                || !granted.challenge().equals(challenge(said(form, "code_verifier")))) {
            json(asked, 400, Map.of("error", "invalid_grant"));
            return;
        }
        json(
                asked,
                200,
                Map.of(
                        "access_token",
                        "of no use",
                        "token_type",
                        "Bearer",
                        "expires_in",
                        60,
                        "id_token",
                        signed(granted)));
    }

    private static String challenge(String verifier) {
        try {
            return Base64.getUrlEncoder()
                    .withoutPadding()
                    .encodeToString(
                            MessageDigest.getInstance("SHA-256").digest(verifier.getBytes(StandardCharsets.US_ASCII)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private String signed(Granted granted) {
        JWTClaimsSet.Builder claims = new JWTClaimsSet.Builder()
                .issuer(issuer)
                .audience(CLIENT)
                .issueTime(Date.from(Instant.now()))
                .expirationTime(Date.from(Instant.now().plusSeconds(60)))
                .claim("nonce", granted.nonce());
        granted.claims().accept(claims);
        SignedJWT token = new SignedJWT(
                new JWSHeader.Builder(JWSAlgorithm.RS256).keyID("one").build(), claims.build());
        try {
            token.sign(new RSASSASigner(signing));
        } catch (JOSEException e) {
            throw new IllegalStateException(e);
        }
        return token.serialize();
    }

    private static void json(HttpExchange asked, int status, Object body) throws IOException {
        byte[] bytes = Json.write(Json.MAPPER.valueToTree(body)).getBytes(StandardCharsets.UTF_8);
        asked.getResponseHeaders().add("Content-Type", "application/json");
        asked.sendResponseHeaders(status, bytes.length);
        asked.getResponseBody().write(bytes);
    }
}
