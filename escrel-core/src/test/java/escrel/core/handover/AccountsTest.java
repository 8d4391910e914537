package escrel.core.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.service.JobHistory;
import escrel.core.service.LeftOut;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.service.Visit;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** M17. */
class AccountsTest {
    private final CalibreSheet sheet = Calibres.small();
    private final List<RecordedStep> steps = new ArrayList<>();

    private int record(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH, step));
        return steps.size();
    }

    private Account account(Account.Kind kind) {
        return Accounts.of(sheet, JobHistory.of(steps)).stream()
                .filter(a -> a.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void untouchedMovementBalances() {
        assertThat(Accounts.mayLeave(Accounts.of(sheet, JobHistory.empty()))).isTrue();
        assertThat(account(Account.Kind.HOMES).total()).isEqualTo(8); // the power-down has no home
    }

    @Test
    void partThatIsOffBlocksUntilItIsOn() {
        record(PartOff.plain("back"));
        assertThat(account(Account.Kind.HOMES).open()).containsExactly("Back is off");

        record(PartOn.plain("back"));
        assertThat(account(Account.Kind.HOMES).balances()).isTrue();
        assertThat(account(Account.Kind.HOMES).settled()).startsWith("8 original");
    }

    @Test
    void visitNeverCountsAsAssembled() {
        record(PartOff.plain("cock"));
        record(new Visit("cock", Visit.Act.BEGIN, ""));

        assertThat(account(Account.Kind.HOMES).open()).containsExactly("Balance with cock is off");
        assertThat(account(Account.Kind.VISITS).blocks()).isTrue();
    }

    @Test
    void homeLeftEmptyIsSettledWithItsReason() {
        record(PartOff.plain("yoke"));
        record(new LeftOut("yoke", "broken, none to be had"));

        assertThat(account(Account.Kind.HOMES).balances()).isTrue();
        assertThat(account(Account.Kind.HOMES).settled()).contains("1 left empty");
    }

    @Test
    void missingOnArrivalIsSuppliedByADecision() {
        int finding = record(new FindingRaised("yoke", Grade.MISSING, Defect.ABSENT, Origin.UNKNOWN, "gone"));
        assertThat(account(Account.Kind.HOMES).blocks()).isTrue();
        assertThat(account(Account.Kind.FINDINGS).blocks()).isTrue();

        record(new Decided(String.valueOf(finding), Decision.REPLACE_DONOR, "", "donor movement"));
        assertThat(account(Account.Kind.HOMES).settled()).contains("1 supplied");
        assertThat(account(Account.Kind.FINDINGS).balances()).isTrue();
    }

    @Test
    void replacementWithoutASourceStaysOpen() {
        int off = record(new PartOff("wheel", Grade.BROKEN, ScrewsFound.AS_ON_SHEET, PartOff.Plan.REPLACE, "", ""));
        record(new Decided(String.valueOf(off), Decision.REPLACE_NEW, "", ""));

        assertThat(account(Account.Kind.FINDINGS).open())
                .singleElement()
                .asString()
                .contains("comes from");
    }

    @Test
    void interimPartKeepsTheJobOpenUntilALaterDecision() {
        int off = record(new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "chipped", ""));
        record(new Decided(String.valueOf(off), Decision.INTERIM, "until the new one comes", ""));
        assertThat(account(Account.Kind.INTERIM_PARTS).blocks()).isTrue();

        record(new Decided(String.valueOf(off), Decision.REPLACE_NEW, "fitted", "the ordered one"));
        assertThat(account(Account.Kind.INTERIM_PARTS).balances()).isTrue();
    }

    @Test
    void stepThatRaisesTwoFindingsHasTwoKeys() {
        record(new PartOff("wheel", Grade.BROKEN, ScrewsFound.ONE_FOREIGN, PartOff.Plan.KEEP, "", ""));

        assertThat(account(Account.Kind.FINDINGS).open()).hasSize(2);
    }

    @Test
    void waiverLetsItLeaveAndKeepsItsReason() {
        record(PartOff.plain("back"));
        record(new Waived(Account.Kind.HOMES, "owner keeps the back"));

        Account homes = account(Account.Kind.HOMES);
        assertThat(homes.balances()).isFalse();
        assertThat(homes.blocks()).isFalse();
        assertThat(homes.waivedBecause()).isEqualTo("owner keeps the back");
    }

    @Test
    void undoAfterAnyStepGivesTheStateBeforeIt() {
        record(PartOff.plain("back"));
        List<Account> before = Accounts.of(sheet, JobHistory.of(steps));

        int next = record(new PartOff("dial", Grade.BROKEN, ScrewsFound.ONE_MISSING, PartOff.Plan.REPLACE, "", ""));
        record(new TakenBack(next));

        assertThat(Accounts.of(sheet, JobHistory.of(steps))).isEqualTo(before);
    }

    @Test
    void stagesFollowWhatWasRecorded() {
        assertThat(Stage.of(null, JobHistory.empty())).isEqualTo(Stage.ARRIVED);
        record(PartOff.plain("back"));
        assertThat(Stage.of(sheet, JobHistory.of(steps))).isEqualTo(Stage.STRIPPING);
        record(PartOn.plain("back"));
        assertThat(Stage.of(sheet, JobHistory.of(steps))).isEqualTo(Stage.ADJUSTING);
        record(new HandedOver("in a box"));
        assertThat(Stage.of(sheet, JobHistory.of(steps))).isEqualTo(Stage.HANDED_OVER);
    }
}
