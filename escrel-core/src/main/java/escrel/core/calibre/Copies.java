package escrel.core.calibre;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Sheets arrive from files in which an absent list or text means an empty one. */
final class Copies {
    private Copies() {}

    static <T> List<T> list(@Nullable List<T> values) {
        return values == null ? List.of() : List.copyOf(values);
    }

    static String text(@Nullable String value) {
        return value == null ? "" : value;
    }
}
