package escrel.core.supply;

import org.jspecify.annotations.Nullable;

/** What is typed into an order, a donor, a drawer: stripped, bounded, and nothing where it is blank. */
final class Texts {
    private Texts() {}

    static @Nullable String orNothing(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    static @Nullable String bounded(String name, @Nullable String text) {
        String kept = orNothing(text);
        if (kept != null && kept.length() > Ordered.LONGEST) {
            throw new IllegalArgumentException(name + " has at most " + Ordered.LONGEST + " characters");
        }
        return kept;
    }

    static String orEmpty(String name, @Nullable String text) {
        String kept = bounded(name, text);
        return kept == null ? "" : kept;
    }

    static String required(String name, @Nullable String text) {
        String kept = bounded(name, text);
        if (kept == null) {
            throw new IllegalArgumentException(name + " is not said");
        }
        return kept;
    }
}
