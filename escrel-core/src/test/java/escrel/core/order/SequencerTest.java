package escrel.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SequencerTest {
    private static Node n(String code) {
        return Node.part(code);
    }

    private static Sequencer.Item item(String code, Side side, String group, int priority) {
        return new Sequencer.Item(n(code), side, group, priority);
    }

    private static List<String> order(List<Sequencer.Item> items, List<Constraint> constraints, Sequencer.Bench bench) {
        return Sequencer.order(items, constraints, bench).nodes().stream()
                .map(Node::code)
                .toList();
    }

    @Test
    void groupAtHandIsFinishedBeforeAnotherAndThenThePriorityDecides() {
        List<Sequencer.Item> items = List.of(
                item("wheel-1", Side.TRAIN, "train", 2),
                item("click", Side.TRAIN, "barrel", 1),
                item("wheel-2", Side.TRAIN, "train", 3),
                item("ratchet", Side.TRAIN, "barrel", 4));

        assertThat(order(items, List.of(), new Sequencer.Bench(Side.TRAIN, "train")))
                .containsExactly("wheel-1", "wheel-2", "click", "ratchet");
        assertThat(order(items, List.of(), new Sequencer.Bench(Side.TRAIN, "barrel")))
                .containsExactly("click", "ratchet", "wheel-1", "wheel-2");
    }

    /** What is done in the hand frees the bridge: it comes before turning over, though the other side is free too. */
    @Test
    void workInTheHandIsNoTurnAndComesWhenItFreesSomething() {
        List<Sequencer.Item> items = List.of(
                item("barrel", Side.TRAIN, "", 0),
                item("spring", Side.IN_HAND, "", 0),
                item("jumper", Side.DIAL, "", 0),
                item("regulator", Side.IN_HAND, "", 0));
        List<Constraint> springFirst = List.of(new Constraint(n("spring"), n("barrel"), Constraint.Weight.HOLD, ""));

        Sequencer.Sequence sequence = Sequencer.order(items, springFirst, new Sequencer.Bench(Side.TRAIN, ""));

        assertThat(sequence.nodes()).extracting(Node::code).containsExactly("spring", "barrel", "jumper", "regulator");
        assertThat(sequence.turnOvers()).isEqualTo(1);
    }

    @Test
    void constraintsAboutSomethingElseAreLeftAside() {
        assertThat(order(
                        List.of(item("a", Side.DIAL, "", 0)),
                        List.of(new Constraint(n("elsewhere"), n("a"), Constraint.Weight.HOLD, "")),
                        Sequencer.Bench.EMPTY))
                .containsExactly("a");
    }

    @Test
    void ringGivenToTheSequencerItselfIsRefused() {
        List<Sequencer.Item> items =
                List.of(new Sequencer.Item(n("a"), Side.DIAL, "", 0), new Sequencer.Item(n("b"), Side.DIAL, "", 0));
        List<Constraint> ring = List.of(
                new Constraint(n("a"), n("b"), Constraint.Weight.HOLD, ""),
                new Constraint(n("b"), n("a"), Constraint.Weight.HOLD, ""));

        assertThatThrownBy(() -> Sequencer.order(items, ring, Sequencer.Bench.EMPTY))
                .hasMessageContaining("ring");
    }

    /** Fewest turn-overs, against every order there is, from a free start and from each side. */
    @ParameterizedTest
    @ValueSource(longs = {31, 32, 33, 34, 35, 36, 37, 38, 39, 40})
    void fewestTurnOversAsExhaustiveSearchFinds(long seed) {
        CalibreSheet sheet = Calibres.random(seed, 8);
        List<Sequencer.Item> items = new ArrayList<>();
        sheet.parts().forEach(p -> items.add(new Sequencer.Item(n(p.code()), p.side(), "", 0)));
        List<Constraint> holds = sheet.holds().stream()
                .map(h -> new Constraint(n(h.by()), n(h.part()), Constraint.Weight.HOLD, ""))
                .toList();
        for (Side up : new Side[] {null, Side.DIAL, Side.TRAIN}) {
            assertThat(Sequencer.order(items, holds, new Sequencer.Bench(up, ""))
                            .turnOvers())
                    .as("seed %d, %s up", seed, up)
                    .isEqualTo(fewest(items, holds, new ArrayList<>(), up, 0, 99));
        }
    }

    private static int fewest(
            List<Sequencer.Item> items, List<Constraint> holds, List<Node> done, Side up, int turns, int best) {
        if (turns >= best) {
            return best;
        }
        if (done.size() == items.size()) {
            return turns;
        }
        int found = best;
        for (Sequencer.Item item : items) {
            boolean free = !done.contains(item.node())
                    && holds.stream().noneMatch(c -> c.then().equals(item.node()) && !done.contains(c.first()));
            if (free) {
                boolean inHand = item.side() == Side.IN_HAND;
                int cost = inHand || up == null || up == item.side() ? 0 : 1;
                List<Node> more = new ArrayList<>(done);
                more.add(item.node());
                found = fewest(items, holds, more, inHand ? up : item.side(), turns + cost, found);
            }
        }
        return found;
    }
}
