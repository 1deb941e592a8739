package tallledger.web.config;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import tallledger.web.connections.Connections;
import tallledger.web.sharing.DeviceGate;
import tallledger.web.sharing.Sharing;

/** CSRF on, no inline script, nothing from elsewhere. The CSRF token lives in a cookie, so that a half-typed form outlives a restart. */
@Configuration
class SecurityConfig {

    private static final Set<String> ITSELF = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    /** Answers only to this machine's own names, so that no page elsewhere can reach it under a name of its own. */
    @Bean
    StrictHttpFirewall ownNamesOnly(Sharing sharing) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(host -> ITSELF.contains(host) || sharing.isOurs(host));
        return firewall;
    }

    /** Reads no request for longer than it may take. */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> slowConnectionsAreCut() {
        return factory -> {
            factory.setProtocol(Connections.class.getName());
            factory.addContextValves(new Connections.ConnectionEnds());
        };
    }

    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, DeviceGate devices, @Value("${tallledger.patience-ms}") long patience) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .addFilterBefore(new Arriving(patience), CsrfFilter.class)
                .addFilterBefore(devices.stillIn(), CsrfFilter.class)
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .headers(headers -> headers
                        // A browser that was told once to come encrypted would not find this computer's own port any more.
                        .httpStrictTransportSecurity(hsts -> hsts.disable())
                        // The film desk shows the run sheet in a frame of its own.
                        .frameOptions(frames -> frames.sameOrigin())
                        .contentSecurityPolicy(csp -> csp.policyDirectives(ContentPolicy.ORDINARY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .exceptionHandling(handling -> handling.accessDeniedHandler((request, response, denied) -> {
                    response.setStatus(HttpServletResponse.SC_FORBIDDEN);
                    request.getRequestDispatcher("/sorry/form-expired").forward(request, response);
                }))
                .build();
    }
}
