package escrel.web.security;

import escrel.core.MendableException;
import escrel.web.format.Texts;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Before anything of the application sees a request: its method, where it comes from, and how large it may be for its
 * address. Signs that no text of ours has (control characters, halves of a pair) are taken out of what was typed.
 */
class Doors extends OncePerRequestFilter {
    private record Limit(Pattern path, long bytes, String words) {}

    private static final long MEGABYTE = 1L << 20;
    private static final List<Limit> LIMITS = List.of(
            new Limit(Pattern.compile("/jobs/import"), 4096 * MEGABYTE, "A dossier may have 4 GB"),
            new Limit(
                    Pattern.compile("/jobs/\\d+/readings/recording|/devices/measured"),
                    400 * MEGABYTE,
                    "A recording may have 400 MB: half an hour at 48 000 samples a second has 173"),
            new Limit(
                    Pattern.compile("/jobs/\\d+/(photos|strip/photo|plate/photo)|/phone/[^/]+"),
                    64 * MEGABYTE,
                    "A picture may have 64 MB"),
            new Limit(Pattern.compile("/calibres/import"), 64 * MEGABYTE, "A sheet may have 64 MB"),
            new Limit(Pattern.compile("/calibres/[^/]+/documents"), 21 * MEGABYTE, "A document may have 20 MB"),
            new Limit(
                    Pattern.compile("/jobs/\\d+/readings/(import|mapped)"),
                    4 * MEGABYTE,
                    "A file of readings may have 1 MB"),
            new Limit(Pattern.compile("/jobs/\\d+/desk/[^/]+/sound"), 4 * MEGABYTE, "A piece of sound may have 4 MB"));
    private static final Limit OTHERWISE = new Limit(Pattern.compile(".*"), 2 * MEGABYTE, "A form may have 2 MB");
    private static final Set<String> METHODS = Set.of("GET", "HEAD", "POST");
    /** Most characters of one field. */
    static final int LONGEST_FIELD = 20_000;

    private static final Set<String> LONG_FIELDS = Set.of("text", "table");
    private static final int LONGEST_TABLE = 1_500_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!METHODS.contains(request.getMethod())) {
            response.setHeader("Allow", "GET, HEAD, POST");
            say(response, HttpServletResponse.SC_METHOD_NOT_ALLOWED, "This address takes no such request.");
            return;
        }
        if (!request.getMethod().equals("POST")) {
            chain.doFilter(request, response);
            return;
        }
        if (isFromElsewhere(request)) {
            say(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "This came from another page than one of Escrel's. Nothing was recorded or changed.");
            return;
        }
        Limit limit = LIMITS.stream()
                .filter(l -> l.path().matcher(request.getRequestURI()).matches())
                .findFirst()
                .orElse(OTHERWISE);
        long length = request.getContentLengthLong();
        if (length < 0 && request.getHeader("Transfer-Encoding") != null) {
            say(
                    response,
                    HttpServletResponse.SC_LENGTH_REQUIRED,
                    "Say how long it is. Nothing was recorded or changed.");
            return;
        }
        if (length > limit.bytes()) {
            say(
                    response,
                    HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
                    limit.words() + ". Nothing was recorded or changed. Send a smaller one.");
            return;
        }
        chain.doFilter(new Clean(request), response);
    }

    /** A browser says where a form comes from; a program on this machine may say nothing. */
    private static boolean isFromElsewhere(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        if (site != null) {
            return !site.equals("same-origin") && !site.equals("none");
        }
        // a browser that sends no such word (an address without TLS) says at least where the page is from
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return false;
        }
        String own = request.getScheme() + "://" + String.valueOf(request.getHeader("Host"));
        // behind a server that speaks TLS for us the scheme differs, the name does not
        return !origin.equalsIgnoreCase(own)
                && !origin.toLowerCase(Locale.ROOT)
                        .equals("https://"
                                + String.valueOf(request.getHeader("Host")).toLowerCase(Locale.ROOT));
    }

    static void say(HttpServletResponse response, int status, String words) throws IOException {
        response.setStatus(status);
        response.setContentType("text/plain;charset=UTF-8");
        response.getWriter().write(words);
    }

    /** A field that is longer than any of ours. */
    static final class FieldTooLongException extends MendableException {
        private static final long serialVersionUID = 1L;

        FieldTooLongException(String name, int most) {
            super(
                    "The field " + Texts.cleaned(name) + " is longer than " + most + " characters",
                    "Nothing was recorded or changed.",
                    "Shorten it and send it again.");
        }
    }

    /** A request whose texts hold what a page can show. */
    private static final class Clean extends HttpServletRequestWrapper {
        Clean(HttpServletRequest real) {
            super(real);
        }

        @Override
        public @Nullable String getParameter(String name) {
            String value = super.getParameter(name);
            return value == null ? null : cleaned(name, value);
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] values = super.getParameterValues(name);
            return values == null
                    ? null
                    : Arrays.stream(values).map(v -> cleaned(name, v)).toArray(String[]::new);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> clean = new LinkedHashMap<>();
            super.getParameterMap()
                    .forEach((name, values) -> clean.put(
                            name,
                            Arrays.stream(values).map(v -> cleaned(name, v)).toArray(String[]::new)));
            return clean;
        }

        private static String cleaned(String name, String value) {
            int most = LONG_FIELDS.contains(name) ? LONGEST_TABLE : LONGEST_FIELD;
            if (value.length() > most) {
                throw new FieldTooLongException(name, most);
            }
            return Texts.cleaned(value);
        }
    }
}
