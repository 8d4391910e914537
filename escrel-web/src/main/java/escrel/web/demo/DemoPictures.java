package escrel.web.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.core.io.ClassPathResource;

/**
 * Drawn stand-ins for photographs, made by the project: they say so in their caption. They were drawn when the project was
 * built, so that a start need not.
 */
final class DemoPictures {
    private DemoPictures() {}

    /** A picture as a camera hands it over. */
    static byte[] called(String name) {
        try (InputStream in = new ClassPathResource("demo/pictures/" + name + ".jpg").getInputStream()) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
