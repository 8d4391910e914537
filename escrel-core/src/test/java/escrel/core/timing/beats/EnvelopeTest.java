package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EnvelopeTest {
    @ParameterizedTest
    @ValueSource(doubles = {8_000, 22_050, 44_100, 48_000, 96_000})
    void everySampleCountsOnceHoweverBlocksAndSamplesFitTogether(double rate) {
        Random random = new Random(4);
        float[] samples = new float[(int) (1.2345 * rate)];
        double all = 0;
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) random.nextGaussian();
            all += (double) samples[i] * samples[i];
        }

        double[] energy = Envelope.energy(samples, rate, Envelope.BLOCK_SECONDS);

        assertThat(energy.length * Envelope.BLOCK_SECONDS).isCloseTo(1.2345, within(2 * Envelope.BLOCK_SECONDS));
        double mean = Arrays.stream(energy).average().orElseThrow();
        // less than one block may be left over at the end
        assertThat(mean).isCloseTo(all / samples.length, within(0.01));
    }

    @Test
    void energyOfASineIsHalfTheSquareOfItsHeight() {
        float[] samples = new float[48_000];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (0.4 * Math.sin(2 * Math.PI * 4000 * i / 48_000));
        }

        // a block of half a millisecond holds two whole waves
        assertThat(Arrays.stream(Envelope.energy(samples, 48_000, 0.0005)).boxed())
                .allSatisfy(e -> assertThat(e).isCloseTo(0.08, within(1e-6)));
    }

    @Test
    void loudnessIsALogarithmAboveTheMedianSoThatAKnockWeighsLittleMoreThanATick() {
        double[] energy = new double[1001];
        Arrays.fill(energy, 0.01);
        energy[100] = 1;
        energy[200] = 10_000;
        energy[300] = 0.0001;

        Envelope envelope = Envelope.ofEnergy(energy, 0.001);

        assertThat(envelope.values()[100]).isCloseTo(Math.log(100), within(1e-9));
        // ten thousand times the energy, and three times the weight
        assertThat(envelope.values()[200]).isCloseTo(3 * Math.log(100), within(1e-9));
        assertThat(envelope.values()[300]).isZero();
        assertThat(envelope.values()[400]).isZero();
        assertThat(envelope.seconds()).isCloseTo(1.001, within(1e-12));
    }

    @Test
    void perfectSilenceHasAnEnvelopeOfNothing() {
        assertThat(Envelope.of(new float[4800], 48_000, 0.0005).values()).containsOnly(0);
    }

    @Test
    void foldedOverItsPeriodABeatStandsInOnePlace() {
        double[] values = new double[20_000];
        for (int beat = 0; beat < 80; beat++) {
            values[(int) Math.round(beat * 250 + 40)] = 5;
        }
        Envelope envelope = new Envelope(values, 0.0005);

        double[] right = envelope.folded(0.125, 25, 0, 10, t -> t);
        double[] wrong = envelope.folded(0.1234, 25, 0, 10, t -> t);

        assertThat(right[4]).isCloseTo(0.5, within(1e-9));
        assertThat(Arrays.stream(right).sum()).isCloseTo(0.5, within(1e-9));
        assertThat(Arrays.stream(wrong).max().orElseThrow()).isLessThan(0.1);
    }

    @Test
    void whereSoundWasLostItIsFoldedByTheTimeThatPassed() {
        double[] values = new double[20_000];
        for (int beat = 0; beat < 79; beat++) {
            // seven blocks are gone after the fortieth beat
            values[beat * 250 + 40 - (beat < 40 ? 0 : 7)] = 5;
        }
        Envelope envelope = new Envelope(values, 0.0005);

        double[] steady = envelope.folded(0.125, 125, 0, 9.87, t -> t < 40 * 0.125 ? t : t + 7 * 0.0005);
        double[] asHeard = envelope.folded(0.125, 125, 0, 9.87, t -> t);

        assertThat(Arrays.stream(steady).max().orElseThrow())
                .isGreaterThan(1.8 * Arrays.stream(asHeard).max().orElseThrow());
    }

    @Test
    void blocksTakenTogetherAreTheirMeans() {
        assertThat(new Envelope(new double[] {1, 3, 5, 9, 7}, 0.001).inPairs()).containsExactly(2, 7);
        assertThat(Envelope.together(new double[] {3, 6, 9, 1, 1, 4, 100}, 3))
                .usingComparatorWithPrecision(1e-12)
                .containsExactly(6, 2);
    }
}
