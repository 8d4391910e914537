package escrel.core.casework;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.casework.CaseTask.Leave;
import escrel.core.service.Stance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Craft 2.1, 2.16, 8. */
class CaseWorkTest {
    @ParameterizedTest
    @CsvSource({
        "POLISHED, CONSERVE, AGAINST",
        "POLISHED, SYMPATHETIC, AS_AGREED",
        "POLISHED, RENEW, AS_AGREED",
        "PLATED, SYMPATHETIC, AGAINST",
        "PLATED, RENEW, AS_AGREED",
        "DIAL_CLEANED, CONSERVE, AGAINST",
        "CRYSTAL_PRESSED, CONSERVE, FREE",
        "GASKETS, CONSERVE, FREE"
    })
    void stanceBoundsWhatIsDone(CaseTask task, Stance stance, Leave leave) {
        assertThat(task.under(stance, false).leave()).isEqualTo(leave);
    }

    @ParameterizedTest
    @EnumSource(Stance.class)
    void overPaintThatWantsCareNothingIsRelumedUnderAnyStance(Stance stance) {
        assertThat(CaseTask.RELUMED.under(stance, true).leave()).isEqualTo(Leave.AGAINST);
    }

    @ParameterizedTest
    @EnumSource(
            value = CaseTask.class,
            names = {"POLISHED", "PLATED", "CRYSTAL_GLUED", "BEZEL_SPRING", "RELUMED"})
    void whatCanHurtSaysSo(CaseTask task) {
        assertThat(task.caution()).isNotEmpty();
    }

    @Test
    void platingAndPaintDeferToRulesAndLicence() {
        assertThat(CaseTask.PLATED.caution()).contains("licensed carrier", "local rules", "outwork");
        assertThat(CaseTask.RELUMED.caution()).contains("Local rules", "licensed body");
    }

    @Test
    void waterTestSaysWhatWasTestedAndNothingElse() {
        assertThat(new WaterTested(3, WaterTested.Way.DRY, true, "").said())
                .isEqualTo("Tested against water dry, in air, at 3 bar: it held");
        assertThat(new WaterTested(0.5, WaterTested.Way.WET, false, "bubbles at the crown").said())
                .isEqualTo("Tested against water in water, at 0.5 bar: it did not hold, bubbles at the crown");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, 100.1, Double.NaN})
    void pressureIsAPressure(double bar) {
        assertThatThrownBy(() -> new WaterTested(bar, WaterTested.Way.DRY, true, ""))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("pressure");
    }

    @Test
    void parcelSaysWhoTakesItAndKeepsItsCostToTheWorkshop() {
        assertThat(new ParcelSent("mail boat", "box in a box", 12.5, "strap").said())
                .isEqualTo("Parcel: mail boat, box in a box; with it strap");
        assertThatThrownBy(() -> new ParcelSent(" ", "", null, "")).hasMessage("Who takes it is not said");
        assertThatThrownBy(() -> new ParcelSent("x", "", -1.0, "")).hasMessageContaining("cost");
    }
}
