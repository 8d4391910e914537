package escrel.web.inspection;

import escrel.core.condition.Place;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;

/** Addresses of the walk. */
final class LookAddress {
    private LookAddress() {}

    static String safe(String words) {
        return URLEncoder.encode(words, StandardCharsets.UTF_8);
    }

    /** The part of an address that names a place. */
    static String place(Place place) {
        return "&place=" + safe(LookForm.textOf(place));
    }
}
