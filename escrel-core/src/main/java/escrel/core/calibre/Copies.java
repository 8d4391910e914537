package escrel.core.calibre;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Sheets arrive from files in which an absent list or text means an empty one. */
final class Copies {
    private Copies() {}

    static <T> List<T> list(@Nullable List<T> values) {
        // a null in a list means nothing
        return values == null
                ? List.of()
                : values.stream().filter(Objects::nonNull).toList();
    }

    static String text(@Nullable String value) {
        return value == null ? "" : value;
    }
}
