package escrel.core.outside;

import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;

/**
 * What was in the parcel; the latest counts.
 *
 * @param items each once
 * @param words what else, or what is to be known of it; at most {@value #LONGEST} characters
 */
public record ParcelCame(List<ParcelItem> items, String words) implements Step {
    /** Longest words. */
    public static final int LONGEST = 1000;

    public ParcelCame {
        items = items == null ? List.of() : items.stream().distinct().sorted().toList();
        words = words == null ? "" : words.strip();
        if (words.length() > LONGEST) {
            throw new IllegalArgumentException("What came is said in at most " + LONGEST + " characters");
        }
        if (items.isEmpty() && words.isEmpty()) {
            throw new IllegalArgumentException("What came is not said");
        }
    }

    /** In words: "the watch, strap or bracelet, a tobacco tin". */
    public String said() {
        List<String> all = new ArrayList<>(items.stream().map(ParcelItem::words).toList());
        if (!words.isEmpty()) {
            all.add(words);
        }
        return String.join(", ", all);
    }
}
