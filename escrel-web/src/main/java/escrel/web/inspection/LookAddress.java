package escrel.web.inspection;

import escrel.core.condition.Place;
import escrel.web.format.Texts;

/** Addresses of the walk. */
final class LookAddress {
    private LookAddress() {}

    /** The part of an address that names a place. */
    static String place(Place place) {
        return "&place=" + Texts.inAddress(LookForm.textOf(place));
    }
}
