package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.EarlyIn;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LearntSheetTest {
    private static PartNamed named(String code, String name) {
        return new PartNamed(code, name, Group.TRAIN, Side.TRAIN, null, List.of(), null);
    }

    private static CalibreSheet learnt(Step... steps) {
        return LearntSheet.of(null, Histories.of(steps));
    }

    @Test
    void nothingLearntLeavesTheSheetAsItIs() {
        CalibreSheet sheet = Calibres.small();

        assertThat(LearntSheet.of(sheet, Histories.of(PartOff.plain("back")))).isSameAs(sheet);
        assertThat(LearntSheet.of(null, JobHistory.empty()).parts()).isEmpty();
    }

    @Test
    void sheetGrowsInTheOrderInWhichPartsAreNamed() {
        CalibreSheet sheet = learnt(
                named("bridge", "Bridge"),
                named("wheel", "Unknown wheel"),
                new HoldStated("wheel", "bridge", "was under it"),
                new PartRenamed("wheel", "Third wheel"),
                new ScrewsStated("bridge", 3, ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.RIGHT),
                new Pinned("wheel", 0.5, -0.25));

        assertThat(sheet.parts()).extracting(Part::code).containsExactly("bridge", "wheel");
        assertThat(sheet.requirePart("wheel").name()).isEqualTo("Third wheel");
        assertThat(sheet.requirePart("wheel").aliases()).containsExactly("Unknown wheel");
        assertThat(sheet.holds()).containsExactly(new Hold("wheel", "bridge", "was under it", Hold.Basis.STATED));
        assertThat(sheet.screwsOf("bridge")).hasSize(3).allMatch(s -> s.length() == ScrewPlace.LengthClass.LONG);
        Shape pin = sheet.requirePart("wheel").shape();
        assertThat(pin.kind()).isEqualTo(Shape.Kind.PIN);
        assertThat(pin.x()).isEqualTo(5);
        assertThat(pin.y()).isEqualTo(-2.5);
    }

    @Test
    void takingANameBackTakesItOffTheSheet() {
        assertThat(learnt(named("bridge", "Bridge"), new TakenBack(1)).parts()).isEmpty();
    }

    @Test
    void holdThatWouldCloseARingIsLeftOut() {
        CalibreSheet sheet = learnt(
                named("a", "A"), named("b", "B"), new HoldStated("a", "b", "under"), new HoldStated("b", "a", "under"));

        assertThat(sheet.holds()).hasSize(1);
        assertThat(LearntSheet.ringWith(sheet, "b", "a"))
                .hasValueSatisfying(ring -> assertThat(ring).contains("a", "b").hasSize(3));
        assertThat(LearntSheet.ringWith(sheet, "a", "b")).isEmpty();
    }

    @Test
    void partOfAUnitIsPartedFromItInTheHandUntilSaidOtherwise() {
        CalibreSheet together = learnt(named("a", "A"), named("b", "B"), new CameTogether("b", "a"));
        CalibreSheet apart =
                learnt(named("a", "A"), named("b", "B"), new CameTogether("b", "a"), new CameTogether("b", ""));

        assertThat(together.requirePart("b").unit()).isEqualTo("a");
        assertThat(together.requirePart("b").side()).isEqualTo(Side.IN_HAND);
        assertThat(apart.requirePart("b").unit()).isNull();
        // and is worked on again from where it was before, not in the hand for ever
        assertThat(apart.requirePart("b").side()).isEqualTo(Side.TRAIN);
    }

    @Test
    void drawnPartsKeepTheirDrawingWhateverIsPinned() {
        Part drawn = Part.of("w", "Wheel", Group.TRAIN, Side.TRAIN)
                .withShape(new Shape(Shape.Kind.WHEEL, 1, 2, 3, 80, List.of()));
        CalibreSheet sheet =
                LearntSheet.of(Calibres.of(List.of(drawn), List.of()), Histories.of(new Pinned("w", 0.1, 0.1)));

        assertThat(sheet.requirePart("w").shape().kind()).isEqualTo(Shape.Kind.WHEEL);
    }

    @Test
    void laterPhotoOfASideLiesOnTop() {
        CalibreSheet sheet = learnt(
                new SidePhotographed(1, Side.TRAIN, 0.5, 0.4, 0.3),
                new SidePhotographed(2, Side.TRAIN, 0.5, 0.4, 0.3),
                new SidePhotographed(1, Side.TRAIN, 0.5, 0.5, 0.4));

        assertThat(sheet.pictures()).extracting(p -> p.number()).containsExactly(2, 1);
        assertThat(sheet.pictures().get(1).radius()).isEqualTo(0.4);
    }

    @Test
    void placeOnAPictureComesBackAsItWent() {
        CalibreSheet sheet = learnt(new SidePhotographed(1, Side.TRAIN, 0.5, 0.4, 0.3));
        double[] at = sheet.pictures().get(0).inPicture(3, -4, 10);

        // seen from the train side, 3 o'clock lies on the left
        assertThat(at).containsExactly(0.5 - 0.09, 0.4 + 0.12);
        assertThat(sheet.pictures().get(0).onMovement(at[0], at[1], 10)).satisfies(back -> {
            assertThat(back[0]).isCloseTo(3, within(1e-9));
            assertThat(back[1]).isCloseTo(-4, within(1e-9));
        });
    }

    @Test
    void boundHalfWayDownKeepsItsStepsUnderTheNamesOfTheSheet() {
        CalibreBound bound = new CalibreBound("test", 1, "", CalibreBound.As.CALIBRE, Map.of("lid", "back"));
        JobHistory recorded =
                Histories.of(named("lid", "Lid"), PartOff.plain("lid"), named("odd-part", "Odd part"), bound);
        JobHistory history = recorded.inPresentCodes();
        CalibreSheet sheet = LearntSheet.of(Calibres.small(), history);

        assertThat(TeardownState.of(sheet, history).isOff("back")).isTrue();
        assertThat(sheet.part("lid")).isEmpty();
        assertThat(sheet.part("odd-part")).isPresent();
        assertThat(history.lastSequence()).isEqualTo(recorded.lastSequence());
        assertThat(recorded.all(PartOff.class)).extracting(PartOff::part).containsExactly("lid");
    }

    @Test
    void codesAreReadableAndNeverTaken() {
        assertThat(Vocabulary.codeFor("Third wheel", Set.of())).isEqualTo("third-wheel");
        assertThat(Vocabulary.codeFor("Third wheel", Set.of("third-wheel"))).isEqualTo("third-wheel-2");
        assertThat(Vocabulary.codeFor("Hébel (long)", Set.of())).isEqualTo("hebel-long");
        assertThat(Vocabulary.codeFor("···", Set.of("part"))).isEqualTo("part-2");
    }

    @Test
    void everyGroupHasKindsToChooseFrom() {
        for (Group group : Group.values()) {
            assertThat(Vocabulary.of(group)).as(group.name()).hasSizeBetween(3, 17);
        }
    }

    @Test
    void matchingProposesSureOnesBeforeGuesses() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("third", "Third wheel", Group.TRAIN, Side.TRAIN),
                        Part.of("cock", "Balance with cock", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                                .withRole(Role.BALANCE_COCK),
                        Part.of("jumper", "Date jumper", Group.CALENDAR, Side.DIAL)),
                List.of());
        List<Part> working = List.of(
                Part.of("w1", "third wheel", Group.TRAIN, Side.TRAIN),
                Part.of("w2", "Thing that swings", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                        .withRole(Role.BALANCE_COCK),
                Part.of("w3", "Jumper", Group.CALENDAR, Side.DIAL),
                Part.of("w4", "Something", Group.PLATES, Side.DIAL));

        assertThat(Matching.propose(working, sheet))
                .containsOnly(Map.entry("w1", "third"), Map.entry("w2", "cock"), Map.entry("w3", "jumper"));
    }

    @Test
    void namesThatDifferByANumberOrStandInAnotherScriptAreNotTheSame() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("reverser-1", "Reverser 1", Group.AUTOMATIC, Side.TRAIN),
                        Part.of("cyr", "Третье колесо", Group.TRAIN, Side.TRAIN)),
                List.of());
        List<Part> working = List.of(
                Part.of("w1", "Reverser 2", Group.AUTOMATIC, Side.TRAIN),
                Part.of("w2", "Четвёртое", Group.KEYLESS, Side.TRAIN),
                Part.of("w3", "третье колесо", Group.TRAIN, Side.TRAIN));

        assertThat(Matching.propose(working, sheet)).containsOnly(Map.entry("w3", "cyr"));
    }

    @Test
    void ringIsNamedBeforeItIsSaidInBothDirections() {
        CalibreSheet sheet = Calibres.small();

        assertThat(LearntSheet.ringWith(sheet, "ratchet", "wheel"))
                .hasValueSatisfying(ring -> assertThat(ring).contains("ratchet", "bridge", "wheel"));
        assertThat(LearntSheet.ringWith(sheet, "yoke", "wheel")).isEmpty();
        CalibreSheet early = new CalibreSheet(
                sheet.id(),
                sheet.name(),
                sheet.data(),
                null,
                sheet.parts(),
                sheet.screws(),
                sheet.holds(),
                List.of(new EarlyIn("yoke", "ratchet", "fitted first")),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
        assertThat(LearntSheet.ringWith(early, "ratchet", "yoke"))
                .as("going up, the yoke is wanted before the ratchet; coming off first it would be wanted after it")
                .isPresent();
    }

    @Test
    void statementsThatCloseARingAreLeftAsideAndTheRestStays() {
        Random random = new Random(9);
        for (int trial = 0; trial < 100; trial++) {
            List<Step> said = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                said.add(new PartNamed("p" + i, "Part " + i, Group.TRAIN, Side.TRAIN, null, List.of(), null));
            }
            for (int i = 0; i < 20; i++) {
                said.add(new HoldStated("p" + random.nextInt(8), "p" + random.nextInt(8), "said"));
            }
            CalibreSheet learnt = LearntSheet.of(null, Histories.of(said.toArray(Step[]::new)));

            assertThat(SheetCheck.ringIn(learnt)).isEmpty();
            said.stream()
                    .filter(HoldStated.class::isInstance)
                    .map(HoldStated.class::cast)
                    .filter(h -> learnt.holdsOn(h.part()).stream().noneMatch(k -> k.by().equals(h.by())))
                    .forEach(h -> assertThat(LearntSheet.ringWith(learnt, h.part(), h.by()))
                            .as("left aside only because it closes a ring: " + h)
                            .isPresent());
        }
    }
}
