package app.matsuri.server.page;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.StaticHeadersWriter;

/** Pages of links: anyone who has the address may read, nobody is signed in, no cookie is set, nothing runs. */
@Configuration
class PublicSecurity {

    /** Where they lie, and what they load. */
    static final String[] WHERE = {"/see/**", "/reminders/**", "/meeting/**", "/school/**", "/assets/**"};

    static final String POLICY_HEADER = "Content-Security-Policy";

    /**
     * What a page may load, and who may show it in a frame: Matsuri itself, and the hosts of its workspace.
     *
     * @param hosts parted by spaces; none where empty
     */
    static String policy(String hosts) {
        return "default-src 'none'; style-src 'self'; font-src 'self'; img-src 'self' data:; base-uri 'self'; form-action"
                + " 'self'; frame-ancestors 'self' " + hosts;
    }

    /** Which filter took how long is of no use, and measuring it takes a third of a small answer. */
    @Bean
    SecurityObservationSettings noObservationsOfFilters() {
        return SecurityObservationSettings.noObservations();
    }

    @Bean
    @Order(1)
    SecurityFilterChain publicPages(HttpSecurity http) throws Exception {
        return http.securityMatcher(WHERE)
                .authorizeHttpRequests(a -> a.anyRequest().permitAll())
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(AbstractHttpConfigurer::disable)
                .securityContext(AbstractHttpConfigurer::disable)
                .anonymous(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .servletApi(AbstractHttpConfigurer::disable)
                .headers(h -> h.referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(f -> f.disable())
                        .cacheControl(c -> c.disable())
                        .addHeaderWriter(new StaticHeadersWriter("X-Robots-Tag", "noindex"))
                        .addHeaderWriter(new StaticHeadersWriter("Cache-Control", "private, no-cache"))
                        .addHeaderWriter(new StaticHeadersWriter(POLICY_HEADER, policy(""))))
                .build();
    }
}
