package escrel.web.format;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;

/** Paper or lamp, as chosen in this browser, so that the first paint of every page is right, one about trouble too. */
public final class Theme {
    private static final String NAME = "theme";
    private static final String LAMP = "lamp";

    private Theme() {}

    /** The theme of whoever asks: {@code paper} or {@code lamp}. */
    public static String of(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        if (cookies != null) {
            for (Cookie cookie : cookies) {
                if (cookie.getName().equals(NAME) && LAMP.equals(cookie.getValue())) {
                    return LAMP;
                }
            }
        }
        return "paper";
    }
}
