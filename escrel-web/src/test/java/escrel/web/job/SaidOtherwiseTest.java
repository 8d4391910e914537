package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.format.Texts;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which words come and go is what reading everything before and after would say. */
class SaidOtherwiseTest {
    private static final List<String> WORDS = List.of(
            "Brücke",
            "brucke",
            "bruck",
            "bridge",
            "bridges",
            "61877",
            "877",
            "1877",
            "É",
            "e",
            "—",
            "Gull's",
            "gull",
            "ÅNGSTRÖM-like",
            "x".repeat(60),
            "x".repeat(45) + "y",
            "ﬁne",
            "fine",
            "ſ",
            "s",
            "İ",
            "i",
            "日本");

    private static Set<String> all(List<String> texts) {
        Set<String> words = new HashSet<>();
        texts.forEach(t -> words.addAll(Texts.wordsOf(t)));
        return words;
    }

    private static String text(Random random) {
        StringBuilder text = new StringBuilder();
        for (int i = random.nextInt(4); i >= 0; i--) {
            text.append(WORDS.get(random.nextInt(WORDS.size()))).append(random.nextBoolean() ? " " : ", ");
        }
        return text.toString();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void whateverIsSaidOrTakenBackTheKeptWordsAreThoseThatAreSaid(long seed) {
        Random random = new Random(seed);
        List<String> texts = new ArrayList<>();
        Set<String> kept = new HashSet<>();
        for (int i = 0; i < 400; i++) {
            List<String> now = new ArrayList<>(texts);
            int act = random.nextInt(4);
            if (act == 0 && !now.isEmpty()) {
                now.remove(random.nextInt(now.size()));
            } else if (act == 1 && !now.isEmpty()) {
                now.set(random.nextInt(now.size()), text(random));
            } else if (act == 2) {
                now.add(random.nextInt(now.size() + 1), text(random));
            } else {
                now.add(text(random));
            }
            SaidOtherwise said = SaidOtherwise.between(texts, now);
            kept.addAll(said.added());
            kept.removeAll(said.gone());
            texts = now;
            assertThat(kept).as("after %s", texts).isEqualTo(all(texts));
        }
    }

    @Test
    void wordThatIsStillSaidElsewhereStays() {
        SaidOtherwise said = SaidOtherwise.between(
                List.of("gull watch", "the bridge is worn", "bridge again"), List.of("gull watch", "bridge again"));

        assertThat(said.gone()).containsExactlyInAnyOrder("the", "is", "worn");
        assertThat(said.added()).isEmpty();
    }
}
