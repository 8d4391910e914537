package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BeatRateFinderTest {
    /** Twenty seconds of loudness with a burst at every beat; tocks come late by twice the beat error. */
    private static Envelope bursts(double beatsPerHour, double rate, double beatErrorSeconds, long seed) {
        Random random = new Random(seed);
        double[] values = new double[(int) (20 / Envelope.BLOCK_SECONDS)];
        for (int i = 0; i < values.length; i++) {
            values[i] = Math.max(0, 0.3 * random.nextGaussian());
        }
        double beat = 3600 / beatsPerHour / (1 + rate / 86_400);
        int number = 0;
        for (double t = 0.1; t < 19.9; t += beat, number++) {
            double at = t + ((number & 1) == 1 ? beatErrorSeconds : -beatErrorSeconds);
            for (int b = 0; b < 10; b++) {
                int i = (int) (at / Envelope.BLOCK_SECONDS) + b;
                if (i >= 0 && i < values.length) {
                    values[i] += (number & 1) == 1 ? 4.0 - 0.3 * b : 3.0 - 0.1 * b;
                }
            }
        }
        return new Envelope(values, Envelope.BLOCK_SECONDS);
    }

    @ParameterizedTest
    @ValueSource(doubles = {14_400, 16_200, 18_000, 19_800, 21_600, 25_200, 28_800, 36_000})
    void everyUsualBeatRateIsToldFromItsHalfAndItsDouble(double beats) {
        for (double rate : new double[] {-800, 0, 30, 800}) {
            BeatRateFinder.Found found = new BeatRateFinder(bursts(beats, rate, 0.001, 5))
                    .among(BeatRate.USUAL)
                    .orElseThrow();

            assertThat(found.beatRate().beatsPerHour()).as("rate %f", rate).isEqualTo(beats);
            assertThat(found.periodSeconds()).isCloseTo(7200 / beats / (1 + rate / 86_400), within(3e-5));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.0005, 0.003, 0.006})
    void beatErrorDoesNotHideTheBeatRate(double error) {
        assertThat(new BeatRateFinder(bursts(21_600, 10, error, 7)).among(BeatRate.USUAL))
                .hasValueSatisfying(f -> assertThat(f.beatRate().beatsPerHour()).isEqualTo(21_600));
    }

    @Test
    void anyOtherNumberMayBeTyped() {
        BeatRateFinder.Found found = new BeatRateFinder(bursts(17_280, 0, 0, 9)).at(BeatRate.of(17_280));

        assertThat(found.credible()).isTrue();
        assertThat(found.periodSeconds()).isCloseTo(7200.0 / 17_280, within(3e-5));
    }

    @Test
    void noiseIsNotCredible() {
        Random random = new Random(1);
        double[] values = new double[40_000];
        for (int i = 0; i < values.length; i++) {
            values[i] = random.nextDouble();
        }

        assertThat(new BeatRateFinder(new Envelope(values, Envelope.BLOCK_SECONDS)).among(BeatRate.USUAL))
                .isEmpty();
    }
}
