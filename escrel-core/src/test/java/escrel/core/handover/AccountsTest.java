package escrel.core.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.job.Job;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.school.Schools;
import escrel.core.service.Eased;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.LeftOut;
import escrel.core.service.OpenItem;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.service.Tightened;
import escrel.core.service.Visit;
import escrel.core.service.WorkAgreed;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** M17, each sentence. */
class AccountsTest {
    private final CalibreSheet sheet = charted();
    private final List<RecordedStep> steps = new ArrayList<>();

    /** The small movement with a screw, an oil point and a test on its yoke. */
    private static CalibreSheet charted() {
        CalibreSheet base = Calibres.charted(
                Calibres.small(),
                List.of(new OilPoint(
                        "o-yoke",
                        "Yoke, contact face",
                        "yoke",
                        Side.DIAL,
                        LubricantClass.CONTACT_GREASE,
                        "film",
                        "yoke",
                        "dial",
                        0,
                        0,
                        "")),
                List.of(new AssemblyTest("t-yoke", "Every crown position", Side.DIAL, "yoke", "dial", "")));
        return base.with(
                base.parts(),
                List.of(new ScrewPlace(
                        "s-yoke",
                        "yoke",
                        1,
                        1,
                        ScrewPlace.LengthClass.SHORT,
                        ScrewPlace.Head.FLAT,
                        ScrewPlace.Thread.RIGHT,
                        1,
                        ScrewPlace.Home.OWN_HOLE,
                        "")),
                base.holds());
    }

