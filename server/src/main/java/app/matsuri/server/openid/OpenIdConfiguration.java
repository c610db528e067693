package app.matsuri.server.openid;

import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Sessions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.settings.OpenIdProperties;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.http.HttpClient;
import java.time.Duration;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.security.config.ObjectPostProcessor;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.RequestCacheConfigurer;
import org.springframework.security.core.Authentication;
import org.springframework.security.oauth2.client.endpoint.RestClientAuthorizationCodeTokenResponseClient;
import org.springframework.security.oauth2.client.http.OAuth2ErrorResponseErrorHandler;
import org.springframework.security.oauth2.client.registration.ClientRegistration;
import org.springframework.security.oauth2.client.registration.ClientRegistrations;
import org.springframework.security.oauth2.client.registration.InMemoryClientRegistrationRepository;
import org.springframework.security.oauth2.client.registration.SupplierClientRegistrationRepository;
import org.springframework.security.oauth2.client.web.DefaultOAuth2AuthorizationRequestResolver;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestCustomizers;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestRedirectFilter;
import org.springframework.security.oauth2.core.http.converter.OAuth2AccessTokenResponseHttpMessageConverter;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.web.client.RestClient;

/** Signing in by OpenID Connect, with Spring's own client, where a provider is set; else nothing of it is there. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnProperty("matsuri.openid.issuer")
class OpenIdConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger(OpenIdConfiguration.class);

    static final String REGISTRATION = "provider";

    /** Below it a sign-in begins, and to it it comes back. */
    static final String BEGIN = "/api/openid/begin";

    static final String ANSWER = "/api/openid/answer";

    private static final Duration PATIENCE = Duration.ofSeconds(10);

    @Bean
    @Order(2)
    SecurityFilterChain openId(
            HttpSecurity http,
            OpenIdProperties settings,
            OpenIdAccounts people,
            Connecting connecting,
            Sessions sessions,
            AccessLog log)
            throws Exception {
        // asked when somebody signs in first, and again where the provider did not answer
        var provider = new SupplierClientRegistrationRepository(
                () -> new InMemoryClientRegistrationRepository(registration(settings)));
        var requests = new DefaultOAuth2AuthorizationRequestResolver(provider, BEGIN);
        requests.setAuthorizationRequestCustomizer(OAuth2AuthorizationRequestCustomizers.withPkce());
        return http.securityMatcher(BEGIN + "/*", ANSWER)
                .authorizeHttpRequests(a -> a.anyRequest().denyAll())
                .requestCache(RequestCacheConfigurer::disable)
                // what the provider says is not kept; a session begins when it is known whose account that is
                .securityContext(c -> c.securityContextRepository(new NullSecurityContextRepository()))
                .oauth2Login(o -> o.loginPage("/sign-in")
                        .clientRegistrationRepository(provider)
                        .authorizedClientRepository(new NothingKept())
                        .authorizationEndpoint(e -> e.authorizationRequestResolver(requests)
                                .authorizationRequestRepository(new OpenIdCookie(requests, REGISTRATION)))
                        .redirectionEndpoint(e -> e.baseUri(ANSWER))
                        .tokenEndpoint(e -> e.accessTokenResponseClient(tokens()))
                        .withObjectPostProcessor(new ObjectPostProcessor<OAuth2AuthorizationRequestRedirectFilter>() {
                            @Override
                            public <O extends OAuth2AuthorizationRequestRedirectFilter> O postProcess(O filter) {
                                filter.setAuthenticationFailureHandler((request, response, why) -> {
                                    LOG.warn("the OpenID provider cannot be asked: {}", String.valueOf(why.getCause()));
                                    response.sendRedirect("/sign-in?elsewhere=unavailable");
                                });
                                return filter;
                            }
                        })
                        .successHandler((request, response, who) ->
                                enter(request, response, who, people, connecting, sessions, log))
                        .failureHandler((request, response, why) -> {
                            LOG.info(
                                    "sign-in by OpenID refused: {}",
                                    AccessLog.oneLine(String.valueOf(why.getMessage())));
                            log.say("sign-in by OpenID refused", "somebody", request);
                            response.sendRedirect("/sign-in?elsewhere=refused");
                        }))
                .build();
    }

    private static ClientRegistration registration(OpenIdProperties settings) {
        return ClientRegistrations.fromIssuerLocation(Objects.requireNonNull(settings.issuer()))
                .registrationId(REGISTRATION)
                .clientId(settings.clientId())
                .clientSecret(settings.clientSecret())
                .clientName(settings.name())
                .scope("openid", "profile", "email")
                .redirectUri("{baseUrl}" + ANSWER)
                .build();
    }

    private static void enter(
            HttpServletRequest request,
            HttpServletResponse response,
            Authentication who,
            OpenIdAccounts people,
            Connecting connecting,
            Sessions sessions,
            AccessLog log)
            throws IOException {
        if (!(who.getPrincipal() instanceof OidcUser said)) {
            throw new IllegalStateException("not by OpenID Connect");
        }
        Long account = connecting.taken(request);
        if (account != null) {
            Optional<SignedIn> by = answered(
                    () -> people.connect(account, said), "/preferences", said.getName(), request, response, log);
            if (by.isPresent()) {
                log.say("connected with OpenID", by.get().signIn(), request);
                response.sendRedirect("/preferences?elsewhere=connected");
            }
            return;
        }
        Optional<SignedIn> by =
                answered(() -> people.signedIn(said), "/sign-in", said.getName(), request, response, log);
        if (by.isPresent()) {
            log.say("signed in by OpenID", by.get().signIn(), request);
            sessions.signIn(by.get(), request, response);
            response.sendRedirect(OpenIdCookie.to(request));
        }
    }

    /** Whose account it is; empty where it was said at the page why it is nobody's. */
    private static Optional<SignedIn> answered(
            Supplier<OpenIdAccounts.Answer> asked,
            String page,
            String name,
            HttpServletRequest request,
            HttpServletResponse response,
            AccessLog log)
            throws IOException {
        OpenIdAccounts.Answer answer;
        try {
            answer = asked.get();
        } catch (DataAccessException e) {
            LOG.warn("a sign-in by OpenID was not kept", e); // as when it comes twice at once
            response.sendRedirect(page + "?elsewhere=unavailable");
            return Optional.empty();
        }
        if (answer.refused().isPresent()) {
            String why = answer.refused().get().name().toLowerCase(Locale.ROOT).replace('_', '-');
            log.say("sign-in by OpenID refused, " + why, name, request);
            response.sendRedirect(page + "?elsewhere=" + why);
        }
        return answer.by();
    }

    private static RestClientAuthorizationCodeTokenResponseClient tokens() {
        var requests = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        requests.setReadTimeout(PATIENCE);
        RestClient patient = RestClient.builder()
                .requestFactory(requests)
                .configureMessageConverters(c -> c.disableDefaults()
                        .addCustomConverter(new FormHttpMessageConverter())
                        .addCustomConverter(new OAuth2AccessTokenResponseHttpMessageConverter()))
                .defaultStatusHandler(new OAuth2ErrorResponseErrorHandler())
                .build();
        var tokens = new RestClientAuthorizationCodeTokenResponseClient();
        tokens.setRestClient(patient);
        return tokens;
    }
}
