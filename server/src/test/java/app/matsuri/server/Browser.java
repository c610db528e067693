package app.matsuri.server;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Preferences;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.whatif.WhatIfs;
import jakarta.servlet.http.Cookie;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Asks the server over HTTP as one signed-in person. */
public final class Browser {

    private static final AtomicInteger COUNT = new AtomicInteger();

    private final MockMvc mvc;
    private final SignedIn by;
    private final Cookie session;
    private final String whatIf;
    private final String clock;

    private Browser(MockMvc mvc, SignedIn by, Cookie session, String whatIf, String clock) {
        this.mvc = mvc;
        this.by = by;
        this.session = session;
        this.whatIf = whatIf;
        this.clock = clock;
    }

    /** A new person with a workspace of their own. */
    public static Browser of(MockMvc mvc, Accounts accounts) {
        String name = "person" + COUNT.incrementAndGet();
        return as(mvc, accounts.create(name, "P. " + name, "a password of some length"));
    }

    /** A person who has an account. */
    public static Browser as(MockMvc mvc, SignedIn by) {
        return new Browser(mvc, by, signIn(mvc, by), null, "24");
    }

    /** The same person within a what-if. */
    public Browser within(long whatIfId) {
        return new Browser(mvc, by, session, Long.toString(whatIfId), clock);
    }

    /** The same person on a clock of 12 hours. */
    public Browser onTwelveHours() {
        return new Browser(mvc, by, session, whatIf, "12");
    }

    /** The demo's plan. */
    public static String demo() {
        try {
            return Files.readString(Path.of("..", "demo", "autumn-2026.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public SignedIn person() {
        return by;
    }

    /** An answer: its status and body. */
    public record Answer(int status, JsonNode body, MockHttpServletResponse response) {

        public String type() {
            return body.path("type").stringValue("");
        }
    }

    public Answer get(String path) throws Exception {
        return ask(HttpMethod.GET, path, null, "application/json");
    }

    public Answer post(String path, String json) throws Exception {
        return ask(HttpMethod.POST, path, json.getBytes(StandardCharsets.UTF_8), "application/json");
    }

    public Answer ask(HttpMethod method, String path, byte[] body, String type) throws Exception {
        var request = request(method, java.net.URI.create(path)).with(csrf());
        request.cookie(session, new Cookie(Preferences.CLOCK, clock));
        if (whatIf != null) {
            request.header(WhatIfs.HEADER, whatIf);
        }
        if (body != null) {
            request.contentType(type).content(body);
        }
        MockHttpServletResponse response = mvc.perform(request).andReturn().getResponse();
        String text = response.getContentAsString(StandardCharsets.UTF_8);
        JsonNode json = text.startsWith("{") || text.startsWith("[") ? Json.read(text) : Json.MAPPER.createObjectNode();
        return new Answer(response.getStatus(), json, response);
    }

    /** Opens a plan file; the new term's id. */
    public long open(String plan) throws Exception {
        Answer made =
                ask(HttpMethod.POST, "/api/terms", plan.getBytes(StandardCharsets.UTF_8), "application/octet-stream");
        if (made.status() != 201) {
            throw new AssertionError("not made: " + made.body());
        }
        return made.body().path("id").asLong();
    }

    /** Makes a change on top of a version. */
    public Answer change(long term, long version, String change) throws Exception {
        return post("/api/terms/" + term + "/changes", "{\"version\":" + version + ",\"change\":" + change + "}");
    }

    /** The term's plan file. */
    public String plan(long term) throws Exception {
        return get("/api/terms/" + term + "/plan").response().getContentAsString(StandardCharsets.UTF_8);
    }

    /** Signs a person in without asking for a password, as they may have changed it. */
    private static <S extends Session> Cookie signIn(MockMvc mvc, SignedIn by) {
        @SuppressWarnings("unchecked")
        SessionRepository<S> sessions = mvc.getDispatcherServlet()
                .getWebApplicationContext()
                .getBean("sessionRepository", SessionRepository.class);
        S session = sessions.createSession();
        session.setAttribute(
                HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY,
                new SecurityContextImpl(
                        UsernamePasswordAuthenticationToken.authenticated(by, null, by.getAuthorities())));
        sessions.save(session);
        byte[] id = session.getId().getBytes(StandardCharsets.US_ASCII);
        return new Cookie("matsuri", Base64.getEncoder().encodeToString(id));
    }

    /** What a sign-in gave to carry along; null where it was refused. */
    public static Cookie cookie(MockHttpServletResponse answer) {
        return answer.getCookie("matsuri");
    }

    /** Whether somebody is signed in with it. */
    public static boolean in(MockMvc mvc, Cookie session) throws Exception {
        return mvc.perform(request(HttpMethod.GET, "/api/me").cookie(session))
                        .andReturn()
                        .getResponse()
                        .getStatus()
                == 200;
    }
}
