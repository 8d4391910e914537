package escrel.web.list;

import escrel.core.handover.Stage;
import escrel.core.job.Wait;
import escrel.web.format.Texts;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of the list.
 *
 * @param words patterns, each of which must be met
 * @param number when a whole number was typed and nothing else
 * @param stage nothing for all
 * @param waitingFor a pattern, nothing for all
 */
public record Wanted(
        List<String> words,
        @Nullable Integer number,
        @Nullable Stage stage,
        @Nullable String waitingFor) {
    private static final int MOST_WORDS = 8;
    private static final int LONGEST_NUMBER = 9;

    /** What was typed and chosen. */
    public static Wanted of(String typed, @Nullable Stage stage, @Nullable Wait wait) {
        List<String> words = Arrays.stream(Texts.searched(typed).split(" "))
                .filter(w -> !w.isEmpty())
                .limit(MOST_WORDS)
                .toList();
        String only = words.size() == 1 ? words.get(0) : "";
        boolean number = !only.isEmpty()
                && only.length() <= LONGEST_NUMBER
                && only.chars().allMatch(c -> c >= '0' && c <= '9');
        return new Wanted(
                words.stream().map(Wanted::anywhere).toList(),
                number ? Integer.valueOf(only) : null,
                stage,
                wait == null ? null : "%" + wait.name() + "%");
    }

    /** The same at whatever stage. */
    public Wanted atAnyStage() {
        return new Wanted(words, number, null, waitingFor);
    }

    private static String anywhere(String word) {
        return "%" + word.replaceAll("[!%_]", "!$0") + "%";
    }
}
