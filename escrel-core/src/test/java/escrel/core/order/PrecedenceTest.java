package escrel.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PrecedenceTest {
    private static final int NODES = 14;

    private static Node n(int number) {
        return Node.part("p" + number);
    }

    private static List<Node> nodes() {
        List<Node> nodes = new ArrayList<>();
        for (int i = 0; i < NODES; i++) {
            nodes.add(n(i));
        }
        return nodes;
    }

    /** Against a plain walk along what was said: a pair is refused exactly when the way back is there already. */
    @Test
    void pairIsRefusedExactlyWhenItWouldCloseARing() {
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            Precedence precedence = new Precedence(nodes());
            boolean[][] said = new boolean[NODES][NODES];
            for (int i = 0; i < 60; i++) {
                int first = random.nextInt(NODES);
                int then = random.nextInt(NODES);
                boolean ring = first == then || reaches(said, then, first, new HashSet<>());

                assertThat(precedence.add(n(first), n(then)))
                        .as("seed %d, %d before %d", seed, first, then)
                        .isEqualTo(!ring);
                said[first][then] |= !ring;
            }
        }
    }

    private static boolean reaches(boolean[][] said, int from, int to, Set<Integer> seen) {
        if (from == to) {
            return true;
        }
        for (int next = 0; next < NODES; next++) {
            if (said[from][next] && seen.add(next) && reaches(said, next, to, seen)) {
                return true;
            }
        }
        return false;
    }

    @Test
    void whatIsNotThereIsNotAdded() {
        Precedence precedence = new Precedence(nodes());

        assertThat(precedence.add(Node.part("elsewhere"), n(0))).isFalse();
        assertThat(precedence.add(n(0), Node.part("elsewhere"))).isFalse();
    }

    /** What a node waits for, and what that waits for: against repeated asking until nothing new comes. */
    @Test
    void closureIsEverythingThatMustComeFirst() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            List<Constraint> said = new ArrayList<>();
            for (int i = 0; i < 25; i++) {
                Constraint.Weight weight = random.nextBoolean() ? Constraint.Weight.HOLD : Constraint.Weight.SAFETY;
                said.add(new Constraint(n(random.nextInt(NODES)), n(random.nextInt(NODES)), weight, ""));
            }
            Rules rules = Rules.of(nodes(), said);
            Node target = n(random.nextInt(NODES));

            Set<Node> wanted = new HashSet<>(Set.of(target));
            boolean grew = true;
            while (grew) {
                grew = false;
                for (Constraint c : rules.all()) {
                    if (c.weight() == Constraint.Weight.HOLD && wanted.contains(c.then())) {
                        grew |= wanted.add(c.first());
                    }
                }
            }
            assertThat(rules.closure(target, c -> c.weight() == Constraint.Weight.HOLD))
                    .isEqualTo(wanted);
        }
    }
}
