package escrel.web.inspection;

import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Place;
import org.jspecify.annotations.Nullable;

/**
 * What a key says of the part at hand.
 *
 * @param seq the last step the page knew
 * @param grade as seen
 * @param defect of grade 2 at a place, 3 and 4; nothing while it was not asked
 * @param place as {@code KIND/name}; empty for the part as a whole
 */
record LookForm(
        int seq,
        String part,
        @Nullable Grade grade,
        @Nullable Defect defect,
        @Nullable String place,
        @Nullable Side side) {
    /** Between the kind of a place and its name. */
    private static final String BETWEEN = "/";

    /** The place, or nothing for the part as a whole. */
    @Nullable
    Place at() {
        return placeOf(place);
    }

    /**
     * The place that such a text names, nothing for none.
     *
     * @throws IllegalArgumentException when its kind is none
     */
    static @Nullable Place placeOf(@Nullable String text) {
        if (text == null || text.isBlank()) {
            return null;
        }
        String[] words = text.split(BETWEEN, 2);
        return new Place(Place.Kind.valueOf(words[0]), words.length > 1 ? words[1] : "");
    }

    static String textOf(Place place) {
        return place.kind() + BETWEEN + place.name();
    }

    /** Whether what it is has to be said with the grade: of a place always, of a part where something is to be done. */
    static boolean wantsDefect(Grade grade, @Nullable Place at) {
        return grade == Grade.MEND || grade == Grade.BROKEN || at != null && grade == Grade.WORN;
    }
}
