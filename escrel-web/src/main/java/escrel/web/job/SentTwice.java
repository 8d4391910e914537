package escrel.web.job;

import escrel.web.storage.SentActMapper;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A form that comes a second time (a key that bounced, a press while the answer was slow, a line that broke) is recorded
 * once: whoever sent it is shown how the job stands now, as after the first.
 */
@Component
public class SentTwice implements HandlerInterceptor, WebMvcConfigurer {
    private static final Pattern OF_A_JOB = Pattern.compile("/jobs/(\\d+)/.+");

    private final SentActMapper sent;

    SentTwice(SentActMapper sent) {
        this.sent = sent;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (!isAct(request)) {
            return true;
        }
        String identity = SentAct.of(request);
        if (sent.isRecorded(identity)) {
            answer(request, response);
            return false;
        }
        SentAct.hold(request, identity);
        return true;
    }

    private static boolean isAct(HttpServletRequest request) {
        return request.getMethod().equals("POST")
                && request.getParameter("seq") != null
                && OF_A_JOB.matcher(request.getRequestURI()).matches();
    }

    /** Answers a request that met its like on the way; false when it did not. */
    public boolean answered(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (!isAct(request) || !sent.isRecorded(SentAct.of(request))) {
            return false;
        }
        answer(request, response);
        return true;
    }

    /** The page it was sent from, as it stands now. */
    private static void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (request.getHeader("HX-Request") != null) {
            response.setHeader("HX-Refresh", "true");
            return;
        }
        Matcher job = OF_A_JOB.matcher(request.getRequestURI());
        String own = job.matches() ? "/jobs/" + job.group(1) : "/";
        response.sendRedirect(from(request.getHeader("Referer"), own));
    }

    private static String from(@Nullable String page, String own) {
        try {
            String path = page == null ? own : URI.create(page).getRawPath();
            return path != null && path.startsWith(own + "/") ? path : own;
        } catch (IllegalArgumentException e) {
            return own;
        }
    }
}
