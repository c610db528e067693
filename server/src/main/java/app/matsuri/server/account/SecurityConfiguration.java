package app.matsuri.server.account;

import app.matsuri.server.http.Refusal;
import app.matsuri.server.settings.MatsuriProperties;
import java.util.Map;
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
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.NegatedRequestMatcher;

/** Who may ask for what: everything under /api needs a sign-in but the few things that lead to one. */
@Configuration
class SecurityConfiguration {

    @Bean
    PasswordEncoder passwordEncoder(MatsuriProperties settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(settings.passwordStrength())));
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, Sessions sessions) throws Exception {
        return http.authorizeHttpRequests(a -> a.requestMatchers("/api/welcome", "/api/session", "/actuator/health")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/accounts")
                        .permitAll()
                        .requestMatchers("/api/invitations/**")
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
                        .successHandler((request, response, who) -> {
                            if (who.getPrincipal() instanceof SignedIn by) {
                                sessions.begin(request, by);
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
                            Refusal.write(
                                    response,
                                    HttpStatus.UNAUTHORIZED,
                                    "sign-in-refused",
                                    "Not signed in",
                                    "That sign-in name and password do not belong together. Check both and try again.");
                        }))
                // a request that is refused is forgotten: kept, each would be a session of half a day
                .requestCache(RequestCacheConfigurer::disable)
                .logout(l -> l.logoutUrl("/api/session/end")
                        .logoutSuccessHandler((request, response, who) -> response.setStatus(204)))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(h -> h.referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                        .frameOptions(f -> f.disable())
                        .addHeaderWriter(unframeable()))
                .build();
    }

    /** Nothing is shown in a frame but pages as students see them, which say themselves by whom. */
    private static HeaderWriter unframeable() {
        return new DelegatingRequestMatcherHeaderWriter(
                new NegatedRequestMatcher(PathPatternRequestMatcher.pathPattern("/preview/**")),
                new XFrameOptionsHeaderWriter(XFrameOptionsHeaderWriter.XFrameOptionsMode.DENY));
    }
}
