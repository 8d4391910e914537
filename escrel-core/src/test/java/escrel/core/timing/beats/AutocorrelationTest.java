package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AutocorrelationTest {
    private static final double BLOCK = 0.0005;

    /** As the definition says it, pair by pair. */
    private static double likeness(double[] x, int lag) {
        double mean = Arrays.stream(x).average().orElseThrow();
        double zero = 0;
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            zero += (x[i] - mean) * (x[i] - mean) / x.length;
        }
        for (int i = 0; i + lag < x.length; i++) {
            sum += (x[i] - mean) * (x[i + lag] - mean);
        }
        return sum / (x.length - lag) / zero;
    }

    @ParameterizedTest
    @ValueSource(ints = {8, 64, 100, 1023})
    void isWhatTheDefinitionSaysForLagsOfUpToThreeFifths(int length) {
        double[] x = new Random(length).doubles(length, 0, 3).toArray();
        Autocorrelation own = Autocorrelation.of(new Envelope(x, BLOCK));

        int lags = length * 3 / 5;
        for (int lag = 0; lag < lags - 1; lag++) {
            assertThat(own.at(lag * BLOCK + 1e-12)).as("lag %d", lag).isCloseTo(likeness(x, lag), within(1e-6));
        }
        assertThat(own.longestLagSeconds()).isCloseTo(lags * BLOCK, within(1e-12));
        assertThat(own.at(lags * BLOCK)).isZero();
        assertThat(own.at(-BLOCK)).isZero();
    }

    /** Pulses some blocks wide, so that their place between two blocks shows. */
    private static Envelope pulses(double period, double seconds) {
        double[] x = new double[(int) (seconds / BLOCK)];
        for (int i = 0; i < x.length; i++) {
            double t = (i + 0.5) * BLOCK;
            double off = t - Math.rint(t / period) * period;
            x[i] = 4 * Math.exp(-off * off / (2 * 0.0015 * 0.0015));
        }
        return new Envelope(x, BLOCK);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.123_456, 0.166_683, 0.200_02})
    void topLiesAtThePeriodToAFewHundredthsOfABlock(double period) {
        Autocorrelation own = Autocorrelation.of(pulses(period, 15));

        assertThat(own.peakNear(period + 0.003, 0.006)).isCloseTo(period, within(0.06 * BLOCK));
        assertThat(own.at(period)).isGreaterThan(0.97);
        assertThat(own.at(period / 2)).isNegative();
    }

    @Test
    void longSoundIsTakenInPartsAndSaysTheSame() {
        Autocorrelation whole = Autocorrelation.of(pulses(0.125, 20));
        Autocorrelation parts = Autocorrelation.of(pulses(0.125, 90));

        assertThat(parts.peakNear(0.1252, 0.004)).isCloseTo(whole.peakNear(0.1252, 0.004), within(0.02 * BLOCK));
        // lags go no farther than in one of the five parts
        assertThat(parts.longestLagSeconds()).isCloseTo(0.6 * 18, within(0.1));
    }

    @Test
    void noiseIsLikeItselfAtNoOtherTime() {
        double[] noise = new Random(9).doubles(20_000).toArray();
        Autocorrelation own = Autocorrelation.of(new Envelope(noise, BLOCK));

        assertThat(own.at(0)).isCloseTo(1, within(1e-9));
        for (double lag = 0.05; lag < 1; lag += 0.0137) {
            // five standard errors of a correlation over twenty thousand pairs
            assertThat(own.at(lag)).isBetween(-0.036, 0.036);
        }
    }

    @Test
    void whatNeverChangesIsLikeNothing() {
        Autocorrelation own = Autocorrelation.of(new Envelope(new double[500], BLOCK));
        assertThat(own.at(0.05)).isZero();
        assertThat(own.peakNear(0.05, 0.01)).isBetween(0.0395, 0.0605);
    }
}
