package escrel.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Everything about who may do what over HTTP. */
@Configuration
class SecurityConfiguration {
    private static final Pattern PHONE = Pattern.compile("/phone/([A-Z0-9]{10})");
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
                    + "connect-src 'self'; media-src 'self'; worker-src 'self'; img-src 'self' data: blob:; form-action 'self'; "
                    + "base-uri 'none'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain security(HttpSecurity http, Environment environment, LoginThrottle throttle) throws Exception {
        boolean loopback = Listening.onLoopback(environment);
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        http.addFilterBefore(new Doors(), CsrfFilter.class);
        // the token lives in a cookie, so that a page left open survives a restart of the application
        http.csrf(csrf ->
                csrf.csrfTokenRepository(tokens).csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()));
        http.headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
                .permissionsPolicyHeader(p -> p.policy("microphone=(self), camera=(self)"))
                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN)));
        http.exceptionHandling(e -> e.accessDeniedHandler(SecurityConfiguration::refuse));
        if (loopback) {
            http.authorizeHttpRequests(all -> all.anyRequest().permitAll());
            http.addFilterBefore(new HostGuard(), AuthorizationFilter.class);
        } else {
            // nothing is remembered of whoever has not shown the passphrase
            http.requestCache(c -> c.disable());
            http.authorizeHttpRequests(all -> all.requestMatchers("/assets/**", "/actuator/health", "/login")
                    .permitAll()
                    .anyRequest()
                    .authenticated());
            http.addFilterAfter(throttle, Doors.class);
            http.formLogin(login -> login.loginPage("/login")
                    .successHandler(throttle.right(SecurityConfiguration::whereTo))
                    .failureHandler(throttle.wrong("/login?wrong")));
            http.logout(out -> out.logoutUrl("/logout").logoutSuccessUrl("/login?out"));
            http.exceptionHandling(e -> e.authenticationEntryPoint((request, response, denied) -> {
                if (request.getHeader("HX-Request") != null) {
                    response.setHeader("HX-Redirect", "/login");
                    response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
                } else {
                    Matcher phone = PHONE.matcher(request.getRequestURI());
                    response.sendRedirect(phone.matches() ? "/login?phone=" + phone.group(1) : "/login");
                }
            }));
        }
        return http.build();
    }

    /** To the first page; a phone that came by a code goes on to where it wanted to. */
    private static String whereTo(HttpServletRequest request) {
        String code = request.getParameter("phone");
        return code != null && PHONE.matcher("/phone/" + code).matches() ? "/phone/" + code : "/";
    }

    /** A missing or old form token is answered in plain words. */
    private static void refuse(HttpServletRequest request, HttpServletResponse response, AccessDeniedException e)
            throws IOException {
        response.setStatus(HttpServletResponse.SC_FORBIDDEN);
        response.setContentType("text/plain;charset=UTF-8");
        response.getWriter()
                .write("This page was left open too long or came from elsewhere. Nothing was recorded or changed. "
                        + "Reload the page and send it again.");
    }

    /** Whether others on the network reach it: what a page may promise of it. */
    @Bean
    Boolean beyondThisMachine(Environment environment) {
        return !Listening.onLoopback(environment);
    }

    /** Which methods there are is said by {@link Doors}, in words. */
    @Bean
    HttpFirewall firewall() {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setUnsafeAllowAnyHttpMethod(true);
        return firewall;
    }

    @Bean
    RequestRejectedHandler rejected() {
        return (request, response, e) -> Doors.say(
                response,
                HttpServletResponse.SC_BAD_REQUEST,
                "There is no such address. Nothing was recorded or changed. Go back to today and start from there.");
    }

    @Bean
    LoginThrottle loginThrottle() {
        return new LoginThrottle(System::nanoTime);
    }

    /** A text longer than the hash can take is wrong, not a fault. */
    @Bean
    PasswordEncoder passwordEncoder() {
        BCryptPasswordEncoder hash = new BCryptPasswordEncoder();
        return new PasswordEncoder() {
            @Override
            public @Nullable String encode(@Nullable CharSequence raw) {
                return hash.encode(raw);
            }

            @Override
            public boolean matches(@Nullable CharSequence raw, @Nullable String encoded) {
                return raw != null && PassphraseCommand.fits(raw.toString()) && hash.matches(raw, encoded);
            }
        };
    }

    /** One restorer, one passphrase. */
    @Bean
    UserDetailsService restorer(Environment environment) {
        Path file = Listening.passphraseFile(environment);
        return name -> {
            try {
                return User.withUsername("restorer")
                        .password(Files.readString(file))
                        .build();
            } catch (IOException e) {
                throw new UsernameNotFoundException("no passphrase set", e);
            }
        };
    }
}
