package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SeenOrdersTest {
    @Test
    void oneTeardownGivesTheChainOfItsOrder() {
        SeenOrders seen = SeenOrders.of(List.of(List.of("a", "b", "c")));

        assertThat(seen.chain()).containsExactly(new SeenOrders.Pair("a", "b", 1), new SeenOrders.Pair("b", "c", 1));
    }

    @Test
    void pairSeenBothWaysIsNoHold() {
        SeenOrders seen = SeenOrders.of(List.of(List.of("a", "b", "c"), List.of("b", "a", "c")));

        assertThat(seen.seenBothWays("a", "b")).isTrue();
        assertThat(seen.alwaysBefore("a", "b")).isZero();
        assertThat(seen.alwaysBefore("a", "c")).isEqualTo(2);
        assertThat(seen.chain())
                .containsExactlyInAnyOrder(new SeenOrders.Pair("a", "c", 2), new SeenOrders.Pair("b", "c", 2));
    }

    @Test
    void partOfOneTeardownOnlyCountsThere() {
        SeenOrders seen = SeenOrders.of(List.of(List.of("a", "b"), List.of("a")));

        assertThat(seen.teardowns()).isEqualTo(2);
        assertThat(seen.alwaysBefore("a", "b")).isEqualTo(1);
        assertThat(seen.timesBefore("b", "a")).isZero();
    }

    @Test
    void nothingSeenSaysNothing() {
        assertThat(SeenOrders.of(List.of()).chain()).isEmpty();
        assertThat(SeenOrders.of(List.of(List.of("a"))).chain()).isEmpty();
    }

    @Test
    void partTakenOffTwiceCountsWhereItStandsFirst() {
        assertThat(SeenOrders.of(List.of(List.of("a", "b", "a"))).alwaysBefore("a", "b"))
                .isEqualTo(1);
    }

    /** Every order seen keeps the chain, and two parts the chain does not tie came both ways or never met. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void chainIsWhatAllOrdersAgreeOn(long seed) {
        Random random = new Random(seed);
        List<List<String>> orders = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            List<String> order = new ArrayList<>(List.of("a", "b", "c", "d", "e", "f", "g"));
            Collections.shuffle(order.subList(1, 7), random);
            orders.add(order);
        }
        SeenOrders seen = SeenOrders.of(orders);

        assertThat(seen.chain())
                .as("seed %d", seed)
                .isNotEmpty()
                .allSatisfy(pair -> orders.forEach(
                        order -> assertThat(order.indexOf(pair.first())).isLessThan(order.indexOf(pair.then()))));
        // nothing in the chain follows from two others
        assertThat(seen.chain())
                .noneMatch(p -> seen.chain().stream()
                        .anyMatch(q -> q.first().equals(p.first())
                                && !q.then().equals(p.then())
                                && seen.alwaysBefore(q.then(), p.then()) > 0));
    }

    /** What is counted, changed and no longer counted says the same as what is counted anew. */
    @Test
    void countsThatAreMovedOnSayTheSameAsCountsMadeAnew() {
        Random random = new Random(16);
        SeenOrders.Counting counting = new SeenOrders.Counting();
        List<List<String>> present = new ArrayList<>();
        for (int round = 0; round < 300; round++) {
            if (!present.isEmpty() && random.nextInt(3) == 0) {
                counting.remove(present.remove(random.nextInt(present.size())));
            } else {
                List<String> order = new ArrayList<>(IntStream.range(0, 2 + random.nextInt(40))
                        .mapToObj(i -> "part-" + i)
                        .toList());
                Collections.shuffle(order, random);
                present.add(order);
                counting.add(order);
            }
            SeenOrders moved = counting.seen();
            SeenOrders anew = SeenOrders.of(present);
            assertThat(moved.teardowns()).isEqualTo(anew.teardowns());
            assertThat(moved.chain()).containsExactlyInAnyOrderElementsOf(anew.chain());
        }
    }
}
