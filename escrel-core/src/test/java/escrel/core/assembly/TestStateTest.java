package escrel.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.Calibres;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class TestStateTest {
    private static boolean owesTheDemagnetiser(Step... further) {
        List<Step> all = new ArrayList<>(
                List.of(WorkAgreed.today(WorkAgreed.Work.SERVICE, ""), PartOff.plain("cock"), PartOn.plain("cock")));
        all.addAll(List.of(further));
        return Jobs.of(Calibres.small(), all.toArray(Step[]::new)).tests().open().stream()
                .anyMatch(t -> t.proof() == AssemblyTest.Proof.DEMAGNETISED);
    }

    @Test
    void demagnetiserIsOwedUntilItWasUsedAndAgainAfterTheNextOpening() {
        Step used = new Demagnetised(3, "");

        assertThat(owesTheDemagnetiser()).isTrue();
        assertThat(owesTheDemagnetiser(used)).isFalse();
        assertThat(owesTheDemagnetiser(used, PartOff.plain("cock"), PartOn.plain("cock")))
                .isTrue();
        assertThat(owesTheDemagnetiser(used, new TakenBack(4))).isTrue();
    }
}
