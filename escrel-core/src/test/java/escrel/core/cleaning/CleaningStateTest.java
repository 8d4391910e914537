package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.service.Happened;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
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
        return Jobs.of(SHEET, steps).cleaning();
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
    void whatWasDamagedAfterItsRinseIsRinsedAgainAndWhatLayLooseIsNot() {
        Step[] washed = {PartOff.plain("fork"), new Washed(List.of("fork"), Wash.DIP, "")};

        assertThat(after(washed[0], washed[1], new Happened("fork", Happened.What.DAMAGED_NOW, ""))
                        .due())
                .containsExactly(FORK);
        assertThat(after(washed[0], washed[1], new Happened("fork", Happened.What.FOUND_LOOSE, ""))
                        .due())
                .isEmpty();
    }

    @Test
    void machineIsRefusedForWhatMustNotGoInAndGentlerWaysAreNot() {
        CleaningState state = after(PartOff.plain("fork"), PartOff.plain("wheel"));

        assertThat(state.notFor(Wash.MACHINE, List.of("fork", "wheel"))).containsExactly(FORK);
        assertThat(state.notFor(Wash.BY_HAND, List.of("fork", "wheel"))).isEmpty();
    }

    /** Craft 2.11: parts with glued or printed surfaces keep out of baths, not out of the machine only. */
    @Test
    void whatIsCleanedByHandOnlyGoesIntoNoDipEither() {
        Part printed = Part.of("disc", "Day disc", Group.CALENDAR, Side.DIAL).withWash(Wash.BY_HAND, "printed");
        Part dial = Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withWash(Wash.STANCE, "");
        CleaningState state = Jobs.of(
                        Calibres.of(List.of(printed, dial, FORK), List.of()),
                        PartOff.plain("disc"),
                        PartOff.plain("dial"),
                        PartOff.plain("fork"))
                .cleaning();

        assertThat(state.notFor(Wash.DIP, List.of("disc", "dial", "fork"))).containsExactly(printed, dial);
        assertThat(state.notFor(Wash.BY_HAND, List.of("disc", "dial", "fork"))).containsExactly(dial);
    }

    @Test
    void washOfNothingIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Washed(List.of(), Wash.MACHINE, ""));
    }
}
