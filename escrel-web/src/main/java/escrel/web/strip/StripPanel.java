package escrel.web.strip;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A short list on the card, each line on one key: what else can happen to a part, or the two or three keys that name a
 * new one.
 *
 * @param title what is asked
 * @param items at most ten, keys 1 to 9 and 0
 * @param say a field to fill in before it is recorded, or nothing
 */
record StripPanel(String title, List<Item> items, @Nullable Say say) {
    /**
     * A line.
     *
     * @param key on the pad
     * @param words what it does
     * @param panel the panel it leads to, or empty when it records at once
     * @param act what it records, or empty
     * @param value goes with the act; the control to press where there is neither panel nor act
     */
    record Item(String key, String words, String panel, String act, String value) {
        static Item to(int key, String words, String panel) {
            return new Item(String.valueOf(key % 10), words, panel, "", "");
        }

        /** A line that presses another control of the page. */
        static Item presses(int key, String words, String control) {
            return new Item(String.valueOf(key % 10), words, "", "", control);
        }

        /** Whether it presses another control. */
        public boolean presses() {
            return panel.isEmpty() && act.isEmpty();
        }

        static Item acts(int key, String words, StripAct act, String value) {
            return new Item(String.valueOf(key % 10), words, "", act.name(), value);
        }
    }

    /**
     * A field, and the act that is recorded with it.
     *
     * @param label what to type
     * @param kind text or number
     * @param value goes with the act
     */
    record Say(String label, String kind, String act, String value) {}
}
