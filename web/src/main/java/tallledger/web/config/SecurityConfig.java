package tallledger.web.config;

import java.util.Set;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** CSRF on, no inline script, nothing from elsewhere. The CSRF token lives in a cookie, so that a half-typed form outlives a restart. */
@Configuration
class SecurityConfig {

    private static final String POLICY = String.join("; ", "default-src 'none'", "script-src 'self'", "style-src 'self'",
            "img-src 'self'", "font-src 'self'", "connect-src 'self'", "form-action 'self'", "base-uri 'none'",
            "frame-ancestors 'none'");

    /** The largest form there is, a photograph's, bytes. */
    private static final long MOST_FORM = 15L * 1024 * 1024;

    /** Answers only to this machine's own names, so that no page elsewhere can reach it under a name of its own. */
    @Bean
    StrictHttpFirewall ownNamesOnly() {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(Set.of("localhost", "127.0.0.1", "[::1]", "::1")::contains);
        return firewall;
    }

    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .headers(headers -> headers
                        .contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .exceptionHandling(handling -> handling.accessDeniedHandler((request, response, denied) -> {
                    // A photograph over the limit is never parsed, so its token is not found either: say what is the matter.
                    boolean large = request.getContentLengthLong() > MOST_FORM;
                    response.setStatus(large ? 413 : 403);
                    request.getRequestDispatcher(large ? "/sorry/photo-large" : "/sorry/form-expired").forward(request, response);
                }))
                .build();
    }
}
