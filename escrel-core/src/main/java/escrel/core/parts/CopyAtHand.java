package escrel.core.parts;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Another copy for a home is at hand: a home is a place, a copy is what sits in it. From here on what is done under the
 * part's code is done to this copy; the one before it stays known. Source: craft 9.
 *
 * @param part code on the sheet
 * @param source supplier, donor or material
 * @param words its own size and look; may be empty
 * @param from what of the workshop's own it was taken from: {@code stock:} and its mark, or
 *     {@code donor:}, its mark, a slash and the part's code there; nothing where it was taken from neither
 */
public record CopyAtHand(
        String part,
        Origin origin,
        String source,
        String words,
        @Nullable String from) implements Step {
    /** Longest mark of what it was taken from. */
    public static final int LONGEST_FROM = 200;

    /** Where a copy comes from. */
    public enum Origin {
        ORIGINAL("original"),
        NEW("new"),
        DONOR("from a donor"),
        MADE("made");

        private final String words;

        Origin(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /** The copy that a decision brings in. */
    public static CopyAtHand decided(String part, Finding finding) {
        return new CopyAtHand(part, Copies.origin(finding), finding.source(), "");
    }

    public CopyAtHand {
        source = source == null ? "" : source;
        words = words == null ? "" : words;
        from = from == null || from.isBlank() ? null : from;
        if (from != null && from.length() > LONGEST_FROM) {
            throw new IllegalArgumentException("a mark has at most " + LONGEST_FROM + " characters");
        }
    }

    /** One that was taken from neither donor nor stock of the workshop. */
    public CopyAtHand(String part, Origin origin, String source, String words) {
        this(part, origin, source, words, null);
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new CopyAtHand(code.apply(part), origin, source, words, from);
    }
}
