package escrel.core.timing.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values of M3 and M4. */
class SwingTest {
    private static Swing swing(double beats, double lift) {
        return new Swing(BeatRate.of(beats), LiftAngle.known(lift));
    }

    @ParameterizedTest
    @CsvSource({
        "52, 28800, 7.5, 276.28",
        "52, 21600, 8.5, 324.90",
        "50, 28800, 6.6, 301.78",
        "48, 18000, 14, 218.71",
        "53, 36000, 6.5, 260.00"
    })
    void amplitudeFromLiftTime(double lift, double beats, double millis, double degrees) {
        assertThat(swing(beats, lift).amplitude(millis / 1000).degrees()).isCloseTo(degrees, within(0.005));
    }

    @ParameterizedTest
    @CsvSource({"52, 270, 18000, 12.280", "44, 180, 21600, 13.001"})
    void liftTimeFromAmplitude(double lift, double degrees, double beats, double millis) {
        assertThat(swing(beats, lift).liftSeconds(Amplitude.ofDegrees(degrees)) * 1000)
                .isCloseTo(millis, within(5e-4));
    }

    /** The plain form reads low: 0.8° at 9 ms, 120° and 28 800, 1.25° at 36 000. */
    @ParameterizedTest
    @CsvSource({"28800, 0.8", "36000, 1.25"})
    void beatErrorIsTakenIntoTheAmplitude(double beats, double low) {
        Swing swing = swing(beats, 52);
        double period = swing.beatRate().periodSeconds();
        // the jewel's offset that makes 9 ms of beat error, and from it the two half lifts
        double offset = 120 * Math.sin(Math.PI * 0.009 / period);
        double u = time(period, 26 + offset);
        double v = time(period, 26 - offset);
        double lift = u + v;
        double heard = (u - v);

        double better = swing.amplitude(lift, heard).degrees();

        assertThat(better).isCloseTo(120, within(1e-6));
        assertThat(better - swing.amplitude(lift).degrees()).isCloseTo(low, within(0.06)); // "about"
        assertThat(swing.beatError(lift, heard).millis()).isCloseTo(9, within(1e-6));
    }

    private static double time(double period, double angle) {
        return period / (2 * Math.PI) * Math.asin(angle / 120);
    }

    @Test
    void liftAngleFromAnAmplitudeSeen() {
        Swing swing = swing(18_000, 50);
        double lift = swing.liftSeconds(Amplitude.ofDegrees(180));

        assertThat(Swing.liftAngleFrom(BeatRate.of(18_000), Amplitude.ofDegrees(180), lift)
                        .degrees())
                .isCloseTo(50, within(1e-9));
    }

    /** M3: at +900 s/d the nominal period reads 1 % too much, 3° at 290°. */
    @Test
    void thePeriodIsTheOneHeard() {
        BeatRate beatRate = BeatRate.of(28_800);
        double heard = 0.25 / (1 + 900 / 86_400.0);
        double lift = heard / Math.PI * Math.asin(52 / 2.0 / 290);

        assertThat(Swing.heard(beatRate, heard, LiftAngle.known(52))
                        .amplitude(lift)
                        .degrees())
                .isCloseTo(290, within(1e-6));
        assertThat(swing(28_800, 52).amplitude(lift).degrees()).isCloseTo(293, within(0.1));
    }

    @Test
    void impossibleLiftTimesAreRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> swing(18_000, 50).amplitude(0));
        assertThatIllegalArgumentException().isThrownBy(() -> swing(18_000, 50).amplitude(0.2));
    }

    @Test
    void anotherLiftAngleRecomputesWhatWasHeardAndLeavesWhatWasTyped() {
        Swing swing = swing(18_000, 50);
        LiftTime heard = new LiftTime(Measured.withStandardError(14, 0.02), Measured.withStandardError(1.2, 0.01));
        Reading fromSound = reading(
                Measured.withStandardError(swing.amplitude(0.014, 0.0012).degrees(), 0.4), heard, Source.RECORDING);
        Reading typed = reading(Measured.single(240), null, Source.TYPED);

        LiftAngle other = LiftAngle.known(44);

        assertThat(fromSound.withLiftAngle(other).amplitudeDegrees().value())
                // at +3 s/d the period heard is a little shorter than the nominal one
                .isCloseTo(swing(18_000, 44).amplitude(0.014, 0.0012).degrees(), within(0.01));
        assertThat(typed.withLiftAngle(other).amplitudeDegrees().value()).isEqualTo(240);
    }

    private static Reading reading(Measured amplitude, LiftTime lift, Source source) {
        return new Reading(
                Position.DIAL_UP,
                Measured.single(3),
                amplitude,
                Measured.single(1),
                lift,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                source,
                Trace.CLEAN,
                "");
    }
}
