package escrel.core.regulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatError;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.Measured;
import escrel.core.regulation.BeatErrorCure.Handle;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values of M4. */
class BeatErrorCureTest {
    @ParameterizedTest
    @CsvSource({
        "18000, 230, 4.2, 7.59",
        "28800, 270, 0.5, 1.70",
        "21600, 210, 3.6, 7.12",
        "18000, 250, 1.0, 1.96",
        "21600, 265, 2.2, 5.49"
    })
    void jewelOffset(double beats, double amplitude, double millis, double degrees) {
        assertThat(BeatErrorCure.jewelOffsetDegrees(
                        BeatRate.of(beats), Amplitude.ofDegrees(amplitude), BeatError.ofMillis(millis)))
                .isCloseTo(degrees, within(0.005));
    }

    private static Optional<Double> remaining(double before, double trial, double after) {
        return BeatErrorCure.remainingShift(
                        Measured.withStandardError(before, 0.2), trial, Measured.withStandardError(after, 0.2))
                .decided();
    }

    @Test
    void trialThatMadeItWorseNamesTheWayBack() {
        // jewel at +5; +2 makes 7; −7 remains
        assertThat(remaining(5, 2, 7)).hasValueSatisfying(r -> assertThat(r).isCloseTo(-7, within(1e-9)));
    }

    @Test
    void trialThatHelpedNamesTheRest() {
        // jewel at −5; +2 makes 3; +3 remains
        assertThat(remaining(5, 2, 3)).hasValueSatisfying(r -> assertThat(r).isCloseTo(3, within(1e-9)));
    }

    @Test
    void trialThatFitsNeitherSideIsSaidNotToFit() {
        assertThat(remaining(5, 2, 10)).isEmpty();
    }

    /** 5° off and a trial of 0.1°: 5.1 and 4.9 both fit a reading of 5 ± 0.2. No side is picked in silence. */
    @Test
    void trialTooSmallToTellSaysThatBothSidesFit() {
        BeatErrorCure.Trial trial = BeatErrorCure.remainingShift(
                Measured.withStandardError(5, 0.2), 0.1, Measured.withStandardError(5, 0.2));

        assertThat(trial.fitsBothSides()).isTrue();
        assertThat(trial.decided()).isEmpty();
        assertThat(trial.shifts()).containsExactlyInAnyOrder(-5.1, 4.9);
    }

    @Test
    void aSideThatWasSeenNeedsNoTrial() {
        assertThat(BeatErrorCure.shiftFor(5.49, 1)).isEqualTo(-5.49);
        assertThat(BeatErrorCure.shiftFor(5.49, -1)).isEqualTo(5.49);
    }

    @Test
    void eachHandleShiftsTheJewelItsOwnWay() {
        assertThat(Handle.STUD_CARRIER.turnFor(3)).isEqualTo(3);
        assertThat(Handle.COLLET_ON_STAFF.turnFor(3)).isEqualTo(-3);
        assertThat(Handle.COLLET_IN_HAND.turnFor(3)).isEqualTo(3);
    }
}
