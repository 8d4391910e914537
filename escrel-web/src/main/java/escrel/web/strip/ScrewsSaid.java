package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.ScrewPlace;
import escrel.core.parts.PartScrews;
import escrel.core.service.ScrewsFound;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How the screws of a part were found, as the keypad of the card writes it: entries such as {@code MISSING:2}, or
 * {@code MISSING:1:LONG:LEFT} where a part has several kinds, parted by commas; {@code AS_FACTORY_LEFT}; or nothing.
 */
final class ScrewsSaid {
    private static final String FACTORY = "AS_FACTORY_LEFT";
    private static final int LONGEST = 1000;

    private ScrewsSaid() {}

    /** What the text says; a {@link MendableException} when it says nothing that can be. */
    static ScrewsFound read(String text) {
        if (text.isEmpty()) {
            return ScrewsFound.AS_ON_SHEET;
        }
        if (text.equals(FACTORY)) {
            return ScrewsFound.AS_FACTORY_LEFT;
        }
        try {
            if (text.length() > LONGEST) {
                throw new IllegalArgumentException("too long");
            }
            List<ScrewsFound.Odd> odd = new ArrayList<>();
            for (String entry : text.split(",")) {
                String[] words = entry.split(":");
                boolean ofKind = words.length == 4;
                odd.add(new ScrewsFound.Odd(
                        ScrewsFound.State.valueOf(words[0]),
                        Integer.parseInt(words[1]),
                        ofKind ? ScrewPlace.LengthClass.valueOf(words[2]) : null,
                        ofKind ? ScrewPlace.Thread.valueOf(words[3]) : null));
            }
            return new ScrewsFound(false, odd);
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            throw refuse("What was sent says nothing of screws that can be", "Reload the page and say it again.");
        }
    }

    /** Refuses more odd screws than the part has holes, of any kind. */
    static void requireHoles(ScrewsFound found, PartScrews screws) {
        for (ScrewsFound.State how : ScrewsFound.State.values()) {
            requireHoles(how, found.count(how), screws.holes().size(), screws);
            for (PartScrews.Kind kind : screws.kinds()) {
                requireHoles(how, found.count(how, kind.length(), kind.thread()), kind.total(), screws);
            }
        }
    }

    private static void requireHoles(ScrewsFound.State how, int said, int holes, PartScrews screws) {
        if (said > holes) {
            throw refuse(
                    "%s has %d %s by what is known: %d cannot be %s"
                            .formatted(
                                    screws.part().name(),
                                    holes,
                                    holes == 1 ? "screw" : "screws",
                                    said,
                                    how.name().toLowerCase(Locale.ROOT)),
                    "Say fewer, or say first how many screws it has: / 6.");
        }
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; the part is still on.", todo);
    }
}
