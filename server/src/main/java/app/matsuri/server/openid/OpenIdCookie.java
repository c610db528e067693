package app.matsuri.server.openid;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.Objects;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.oauth2.client.web.AuthorizationRequestRepository;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestResolver;
import org.springframework.security.oauth2.core.endpoint.OAuth2AuthorizationRequest;
import org.springframework.security.oauth2.core.endpoint.PkceParameterNames;
import org.springframework.security.oauth2.core.oidc.endpoint.OidcParameterNames;
import org.springframework.web.util.WebUtils;

/**
 * What a sign-in elsewhere is known by when it comes back lies in the browser that began it, for ten minutes: strangers
 * have no session, and it does not matter which server is asked then.
 */
class OpenIdCookie implements AuthorizationRequestRepository<OAuth2AuthorizationRequest> {

    static final String NAME = "matsuri-openid";

    private static final Duration KEPT = Duration.ofMinutes(10);

    private static final int MOST = 1000;

    /** State, nonce, verifier, and where to go then. */
    private static final Pattern FORM = Pattern.compile(
            "([A-Za-z0-9_=-]{16,200})\\.([A-Za-z0-9_-]{16,200})\\.([A-Za-z0-9_-]{43,128})\\.([A-Za-z0-9_-]*)");

    private final OAuth2AuthorizationRequestResolver requests;
    private final String registration;

    OpenIdCookie(OAuth2AuthorizationRequestResolver requests, String registration) {
        this.requests = requests;
        this.registration = registration;
    }

    @Override
    public @Nullable OAuth2AuthorizationRequest loadAuthorizationRequest(HttpServletRequest request) {
        var cookie = WebUtils.getCookie(request, NAME);
        var found = FORM.matcher(cookie == null ? "" : cookie.getValue());
        OAuth2AuthorizationRequest begun = found.matches() ? requests.resolve(request, registration) : null;
        if (begun == null || !found.group(1).equals(request.getParameter("state"))) {
            return null;
        }
        return OAuth2AuthorizationRequest.from(begun)
                .state(found.group(1))
                .attributes(kept -> {
                    kept.put(OidcParameterNames.NONCE, found.group(2));
                    kept.put(PkceParameterNames.CODE_VERIFIER, found.group(3));
                })
                .build();
    }

    @Override
    public void saveAuthorizationRequest(
            @Nullable OAuth2AuthorizationRequest begun, HttpServletRequest request, HttpServletResponse response) {
        if (begun == null) {
            removeAuthorizationRequest(request, response);
            return;
        }
        String to = Objects.requireNonNullElse(request.getParameter("to"), "");
        String value = String.join(
                ".",
                begun.getState(),
                begun.getAttribute(OidcParameterNames.NONCE),
                begun.getAttribute(PkceParameterNames.CODE_VERIFIER),
                Base64.getUrlEncoder()
                        .withoutPadding()
                        .encodeToString((inside(to) ? to : "").getBytes(StandardCharsets.UTF_8)));
        write(request, response, value, KEPT);
    }

    @Override
    public @Nullable OAuth2AuthorizationRequest removeAuthorizationRequest(
            HttpServletRequest request, HttpServletResponse response) {
        OAuth2AuthorizationRequest begun = loadAuthorizationRequest(request);
        write(request, response, "", Duration.ZERO);
        return begun;
    }

    /** Where the sign-in was asked for; the first page for nowhere. */
    static String to(HttpServletRequest request) {
        var cookie = WebUtils.getCookie(request, NAME);
        var found = FORM.matcher(cookie == null ? "" : cookie.getValue());
        if (!found.matches()) {
            return "/";
        }
        String to = new String(Base64.getUrlDecoder().decode(found.group(4)), StandardCharsets.UTF_8);
        return inside(to) ? to : "/";
    }

    /** Whether an address is one of this server's own pages. */
    private static boolean inside(String to) {
        return to.length() <= MOST && to.matches("/(?![/\\\\])[\\x21-\\x7e&&[^\\\\]]*") || to.equals("/");
    }

    private static void write(HttpServletRequest request, HttpServletResponse response, String value, Duration kept) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(NAME, value)
                        .path("/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .maxAge(kept)
                        .build()
                        .toString());
    }
}
