package escrel.core.triage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Lore.Pusher;
import escrel.core.triage.Checked.Outcome;
import escrel.core.triage.ResetTried.Did;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which pusher does what differs by calibre, or a healthy watch is logged as faulty. Source: craft 2.1. */
class ResetTriedTest {
    private static final Pusher STARTS = new Pusher("upper, at 2", "start and stop");

    @ParameterizedTest
    @CsvSource({
        "reset; blocked while running, BLOCKED, YES",
        "reset; blocked while running, RUNS_ON, NO",
        "reset; blocked while running, STOPS, NO",
        "reset; blocked while running, JUMPS, NO",
        "reset; runs on while running, RUNS_ON, YES",
        "reset; Flies back while running, RUNS_ON, YES",
        "reset; runs on while running, BLOCKED, NO",
        "reset, RUNS_ON, NOT_TRIED",
        "reset, JUMPS, NO",
    })
    void whatItDidIsHeldAgainstTheSheet(String lower, Did did, Outcome outcome) {
        Checked check = new ResetTried(did).against(List.of(STARTS, new Pusher("lower, at 4", lower)));
        assertThat(check.check()).isEqualTo(Check.RESET_WHILE_RUNNING);
        assertThat(check.outcome()).isEqualTo(outcome);
        assertThat(check.words()).contains(did.words());
    }

    @ParameterizedTest
    @CsvSource({"BLOCKED, NOT_TRIED", "RUNS_ON, NOT_TRIED", "STOPS, NOT_TRIED", "JUMPS, NO"})
    void withoutASheetOnlyAJumpIsAFault(Did did, Outcome outcome) {
        assertThat(new ResetTried(did).against(List.of()).outcome()).isEqualTo(outcome);
    }
}
