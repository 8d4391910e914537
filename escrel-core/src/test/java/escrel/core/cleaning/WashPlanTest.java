package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.WashPlan.Batch;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.job.Job;
import escrel.core.parts.FindingRaised;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which way each part goes, and with what. Source: craft 2.11. */
class WashPlanTest {
    private static final Part BRIDGE =
            Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN).withRole(Role.TRAIN_BRIDGE);
    private static final Part WHEEL = Part.of("third", "Third wheel", Group.TRAIN, Side.TRAIN)
            .withShape(new Shape(Shape.Kind.WHEEL, 0, 0, 2, 60, List.of()));
    private static final Part FORK = Part.of("fork", "Pallet fork", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
            .withRole(Role.PALLET_FORK);
    private static final Part COATED = new Part(
            "escape",
            "Escape wheel",
            Group.TRAIN,
            Side.TRAIN,
            Role.ESCAPE_WHEEL,
            null,
            List.of(Hazard.COATED),
            "",
            "",
            Wash.BY_HAND,
            "coated",
            0,
            "",
            null);
    private static final Part CAP = Part.of("cap", "Upper cap jewel", Group.BALANCE_AND_ESCAPEMENT, Side.IN_HAND);
    private static final Part SPRING = Part.of("click-spring", "Click spring", Group.BARREL, Side.TRAIN);
    private static final Part LEVER = Part.of("yoke", "Yoke", Group.KEYLESS, Side.DIAL);
    private static final Part DIAL =
            Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withWash(Wash.STANCE, "");
    private static final CalibreSheet SHEET =
            Calibres.of(List.of(BRIDGE, WHEEL, FORK, COATED, CAP, SPRING, LEVER, DIAL), List.of());

    private static Job off(Step... more) {
        List<Step> steps = new ArrayList<>();
        SHEET.parts().forEach(p -> steps.add(PartOff.plain(p.code())));
        steps.addAll(List.of(more));
        return Jobs.of(SHEET, steps.toArray(Step[]::new));
    }

    private static List<Batch> plan(Job job) {
        return job.wash().baskets();
    }

    private static FindingRaised gummed(String part) {
        return new FindingRaised(part, Grade.WORN, Defect.GUMMED, Origin.WEAR, "");
    }

    private static Batch of(List<Batch> plan, Basket basket) {
        return plan.stream().filter(b -> b.basket() == basket).findFirst().orElseThrow();
    }

    @Test
    void eachLiesWithItsKindAndWhatMustNotStaysOutOfTheMachine() {
        List<Batch> plan = plan(off());
        assertThat(of(plan, Basket.PLATES).codes()).containsExactly("bridge");
        assertThat(of(plan, Basket.WHEELS).codes()).containsExactly("third");
        assertThat(of(plan, Basket.ESCAPEMENT).codes()).containsExactly("fork");
        assertThat(of(plan, Basket.SOLVENT).codes()).containsExactly("escape");
        assertThat(of(plan, Basket.SETTINGS).codes()).containsExactly("cap");
        assertThat(of(plan, Basket.STEEL).codes()).containsExactly("click-spring", "yoke");
        assertThat(of(plan, Basket.STANCE).codes()).containsExactly("dial");
        assertThat(plan.stream().mapToInt(b -> b.lines().size()).sum()).isEqualTo(8);
    }

    @Test
    void bridgesArePeggedFirstAndThatDoneOnceIsNotAskedAgain() {
        assertThat(of(plan(off()), Basket.PLATES).first()).isEqualTo(Map.of(Wash.PEGGED, 1));
        Job pegged = off(new Washed(List.of("bridge"), Wash.PEGGED, ""));
        assertThat(of(plan(pegged), Basket.PLATES).first()).isEmpty();
        // pegged is not rinsed
        assertThat(pegged.cleaning().due()).extracting(Part::code).contains("bridge");
        assertThat(pegged.cleaning().wayOf("bridge")).isEmpty();
        Job twice =
                off(new Washed(List.of("bridge"), Wash.PEGGED, ""), new Washed(List.of("bridge"), Wash.MACHINE, ""));
        assertThat(twice.cleaning().wayOf("bridge")).hasValue(Wash.MACHINE);
    }

    @Test
    void heavyDirtIsPreCleanedSoThatTheBathsLast() {
        Job dirty = off(gummed("third"), gummed("bridge"), gummed("yoke"));
        assertThat(dirty.wash().soil().score()).isEqualTo(3);
        assertThat(of(plan(dirty), Basket.WHEELS).lines().get(0).first()).containsExactly(Wash.PUTTY, Wash.ULTRASONIC);
        assertThat(of(plan(dirty), Basket.STEEL).lines().get(0).first()).containsExactly(Wash.ULTRASONIC);
        // what keeps out of the machine is not shaken either
        assertThat(of(plan(dirty), Basket.SOLVENT).first()).isEmpty();
        assertThat(dirty.cleaning().notFor(Wash.ULTRASONIC, List.of("escape", "dial", "third")))
                .extracting(Part::code)
                .containsExactly("escape", "dial");
        assertThat(dirty.cleaning().notFor(Wash.SOLVENT, List.of("escape", "dial", "third")))
                .extracting(Part::code)
                .containsExactly("dial");
    }

    @Test
    void soilSaysWhy() {
        assertThat(off().wash().soil()).isEqualTo(new Soil(1, ""));
        assertThat(Soil.of(off(gummed("third")).findings().all(), true))
                .isEqualTo(new Soil(3, "old oil or dirt on 1 part, water or mould inside"));
        FindingRaised rust = new FindingRaised("third", Grade.MEND, Defect.RUSTED, Origin.WEAR, "");
        assertThat(Soil.of(
                        off(gummed("third"), gummed("yoke"), gummed("bridge"), rust)
                                .findings()
                                .all(),
                        true))
                .satisfies(s -> assertThat(s.score()).isEqualTo(4))
                .satisfies(s -> assertThat(s.why()).contains("rust on 1 part"));
    }

    /** Taken back, the parts wait for their rinse again. */
    @Test
    void aPartThatCameOffAgainIsPeggedAnew() {
        Job once = off(
                new Washed(List.of("bridge"), Wash.PEGGED, ""),
                new TakenBack(SHEET.parts().size() + 1));
        assertThat(of(plan(once), Basket.PLATES).first()).isEqualTo(Map.of(Wash.PEGGED, 1));
    }

    /** Opened again, what an earlier round cleaned dirties no bath: only what is found now counts. */
    @Test
    void nextRoundBeginsClean() {
        List<Step> steps = new ArrayList<>(List.of(gummed("third"), gummed("bridge"), gummed("yoke")));
        SHEET.parts().forEach(p -> steps.add(new Washed(List.of(p.code()), p.wash(), "")));
        SHEET.parts().forEach(p -> steps.add(PartOn.plain(p.code())));
        steps.add(new OpenedAgain(OpenedAgain.Reason.POOR_AMPLITUDE, "", ""));
        SHEET.parts().forEach(p -> steps.add(PartOff.plain(p.code())));
        Job again = off(steps.toArray(Step[]::new));
        assertThat(again.lives().rounds()).hasSize(2);
        assertThat(again.wash().soil()).isEqualTo(new Soil(1, ""));
        steps.add(gummed("third"));
        assertThat(off(steps.toArray(Step[]::new)).wash().soil().why()).isEqualTo("old oil or dirt on 1 part");
    }
}
