package escrel.web.answers;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Styles, scripts and fonts that bear the hash of their content in their name never change: nobody needs to ask again. */
@Component
class HashedAssets extends OncePerRequestFilter {
    private static final Pattern HASHED = Pattern.compile("/assets/.+-[0-9a-f]{32}\\.[a-z0-9]+");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (HASHED.matcher(request.getRequestURI()).matches()) {
            response.setHeader("Cache-Control", "max-age=31536000, private, immutable");
        }
        chain.doFilter(request, response);
    }
}
