package escrel.web.format;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page needs: the theme chosen in this browser, so that the first paint is right, and {@link Show}. */
@ControllerAdvice
class PageAdvice {
    private final Show show;

    PageAdvice(Show show) {
        this.show = show;
    }

    /** How figures are written, for every page. */
    @ModelAttribute("show")
    Show show() {
        return show;
    }

    /** Whether somebody had to show the passphrase, and may log out again. */
    @ModelAttribute("loggedIn")
    boolean loggedIn(HttpServletRequest request) {
        return request.getUserPrincipal() != null;
    }

    @ModelAttribute("theme")
    String theme(HttpServletRequest request) {
        return Theme.of(request);
    }
}
