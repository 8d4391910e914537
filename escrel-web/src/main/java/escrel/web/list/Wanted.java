package escrel.web.list;

import escrel.core.handover.Stage;
import escrel.core.job.Wait;
import escrel.web.format.Texts;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of the list.
 *
 * @param words each of which must begin a word that is said of the job
 * @param number when a whole number was typed and nothing else
 * @param stage nothing for all
 * @param waitingFor a pattern, nothing for all
 * @param wordless something was typed, but no letter or digit: nothing is called so
 */
public record Wanted(
        List<Beginning> words,
        @Nullable Integer number,
        @Nullable Stage stage,
        @Nullable String waitingFor,
        boolean wordless) {
    private static final int MOST_WORDS = 8;
    private static final int LONGEST_NUMBER = 9;

    /** All words from one up to another, which begin alike. */
    public record Beginning(String from, String to) {
        static Beginning of(String word) {
            return new Beginning(word, word + Character.MAX_VALUE);
        }
    }

    /** What was typed and chosen. */
    public static Wanted of(String typed, @Nullable Stage stage, @Nullable Wait wait) {
        List<String> words = Texts.wordsTyped(typed).stream().limit(MOST_WORDS).toList();
        String only = typed.strip().toLowerCase(Locale.ROOT);
        boolean number = !only.isEmpty()
                && only.length() <= LONGEST_NUMBER
                && only.chars().allMatch(c -> c >= '0' && c <= '9');
        return new Wanted(
                words.stream().map(Beginning::of).toList(),
                number ? Integer.valueOf(only) : null,
                stage,
                wait == null ? null : "%" + wait.name() + "%",
                words.isEmpty() && !typed.isBlank());
    }

    /** Whether nothing is asked for but a stage. */
    boolean everything() {
        return words.isEmpty() && waitingFor == null && !wordless;
    }
}