    private int record(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH, step));
        return steps.size();
    }

    private Job job() {
        return Jobs.of(sheet, JobHistory.of(steps));
    }

    private Account account(Tally.Kind kind) {
        return job().accounts().stream()
                .filter(a -> a.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private List<String> open(Tally.Kind kind) {
        return account(kind).open().stream().map(OpenItem::words).toList();
    }

    private void agreeOnAService() {
        record(new WorkAgreed(WorkAgreed.Work.SERVICE, ""));
    }

    @Test
    void untouchedMovementBalances() {
        assertThat(job().mayLeave()).isTrue();
        assertThat(account(Tally.Kind.HOMES).total()).isEqualTo(8); // the power-down has no home
    }

    @Test
    void partThatIsOffBlocksUntilItIsOn() {
        record(PartOff.plain("back"));
        assertThat(open(Tally.Kind.HOMES)).containsExactly("Back is off");

        record(PartOn.plain("back"));
        assertThat(account(Tally.Kind.HOMES).balances()).isTrue();
        assertThat(account(Tally.Kind.HOMES).settled()).startsWith("8 original");
    }

    @Test
    void visitNeverCountsAsAssembled() {
        record(PartOff.plain("cock"));
        record(new Visit("cock", Visit.Act.BEGIN, ""));

        assertThat(open(Tally.Kind.HOMES)).containsExactly("Balance with cock is off");
        assertThat(account(Tally.Kind.VISITS).blocks()).isTrue();
    }

    /** "A decided part is not a fitted one": what was missing on arrival is supplied when it is fitted. */
    @Test
    void missingOnArrivalIsSuppliedOnlyOnceItIsFittedAndThenOwesItsOilAndTest() {
        agreeOnAService();
        int finding = record(new FindingRaised("yoke", Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, "gone"));
        record(new Decided(String.valueOf(finding), Decision.REPLACE_DONOR, "", "donor movement"));
        assertThat(open(Tally.Kind.HOMES)).singleElement().asString().contains("nothing is fitted in its place");
        assertThat(open(Tally.Kind.FINDINGS)).singleElement().asString().contains("not at hand yet");

        record(new CopyAtHand("yoke", CopyAtHand.Origin.DONOR, "donor movement", ""));
        assertThat(account(Tally.Kind.HOMES).blocks()).isTrue();
        assertThat(open(Tally.Kind.FINDINGS)).singleElement().asString().contains("not fitted yet");

        record(PartOn.plain("yoke"));
        assertThat(account(Tally.Kind.HOMES).settled()).contains("1 supplied");
        assertThat(account(Tally.Kind.FINDINGS).balances()).isTrue();
        assertThat(open(Tally.Kind.LUBRICATION)).containsExactly("Yoke, contact face");
        assertThat(open(Tally.Kind.TESTS)).contains("Every crown position");
    }

    @Test
    void homeLeftEmptySettlesItsScrewPointAndTestAndFittingItAfterAllOwesThemAgain() {
        agreeOnAService();
        record(PartOff.plain("yoke"));
        record(new LeftOut("yoke", "broken, none to be had"));
        assertThat(account(Tally.Kind.HOMES).settled()).contains("1 left empty");
        for (Tally.Kind kind : List.of(Tally.Kind.HOMES, Tally.Kind.SCREWS, Tally.Kind.LUBRICATION, Tally.Kind.TESTS)) {
            assertThat(account(kind).balances()).as(kind.name()).isTrue();
        }

        record(PartOn.plain("yoke"));
        assertThat(account(Tally.Kind.HOMES).settled()).contains("0 left empty");
        assertThat(open(Tally.Kind.LUBRICATION)).containsExactly("Yoke, contact face");
    }

    @Test
    void replacementWithoutASourceStaysOpen() {
        int off = record(new PartOff("wheel", Grade.BROKEN, ScrewsFound.AS_ON_SHEET, PartOff.Plan.REPLACE, "", ""));
        record(new Decided(String.valueOf(off), Decision.REPLACE_NEW, "", ""));

        assertThat(open(Tally.Kind.FINDINGS)).singleElement().asString().contains("comes from");
    }

    /** "A repair may fail, and another decision follows." */
    @Test
    void decidedIsNotDone() {
        agreeOnAService();
        int off = record(new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "bent", ""));
        String key = String.valueOf(off);
        record(new Decided(key, Decision.REPAIR, "straighten", ""));
        assertThat(open(Tally.Kind.FINDINGS)).singleElement().asString().contains("not carried out yet");

        record(new FindingWorked(key, FindingWorked.Outcome.FAILED, "it broke"));
        assertThat(open(Tally.Kind.FINDINGS)).singleElement().asString().contains("another decision");

        record(new Decided(key, Decision.ADJUST, "try the other way", ""));
        record(new FindingWorked(key, FindingWorked.Outcome.DONE, "runs true"));
        assertThat(account(Tally.Kind.FINDINGS).balances()).isTrue();
    }

    @Test
    void interimPartKeepsTheJobOpenUntilTheNewOneIsFitted() {
        agreeOnAService();
        int off = record(new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "chipped", ""));
        record(new Decided(String.valueOf(off), Decision.INTERIM, "until the new one comes", ""));
        record(PartOn.plain("wheel"));
        assertThat(account(Tally.Kind.INTERIM_PARTS).blocks()).isTrue();

        record(new Decided(String.valueOf(off), Decision.REPLACE_NEW, "arrived", "the ordered one"));
        assertThat(account(Tally.Kind.INTERIM_PARTS).balances()).isTrue();
        // the old one sits there still
        assertThat(account(Tally.Kind.FINDINGS).blocks()).isTrue();

        record(new OpenedAgain(OpenedAgain.Reason.NEW_PART, "wheel", ""));
        record(PartOff.plain("wheel"));
        record(new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "the ordered one", ""));
        record(PartOn.plain("wheel"));
        assertThat(account(Tally.Kind.FINDINGS).balances()).isTrue();
        assertThat(account(Tally.Kind.HOMES).settled()).contains("1 replaced");
        assertThat(job().copies().of("wheel")).hasSize(2);
    }

    @Test
    void replacementThatIsLostTooIsSearchedForToo() {
        agreeOnAService();
        record(PartOff.plain("wheel"));
        record(new Happened("wheel", Happened.What.LOST, ""));
        record(new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "store", ""));
        assertThat(account(Tally.Kind.SEARCHES).balances()).isTrue();

        record(new Happened("wheel", Happened.What.LOST, "that one too"));
        assertThat(account(Tally.Kind.SEARCHES).blocks()).isTrue();
        // and what is lost is not what goes on next
        assertThat(job().wayUp().lines()).noneMatch(l -> l.code().equals("wheel"));
    }

    @Test
    void stepThatRaisesTwoFindingsHasTwoKeys() {
        record(new PartOff(
                "wheel", Grade.BROKEN, ScrewsFound.of(ScrewsFound.State.FOREIGN, 1), PartOff.Plan.KEEP, "", ""));

        assertThat(open(Tally.Kind.FINDINGS)).hasSize(2);
    }

    @Test
    void easedScrewIsDueToBeTightenedAndNotLookedForInTheTray() {
        agreeOnAService();
        record(new Eased("dial", Eased.Way.LOOSENED, 2));
        assertThat(open(Tally.Kind.SCREWS)).containsExactly("Dial was eased: tighten it again");

        record(new Tightened("dial"));
        assertThat(account(Tally.Kind.SCREWS).balances()).isTrue();
    }

    /** "A waiver names the very item it waives and covers nothing that is found later." */
    @Test
    void waiverCoversItsItemAlone() {
        agreeOnAService();
        record(new FindingRaised("wheel", Grade.MEND, Defect.BENT, Origin.WEAR, "tooth"));
        OpenItem item = account(Tally.Kind.FINDINGS).open().get(0);
        record(new ItemWaived(item.key(), item.words(), "owner knows"));
        assertThat(account(Tally.Kind.FINDINGS).blocks()).isFalse();
        assertThat(account(Tally.Kind.FINDINGS).reasonFor(item)).contains("owner knows");

        record(new FindingRaised("bridge", Grade.MEND, Defect.CRACKED, Origin.WEAR, "at a foot"));
        assertThat(account(Tally.Kind.FINDINGS).blocking()).hasSize(1);
    }

    /** What is waived for one stay off the movement is owed again by the next. */
    @Test
    void waiverDoesNotCoverTheSamePartLiftedAgain() {
        agreeOnAService();
        record(PartOff.plain("yoke"));
        record(PartOn.plain("yoke"));
        OpenItem oil = account(Tally.Kind.LUBRICATION).open().get(0);
        record(new ItemWaived(oil.key(), oil.words(), "coated"));
        assertThat(account(Tally.Kind.LUBRICATION).blocks()).isFalse();

        record(new OpenedAgain(OpenedAgain.Reason.FORGOTTEN, "", ""));
        record(PartOff.plain("yoke"));
        record(PartOn.plain("yoke"));
        assertThat(account(Tally.Kind.LUBRICATION).blocks()).isTrue();
    }

    /** Records of earlier versions waived a whole account: what was open then, and nothing later. */
    @Test
    void earlierWaiverOfAnAccountCoversWhatWasOpenThen() {
        record(PartOff.plain("back"));
        record(new Waived(Tally.Kind.HOMES, "owner keeps the back"));
        assertThat(account(Tally.Kind.HOMES).blocks()).isFalse();
        assertThat(account(Tally.Kind.HOMES).balances()).isFalse();

        record(PartOff.plain("dial"));
        assertThat(account(Tally.Kind.HOMES).blocking())
                .extracting(OpenItem::words)
                .containsExactly("Dial is off");
    }

    /** Craft 10: a job without any oil point or test does not balance at zero in silence. */
    @Test
    void nothingKnownToBeDueIsSaid() {
        Job bare = Jobs.of(Calibres.small(), PartOff.plain("yoke"), PartOn.plain("yoke"));

        assertThat(bare.accounts())
                .filteredOn(a -> a.kind() == Tally.Kind.LUBRICATION)
                .singleElement()
                .satisfies(a -> assertThat(a.settled()).contains("nothing is known to be due"));
    }

    @Test
    void stagesFollowWhatWasRecorded() {
        assertThat(Job.of(JobHistory.empty(), null, Schools.DEFAULT).stage()).isEqualTo(Stage.ARRIVED);
        record(PartOff.plain("back"));
        assertThat(job().stage()).isEqualTo(Stage.STRIPPING);
        record(PartOn.plain("back"));
        assertThat(job().stage()).isEqualTo(Stage.ADJUSTING);
        record(HandedOver.from(Schools.DEFAULT, "in a box"));
        assertThat(job().stage()).isEqualTo(Stage.HANDED_OVER);
        // it came back
        record(new OpenedAgain(OpenedAgain.Reason.GUARANTEE, "", ""));
        assertThat(job().stage()).isEqualTo(Stage.STRIPPING);
    }
}
