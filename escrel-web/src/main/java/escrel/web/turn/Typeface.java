package escrel.web.turn;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;
import org.springframework.stereotype.Component;

/** The typeface as text, for pictures that must look right away from this application. */
@Component
class Typeface {
    private final String base64;

    Typeface() {
        try (InputStream in = Typeface.class.getResourceAsStream("/static/assets/type.woff2")) {
            base64 = in == null ? "" : Base64.getEncoder().encodeToString(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    String base64() {
        return base64;
    }
}
