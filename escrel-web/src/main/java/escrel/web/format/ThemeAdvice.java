package escrel.web.format;

import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells every page the theme chosen in this browser, so that the first paint is right. */
@ControllerAdvice
class ThemeAdvice {
    @ModelAttribute("theme")
    String theme(@CookieValue(name = "theme", required = false) @Nullable String chosen) {
        return "lamp".equals(chosen) ? "lamp" : "paper";
    }
}
