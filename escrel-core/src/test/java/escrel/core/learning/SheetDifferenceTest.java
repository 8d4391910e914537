package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.learning.SheetDifference.Kind;
import escrel.core.learning.SheetDifference.Line;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Step;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SheetDifferenceTest {
    private static final List<Part> PARTS = List.of(
            Part.of("a", "Part a", Group.TRAIN, Side.TRAIN),
            Part.of("b", "Part b", Group.TRAIN, Side.TRAIN),
            Part.of("c", "Part c", Group.TRAIN, Side.TRAIN));

    private static SheetDifference after(CalibreSheet base, List<List<String>> orders, Step... learnt) {
        return SheetDifference.between(base, LearntSheet.of(base, Histories.of(learnt)), SeenOrders.of(orders));
    }

    private static List<String> accepted(SheetDifference difference) {
        return difference.lines().stream().filter(Line::accepted).map(Line::key).toList();
    }

    private static List<String> proposed(CalibreSheet sheet) {
        return TeardownOrder.from(TeardownState.of(sheet, JobHistory.empty()), Schools.DEFAULT).remaining().stream()
                .map(Part::code)
                .toList();
    }

    @Test
    void firstTeardownIsProposedInItsOrderAndAnotherLegalOneTakesTheFalseHoldsAway() {
        CalibreSheet base = Calibres.of(PARTS, List.of());
        CalibreSheet once = apply(after(base, List.of(List.of("b", "a", "c"))));
        assertThat(proposed(once)).containsExactly("b", "a", "c");
        assertThat(once.holds()).allMatch(h -> h.basis() == Hold.Basis.SEEN).hasSize(2);

        CalibreSheet twice = apply(after(once, List.of(List.of("b", "a", "c"), List.of("b", "a", "c"))));
        assertThat(twice.holds()).extracting(Hold::why).containsOnly("always seen so (2 times)");

        CalibreSheet third =
                apply(after(twice, List.of(List.of("b", "a", "c"), List.of("b", "a", "c"), List.of("a", "b", "c"))));
        assertThat(third.holds()).extracting(h -> h.by() + ">" + h.part()).containsExactlyInAnyOrder("a>c", "b>c");
    }

    private static CalibreSheet apply(SheetDifference difference) {
        return difference.apply(accepted(difference));
    }

    @Test
    void whatWasOnlySeenNeitherHoldsNorWantsAReason() {
        CalibreSheet once = apply(after(Calibres.of(PARTS, List.of()), List.of(List.of("b", "a", "c"))));
        TeardownState state = TeardownState.of(once, JobHistory.empty());
        TeardownOrder order = TeardownOrder.from(state, Schools.DEFAULT);

        assertThat(state.freeNow()).hasSize(3);
        assertThat(order.brokenBy("c")).isEmpty();
        assertThat(order.waitingFor("c")).extracting(c -> c.why()).containsExactly("always seen so (once)");
    }

    @Test
    void statedHoldThatATeardownContradictsIsAConflictToSettle() {
        CalibreSheet base = Calibres.of(PARTS, List.of(Calibres.hold("b", "a")));
        SheetDifference difference = after(base, List.of(List.of("b", "a", "c")));
        Line conflict = difference.lines().stream()
                .filter(l -> l.kind() == Kind.CONFLICT)
                .findFirst()
                .orElseThrow();

        assertThat(conflict.accepted()).isFalse();
        assertThat(conflict.words()).contains("Part a comes off before Part b").contains("once");
        assertThat(apply(difference).holds()).contains(Calibres.hold("b", "a"));
        assertThat(difference.apply(List.of(conflict.key())).holds()).doesNotContain(Calibres.hold("b", "a"));
    }

    @Test
    void newPartsNamesHoldsAndScrewsStandLineByLine() {
        CalibreSheet base = Calibres.of(PARTS, List.of());
        SheetDifference difference = after(
                base,
                List.of(),
                new PartNamed("d", "Part d", Group.TRAIN, Side.TRAIN, null, List.of(), "a"),
                new PartRenamed("b", "Third wheel"),
                new HoldStated("b", "a", "was under it"),
                new HoldStated("d", "b", "was under it"),
                new Pinned("c", 0.1, 0.2));

        assertThat(difference.lines())
                .extracting(Line::kind)
                .containsExactly(Kind.NEW_NAME, Kind.NEW_PLACE, Kind.NEW_PART, Kind.NEW_HOLD, Kind.NEW_HOLD);
        CalibreSheet all = apply(difference);
        assertThat(all.requirePart("b").aliases()).containsExactly("Part b");
        assertThat(all.holds()).hasSize(2);
        assertThat(all.requirePart("d").unit()).isEqualTo("a");
        assertThat(difference.apply(List.of())).isEqualTo(base);
    }

    @Test
    void holdOnAPartThatWasNotAcceptedFallsWithIt() {
        CalibreSheet base = Calibres.of(PARTS, List.of());
        SheetDifference difference = after(
                base,
                List.of(),
                new PartNamed("d", "Part d", Group.TRAIN, Side.TRAIN, null, List.of(), null),
                new HoldStated("d", "b", "was under it"));

        assertThat(difference.apply(List.of("NEW_HOLD:b>d"))).isEqualTo(base);
    }

    /** A sheet from another bench had seen a pair five times; one teardown that met only half the parts says nothing of it. */
    @Test
    void whatWasSeenFiveTimesElsewhereIsNotDroppedForOnePartialTeardown() {
        Hold seen = new Hold("c", "a", "always seen so (5 times)", Hold.Basis.SEEN);
        CalibreSheet base = Calibres.of(PARTS, List.of(seen));

        SheetDifference partial = after(base, List.of(List.of("a", "b")));
        assertThat(partial.lines()).extracting(Line::kind).doesNotContain(Kind.NO_LONGER_SEEN);
        assertThat(apply(partial).holds()).contains(seen);

        SheetDifference once = after(base, List.of(List.of("a", "b", "c")));
        assertThat(once.lines()).extracting(Line::kind).doesNotContain(Kind.NO_LONGER_SEEN);

        SheetDifference otherWay = after(base, List.of(List.of("c", "b", "a")));
        assertThat(apply(otherWay).holds()).doesNotContain(seen);
    }

    /** Two middle ones and a shouldered left-hand one, of which somebody said "two middle ones". */
    @Test
    void screwsOfSeveralKindsAreNotMadeOne() {
        CalibreSheet plain = Calibres.of(PARTS, List.of());
        List<ScrewPlace> screws = List.of(
                screw("a-s1", ScrewPlace.LengthClass.MIDDLE, ScrewPlace.Thread.RIGHT, ScrewPlace.Head.FLAT),
                screw("a-s2", ScrewPlace.LengthClass.MIDDLE, ScrewPlace.Thread.RIGHT, ScrewPlace.Head.FLAT),
                screw("a-s3", ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.LEFT, ScrewPlace.Head.SHOULDERED));
        CalibreSheet base = plain.with(PARTS, screws, List.of());

        SheetDifference difference = after(
                base, List.of(), new ScrewsStated("a", 2, ScrewPlace.LengthClass.MIDDLE, ScrewPlace.Thread.RIGHT));

        assertThat(apply(difference).screwsOf("a")).isEqualTo(screws);
    }

    private static ScrewPlace screw(
            String code, ScrewPlace.LengthClass length, ScrewPlace.Thread thread, ScrewPlace.Head head) {
        return new ScrewPlace(code, "a", 1, 1, length, head, thread, 1.0, ScrewPlace.Home.ANY_OF_ITS_KIND, "");
    }

    /** Whatever was stated and seen, and whichever of the lines are accepted, the sheet passes its check and plans. */
    @Test
    void everySetOfAcceptedLinesPassesTheCheckAndPlans() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            CalibreSheet base = Calibres.random(seed, 12);
            List<String> codes =
                    new ArrayList<>(base.parts().stream().map(Part::code).toList());
            List<Step> said = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                String fresh = "new-" + i;
                said.add(new PartNamed(fresh, "New " + i, Group.TRAIN, Side.TRAIN, null, List.of(), null));
                codes.add(fresh);
            }
            for (int i = 0; i < 14; i++) {
                String one = codes.get(random.nextInt(codes.size()));
                String other = codes.get(random.nextInt(codes.size()));
                said.add(random.nextInt(5) == 0 ? new CameTogether(one, other) : new HoldStated(one, other, "said"));
            }
            List<List<String>> orders = new ArrayList<>();
            for (int i = random.nextInt(3); i >= 0; i--) {
                List<String> order = new ArrayList<>(codes);
                Collections.shuffle(order, random);
                orders.add(order);
            }
            SheetDifference difference = after(base, orders, said.toArray(Step[]::new));
            List<String> some = difference.lines().stream()
                    .filter(l -> random.nextBoolean())
                    .map(Line::key)
                    .toList();
            for (List<String> keys : List.of(accepted(difference), some)) {
                CalibreSheet grown = difference.apply(keys);

                assertThat(SheetCheck.faultsOf(grown)).as("seed " + seed).isEmpty();
                assertThat(proposed(grown)).hasSize(grown.parts().size());
            }
        }
    }
}
