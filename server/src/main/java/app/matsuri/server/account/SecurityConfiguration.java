package app.matsuri.server.account;

import app.matsuri.server.http.Refusal;
import app.matsuri.server.settings.MatsuriProperties;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.RequestCacheConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.NegatedRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.web.filter.OncePerRequestFilter;

/** Who may ask for what: everything under /api needs a sign-in but the few things that lead to one. */
@Configuration
class SecurityConfiguration {

    @Bean
    PasswordEncoder passwordEncoder(MatsuriProperties settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(settings.passwordStrength())));
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, Sessions sessions, Attempts attempts, AccessLog log)
            throws Exception {
        return http.authorizeHttpRequests(a -> a.requestMatchers("/api/welcome", "/api/session", "/actuator/health")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/accounts")
                        .permitAll()
                        .requestMatchers("/api/invitations/**", "/api/password-resets/**")
                        .permitAll()
                        .requestMatchers("/api/**", "/v3/**", "/actuator/**", "/preview/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .csrf(c -> c.spa())
                .formLogin(f -> f.loginPage("/sign-in")
                        .loginProcessingUrl("/api/session")
                        .usernameParameter("signIn")
                        .passwordParameter("password")
                        .authenticationDetailsSource(TwoSteps.Details::new)
                        .successHandler((request, response, who) -> {
                            if (who.getPrincipal() instanceof SignedIn by) {
                                sessions.begin(request);
                                attempts.worked(by.signIn());
                                log.say("signed in", by.signIn(), request);
                            }
                            response.setStatus(204);
                        })
                        .failureHandler((request, response, why) -> {
                            if (why instanceof AuthenticationServiceException) {
                                Refusal.write(
                                        response,
                                        HttpStatus.SERVICE_UNAVAILABLE,
                                        "sign-in-not-possible",
                                        "Nobody can sign in just now",
                                        "The server cannot read its accounts; this says nothing about your password."
                                                + " Try again later.");
                                return;
                            }
                            if (why instanceof TwoSteps.CodeWanted) {
                                Refusal.write(
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        "code-wanted",
                                        "A code is wanted",
                                        "Type the code that your phone shows for Matsuri, or one of your recovery codes.");
                                return;
                            }
                            attempts.failed(tried(request), request.getRemoteAddr());
                            log.say("sign-in refused", tried(request), request);
                            Refusal.write(
                                    response,
                                    HttpStatus.UNAUTHORIZED,
                                    "sign-in-refused",
                                    "Not signed in",
                                    request.getParameter("code") == null
                                            ? "That sign-in name and password do not belong together. Check both and"
                                                    + " try again."
                                            : "Name, password and code do not belong together. A code is taken once"
                                                    + " and for a minute; wait for the next one.");
                        }))
                .addFilterBefore(new TooManyAttempts(attempts, log), UsernamePasswordAuthenticationFilter.class)
                // a request that is refused is forgotten: kept, each would be a session of half a day
                .requestCache(RequestCacheConfigurer::disable)
                .logout(l -> l.logoutUrl("/api/session/end")
                        .addLogoutHandler((request, response, who) -> {
                            if (who != null) {
                                log.say("signed out", who.getName(), request);
                            }
                        })
                        .logoutSuccessHandler((request, response, who) -> response.setStatus(204)))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(h -> h.referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                        .frameOptions(f -> f.disable())
                        .addHeaderWriter(unframeable()))
                .build();
    }

    private static String tried(HttpServletRequest request) {
        return Objects.requireNonNullElse(request.getParameter("signIn"), "");
    }

    /** Who has tried in vain too often waits, whether there is such an account or not. */
    private static final class TooManyAttempts extends OncePerRequestFilter {

        private static final RequestMatcher SIGN_IN =
                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/session");

        private final Attempts attempts;
        private final AccessLog log;

        TooManyAttempts(Attempts attempts, AccessLog log) {
            this.attempts = attempts;
            this.log = log;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            boolean signsIn = SIGN_IN.matches(request);
            Duration wait = signsIn ? attempts.wait(tried(request), request.getRemoteAddr()) : Duration.ZERO;
            if (wait.isZero()) {
                chain.doFilter(request, response);
                return;
            }
            log.say("sign-in held off", tried(request), request);
            response.setHeader("Retry-After", Long.toString(wait.toSeconds() + 1));
            Refusal.write(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-attempts",
                    "Too many attempts",
                    Attempts.said(wait));
        }
    }

    /** Nothing is shown in a frame but pages as students see them, which say themselves by whom. */
    private static HeaderWriter unframeable() {
        return new DelegatingRequestMatcherHeaderWriter(
                new NegatedRequestMatcher(PathPatternRequestMatcher.pathPattern("/preview/**")),
                new XFrameOptionsHeaderWriter(XFrameOptionsHeaderWriter.XFrameOptionsMode.DENY));
    }
}
