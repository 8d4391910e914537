package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.job.Job;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RuleBook;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A place within a part, play by feel, what is suspected, what cannot be told yet. Source: craft 2.9, 2.10. */
class PlacesTest {
    private static final CalibreSheet SHEET = Calibres.of(
            List.of(
                    Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN),
                    Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN)),
            List.of());
    private static final FindingRaised CRACKED = new FindingRaised(
            "bridge",
            Grade.BROKEN,
            Defect.CRACKED,
            Origin.ACCIDENT,
            "fine line across",
            new Place(Place.Kind.JEWEL, "third wheel"));

    private static Job job(Step... steps) {
        List<Step> all = new ArrayList<>(List.of(steps));
        all.add(0, WorkAgreed.today(WorkAgreed.Work.SERVICE, ""));
        return Jobs.of(SHEET, all.toArray(Step[]::new));
    }

    private static String wanting(Job job) {
        return String.valueOf(job.findings().byKey("3").orElseThrow().wanting());
    }

    @Test
    void newJewelLeavesTheBridgeOriginalAndOwesItsEndShake() {
        Step off = PartOff.plain("bridge");
        Decided decided = new Decided("3", Decision.REPLACE_NEW, "hole 0.12, outer 1.1", "Stennay material store");
        FindingWorked pressed = new FindingWorked("3", FindingWorked.Outcome.DONE, "pressed to the old depth");
        Felt much = new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.MUCH);
        Felt right = new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT);

        assertThat(wanting(job(off, CRACKED, decided))).isEqualTo("decided, not carried out yet");
        assertThat(wanting(job(off, CRACKED, decided, pressed))).isEqualTo("its end-shake is to be felt or measured");
        Job adjusted = job(off, CRACKED, decided, pressed, much, right, PartOn.plain("bridge"));
        assertThat(adjusted.findings().byKey("3").orElseThrow().isSettled()).isTrue();
        assertThat(adjusted.copies().now("bridge").orElseThrow().isBroughtIn()).isFalse();
        assertThat(adjusted.history().all(Felt.class)).containsExactly(much, right);
        assertThat(adjusted.findings().all().get(0).where("Train bridge"))
                .isEqualTo("jewel, third wheel, of Train bridge");
    }

    @Test
    void shakeThatIsNoneOrMuchWantsAdjustingAndWorseSeenIsLeft() {
        Step[] pressed = {
            CRACKED,
            new Decided("2", Decision.REPLACE_NEW, "", "store"),
            new FindingWorked("2", FindingWorked.Outcome.DONE, "")
        };
        assertThat(afterShake(pressed, Felt.Feel.MUCH))
                .isEqualTo("its end-shake is not right: adjust it, then feel again");
        assertThat(afterShake(pressed, Felt.Feel.NONE))
                .isEqualTo("its end-shake is not right: adjust it, then feel again");
        assertThat(afterShake(pressed, Felt.Feel.SEEN_WORSE)).isEqualTo("null");
        assertThat(afterShake(pressed, Felt.Feel.RIGHT)).isEqualTo("null");
    }

    private static String afterShake(Step[] steps, Felt.Feel feel) {
        List<Step> all = new ArrayList<>(List.of(steps));
        all.add(new Felt("wheel", Felt.Play.END_SHAKE, feel));
        return String.valueOf(job(all.toArray(Step[]::new))
                .findings()
                .byKey("2")
                .orElseThrow()
                .wanting());
    }

    @Test
    void shakeFeltBeforeTheJewelWasPressedDoesNotCount() {
        assertThat(wanting(job(
                        new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT),
                        CRACKED,
                        new Decided("3", Decision.REPLACE_NEW, "", "store"),
                        new FindingWorked("3", FindingWorked.Outcome.DONE, ""))))
                .isEqualTo("its end-shake is to be felt or measured");
    }

    @Test
    void newPieceHasItsOwnSizeAndTheOldOneItsOwnEnd() {
        Decided decided = new Decided("2", Decision.REPLACE_NEW, "", "Stennay material store");
        FindingWorked failed = new FindingWorked("2", FindingWorked.Outcome.FAILED, "cracked while pressing");
        FindingWorked pressed =
                new FindingWorked("2", FindingWorked.Outcome.DONE, "", "hole 0.12, outer 1.10", OldPart.Fate.RETURNED);

        assertThat(job(CRACKED, decided).findings().pieces()).isEmpty();
        assertThat(job(CRACKED, decided, failed).findings().pieces()).isEmpty();
        assertThat(job(CRACKED, decided, pressed, decided).findings().pieces())
                .as("decided anew, it is to be done anew")
                .isEmpty();
        Piece piece = job(CRACKED, decided, pressed).findings().pieces().get(0);
        assertThat(piece.size()).isEqualTo("hole 0.12, outer 1.10");
        assertThat(piece.old()).isEqualTo(OldPart.Fate.RETURNED);
        assertThat(piece.finding().source()).isEqualTo("Stennay material store");
    }

    /** A jewel of the main plate, which is no part: it is settled as any piece, with its end-shake. */
    @Test
    void jewelOfTheMainPlateHasNoPartAndOwesItsEndShake() {
        FindingRaised cracked = new FindingRaised(
                null, Grade.BROKEN, Defect.CRACKED, Origin.ACCIDENT, "", new Place(Place.Kind.JEWEL, "third wheel"));
        Decided decided = new Decided("2", Decision.REPLACE_NEW, "", "store");
        FindingWorked pressed = new FindingWorked("2", FindingWorked.Outcome.DONE, "");
        Felt right = new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT);

        Finding owes = job(cracked, decided, pressed).findings().all().get(0);
        assertThat(owes.where(SHEET)).isEqualTo("jewel, third wheel, of Main plate");
        assertThat(owes.wanting()).isEqualTo("its end-shake is to be felt or measured");
        assertThat(job(cracked, decided, pressed, right).findings().all().get(0).isSettled())
                .isTrue();
    }

    private static final CalibreSheet HELD = Calibres.of(
            List.of(
                    Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN).withRole(Role.TRAIN_BRIDGE),
                    Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN),
                    Part.of("barrel", "Barrel", Group.BARREL, Side.TRAIN)),
            List.of(new Hold("wheel", "bridge", "covers it", Hold.Basis.STATED)));

    private static String bridgeReplaced(RuleBook book, Step... then) {
        List<Step> all = new ArrayList<>(List.of(
                new WorkAgreed(WorkAgreed.Work.SERVICE, "", book),
                PartOff.plain("bridge"),
                new FindingRaised("bridge", Grade.BROKEN, Defect.CRACKED, Origin.ACCIDENT, "across"),
                new Decided("3", Decision.REPLACE_DONOR, "", "a donor"),
                PartOn.plain("bridge")));
        all.addAll(List.of(then));
        return String.valueOf(Jobs.of(HELD, all.toArray(Step[]::new))
                .findings()
                .byKey("3")
                .orElseThrow()
                .wanting());
    }

    @Test
    void anotherBridgeOwesTheEndShakeOfWhatRunsUnderIt() {
        Felt right = new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT);

        assertThat(bridgeReplaced(RuleBook.FOURTH)).isEqualTo("its end-shake is to be felt or measured");
        assertThat(bridgeReplaced(RuleBook.FOURTH, new Felt("wheel", Felt.Play.END_SHAKE, Felt.Feel.MUCH)))
                .contains("adjust it");
        assertThat(bridgeReplaced(RuleBook.FOURTH, right)).isEqualTo("null");
        assertThat(bridgeReplaced(RuleBook.FOURTH, new Gauged("bridge", Gauged.What.END_SHAKE, 0.03)))
                .isEqualTo("null");
        assertThat(bridgeReplaced(RuleBook.THIRD))
                .as("a job of before it was asked means what it meant")
                .isEqualTo("null");
    }

    /** The balance travels in its cock: its end-shake answers for a jewel of the cock, though the cock holds it by no hold. */
    @Test
    void endShakeOfWhatTravelsWithAPartAnswersForItsJewel() {
        CalibreSheet cock = Calibres.of(
                List.of(
                        Part.of("cock", "Balance cock", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                                .withRole(Role.BALANCE_COCK),
                        Part.of("balance", "Balance", Group.BALANCE_AND_ESCAPEMENT, Side.IN_HAND)
                                .withUnit("cock"),
                        Part.of("fork", "Pallet bridge", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)),
                List.of(new Hold("fork", "cock", "under it", Hold.Basis.STATED)));
        Job job = Jobs.of(
                cock,
                new WorkAgreed(WorkAgreed.Work.SERVICE, "", RuleBook.FOURTH),
                new FindingRaised(
                        "cock", Grade.BROKEN, Defect.CRACKED, Origin.WEAR, "", new Place(Place.Kind.JEWEL, "upper")),
                new Decided("2", Decision.REPLACE_NEW, "", "store"),
                new FindingWorked("2", FindingWorked.Outcome.DONE, ""),
                new Felt("balance", Felt.Play.END_SHAKE, Felt.Feel.RIGHT));

        assertThat(job.findings().all().get(0).isSettled()).isTrue();
    }

    @Test
    void endShakeOfAnotherPartDoesNotAnswerForTheBridge() {
        assertThat(bridgeReplaced(RuleBook.FOURTH, new Felt("barrel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT)))
                .isEqualTo("its end-shake is to be felt or measured");
    }

    @Test
    void placeThatIsMissingEmptiesNoHome() {
        FindingRaised gone = new FindingRaised(
                "bridge", Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, "no jewel", new Place(Place.Kind.JEWEL, ""));

        assertThat(gone.emptyHome()).isNull();
        assertThat(job(gone).teardown().isOff("bridge")).isFalse();
    }

    @Test
    void suspicionStaysOpenUntilSomebodyLooked() {
        Suspected staff = new Suspected("wheel", "pivot bent?");
        Job open = job(staff);
        assertThat(searches(open).open())
                .extracting(OpenItem::words)
                .containsExactly("suspected: Third wheel: pivot bent?");
        assertThat(open.suspicions().openOn("wheel")).hasSize(1);

        Job cleared = job(staff, new SuspicionSettled(2, SuspicionSettled.Outcome.CLEARED, "straight"));
        assertThat(searches(cleared).balances()).isTrue();
        assertThat(cleared.suspicions().openOn("wheel")).isEmpty();
        assertThat(cleared.suspicions().all()).hasSize(1);
    }

    private static Tally searches(Job job) {
        return job.searches().tally(SHEET);
    }

    @Test
    void whatCannotBeToldHeadsTheSecondLookAndAFindingCleanTakesItThence() {
        Step[] dirty = {
            PartOff.plain("bridge"),
            PartOff.plain("wheel"),
            new FindingRaised("wheel", Grade.NOT_JUDGED, Defect.DIRTY, Origin.UNKNOWN, "cannot tell until it is clean"),
            new Washed(List.of("bridge", "wheel"), Wash.MACHINE, "")
        };
        assertThat(job(dirty).cleaning().toLookAt()).extracting(Part::code).containsExactly("wheel", "bridge");

        List<Step> judged = new ArrayList<>(List.of(dirty));
        judged.add(new FindingRaised("wheel", Grade.WORN, Defect.WORN, Origin.WEAR, "serviceable"));
        assertThat(job(judged.toArray(Step[]::new)).cleaning().toLookAt())
                .extracting(Part::code)
                .containsExactly("bridge");
    }

    @Test
    void longNamesOfPlacesAreRefused() {
        assertThatThrownBy(() -> new Place(Place.Kind.JEWEL, "x".repeat(121))).hasMessageContaining("120");
    }
}
