package escrel.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.function.LongSupplier;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Slows down whoever tries passphrases: after three wrong ones each further one makes that address wait twice as long, up to
 * five minutes. One address does not lock out another.
 */
class LoginThrottle extends OncePerRequestFilter {
    private static final int FREE_TRIES = 3;
    private static final long LONGEST_SECONDS = 300;
    private static final int MOST_ADDRESSES = 1_000;

    private record Tries(int wrong, long until) {}

    private final LongSupplier nanos;
    private final Map<String, Tries> byAddress = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Tries> eldest) {
            return size() > MOST_ADDRESSES;
        }
    };

    LoginThrottle(LongSupplier nanos) {
        this.nanos = nanos;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!request.getMethod().equals("POST") || !request.getRequestURI().equals("/login")) {
            chain.doFilter(request, response);
            return;
        }
        long seconds = waitSeconds(request.getRemoteAddr());
        if (seconds > 0) {
            response.setHeader("Retry-After", String.valueOf(seconds));
            response.sendRedirect("/login?wait=" + seconds);
            return;
        }
        chain.doFilter(request, response);
    }

    /** How long an address must wait before its next try counts, 0 when it need not. */
    synchronized long waitSeconds(String address) {
        Tries tries = byAddress.get(address);
        long left = tries == null ? 0 : tries.until() - nanos.getAsLong();
        return left <= 0 ? 0 : 1 + TimeUnit.NANOSECONDS.toSeconds(left);
    }

    /** Counts a wrong try. */
    synchronized void wrongFrom(String address) {
        Tries before = byAddress.remove(address);
        int wrong = before == null ? 1 : before.wrong() + 1;
        long seconds = wrong < FREE_TRIES ? 0 : Math.min(LONGEST_SECONDS, 1L << Math.min(20, wrong - FREE_TRIES + 1));
        byAddress.put(address, new Tries(wrong, nanos.getAsLong() + TimeUnit.SECONDS.toNanos(seconds)));
    }

    synchronized void rightFrom(String address) {
        byAddress.remove(address);
    }

    AuthenticationFailureHandler wrong(String page) {
        return (request, response, exception) -> {
            wrongFrom(request.getRemoteAddr());
            response.sendRedirect(page);
        };
    }

    AuthenticationSuccessHandler right(Function<HttpServletRequest, String> page) {
        return (request, response, authentication) -> {
            rightFrom(request.getRemoteAddr());
            response.sendRedirect(page.apply(request));
        };
    }
}
