package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import escrel.core.teardown.TeardownState;
import java.util.List;
import org.junit.jupiter.api.Test;

class CleaningStateTest {
    private static final Part FORK = new Part(
            "fork",
            "Pallet fork",
            Group.BALANCE_AND_ESCAPEMENT,
            Side.TRAIN,
            null,
            null,
            List.of(),
            "",
            "",
            Wash.DIP,
            "shellac",
            0,
            "",
            null);
    private static final CalibreSheet SHEET =
            Calibres.of(List.of(FORK, Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN)), List.of());

    private static CleaningState after(Step... steps) {
        JobHistory history = Histories.of(steps);
        return CleaningState.of(TeardownState.of(SHEET, history), history);
    }

    @Test
    void onlyWhatCameOffIsDueEachInItsOwnWay() {
        CleaningState state = after(PartOff.plain("fork"), PartOff.plain("wheel"));

        assertThat(state.due(Wash.MACHINE)).extracting(Part::code).containsExactly("wheel");
        assertThat(state.due(Wash.DIP)).containsExactly(FORK);
        assertThat(after(PartOff.plain("fork")).due()).containsExactly(FORK);
    }

    @Test
    void washedPartIsNoLongerDueAndItsWayIsKnown() {
        CleaningState state = after(PartOff.plain("fork"), new Washed(List.of("fork"), Wash.DIP, ""));

        assertThat(state.due()).isEmpty();
        assertThat(state.wayOf("fork")).hasValue(Wash.DIP);
        assertThat(state.wayOf("wheel")).isEmpty();
    }

    @Test
    void machineIsRefusedForWhatMustNotGoInAndGentlerWaysAreNot() {
        CleaningState state = after(PartOff.plain("fork"), PartOff.plain("wheel"));

        assertThat(state.notFor(Wash.MACHINE, List.of("fork", "wheel"))).containsExactly(FORK);
        assertThat(state.notFor(Wash.BY_HAND, List.of("fork", "wheel"))).isEmpty();
    }

    @Test
    void washOfNothingIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Washed(List.of(), Wash.MACHINE, ""));
    }
}
