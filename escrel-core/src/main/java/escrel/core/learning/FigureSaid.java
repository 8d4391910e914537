package escrel.core.learning;

import escrel.core.service.Step;

/**
 * A figure of the movement was said while it was stripped; the latest of each counts.
 *
 * @param value what was said; for the setting the name of one of {@code CalibreData.Setting}
 */
public record FigureSaid(Figure figure, String value) implements Step {
    /** Most characters. */
    public static final int LONGEST = 200;

    /** What can be said on the bench. */
    public enum Figure {
        /** What the balance pivots run in. */
        SETTING,
        /** How the stem is released. */
        STEM_RELEASE,
        /** Where the crown stands for it. */
        CROWN_POSITION;

        /** As it is said. */
        public String words() {
            return switch (this) {
                case SETTING -> "shock setting";
                case STEM_RELEASE -> "stem release";
                case CROWN_POSITION -> "crown for it";
            };
        }
    }

    public FigureSaid {
        value = value == null ? "" : value.strip();
        if (value.isEmpty() || value.length() > LONGEST) {
            throw new IllegalArgumentException("a figure is said in 1 to " + LONGEST + " characters");
        }
    }
}
