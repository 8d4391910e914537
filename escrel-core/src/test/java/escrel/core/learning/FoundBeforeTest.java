package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Defect;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FoundBeforeTest {
    private static FoundBefore.Service service(Map<String, Set<Defect>> found, String... taken) {
        return new FoundBefore.Service(Set.of(taken), found);
    }

    @Test
    void defectsAreCountedByService() {
        FoundBefore.Counting counting = new FoundBefore.Counting();
        for (int i = 0; i < 7; i++) {
            Map<String, Set<Defect>> found = i < 4
                    ? Map.of("third", i == 0 ? Set.of(Defect.SCORED, Defect.BENT) : Set.of(Defect.SCORED))
                    : Map.of();
            counting.add(service(found, "third", "fourth"));
        }

        assertThat(counting.seen().on("third")).contains("scored in 4 of 7, bent in 1 of 7");
        assertThat(counting.seen().on("fourth")).isEmpty();
        assertThat(counting.seen().parts()).containsExactly("third");
    }

    @Test
    void oneWatchIsNoWeakPointAndWhatDidNotComeOffIsNotCounted() {
        FoundBefore.Counting counting = new FoundBefore.Counting();
        counting.add(service(Map.of("a", Set.of(Defect.CRACKED)), "a"));
        assertThat(counting.seen().on("a")).isEmpty();

        counting.add(service(Map.of("b", Set.of(Defect.CRACKED)), "a"));
        assertThat(counting.seen().on("a")).contains("cracked in 1 of 2");
        assertThat(counting.seen().on("b")).isEmpty();
    }

    /** Services come and go in any order: what is left is what would have been counted of the rest alone. */
    @Test
    void whatIsTakenAwayLeavesNoTrace() {
        Random random = new Random(41);
        List<FoundBefore.Service> kept = new ArrayList<>();
        List<FoundBefore.Service> gone = new ArrayList<>();
        FoundBefore.Counting all = new FoundBefore.Counting();
        FoundBefore.Counting alone = new FoundBefore.Counting();
        for (int i = 0; i < 200; i++) {
            Defect defect = Defect.values()[random.nextInt(Defect.values().length)];
            String part = "p" + random.nextInt(5);
            FoundBefore.Service service = service(Map.of(part, Set.of(defect)), part, "p" + (5 + random.nextInt(5)));
            (random.nextBoolean() ? kept : gone).add(service);
            all.add(service);
        }
        gone.forEach(all::remove);
        kept.forEach(alone::add);

        assertThat(all.seen().parts()).isEqualTo(alone.seen().parts()).isNotEmpty();
        all.seen()
                .parts()
                .forEach(
                        p -> assertThat(all.seen().on(p)).isEqualTo(alone.seen().on(p)));
    }
}
