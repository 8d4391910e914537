package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WaveTest {
    private static final int BEATS = 60;

    private static double[] times() {
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.1 + 0.100_013 * k).toArray();
    }

    /** A sound from each time on: of one wave, of noise that is new each time, or of both, and between them nearly nothing. */
    private static float[] sound(double rate, double same, double other, IntToDoubleFunction loudness) {
        Random random = new Random(12);
        float[] out = new float[(int) (6.3 * rate)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.001 * random.nextGaussian());
        }
        double[] times = times();
        for (int k = 0; k < BEATS; k++) {
            for (int i = (int) Math.ceil(times[k] * rate); i < (times[k] + 0.0016) * rate; i++) {
                double t = i / rate - times[k];
                double wave = same * Math.sqrt(2) * Math.sin(2 * Math.PI * 5000 * t) + other * random.nextGaussian();
                out[i] += (float) (loudness.applyAsDouble(k) * wave);
            }
        }
        return out;
    }

    private static Wave wave(double rate, double same, double other) {
        return Wave.of(sound(rate, same, other, k -> 1), rate, times());
    }

    @ParameterizedTest
    @ValueSource(doubles = {22_050, 44_100, 48_000, 96_000})
    void whatComesBackIsAlikeWhateverTheSampleRate(double rate) {
        assertThat(wave(rate, 0.3, 0).alike()).isGreaterThan(0.9);
        // sixty beats of noise leave one sixtieth of its energy in their mean
        assertThat(wave(rate, 0, 0.3).alike()).isLessThan(0.1);
    }

    @Test
    void halfOfItsEnergyAlikeIsHalfAlike() {
        assertThat(wave(48_000, 0.3, 0.3).alike()).isCloseTo(0.5, within(0.07));
    }

    @Test
    void placesLieBetweenSamplesAndAreToldInSeconds() {
        Wave wave = wave(44_100, 0.3, 0);

        assertThat(wave.rate()).isEqualTo(3 * 44_100.0);
        assertThat(wave.seconds(wave.before())).isZero();
        assertThat(wave.seconds(wave.before() + wave.rate() / 1000)).isCloseTo(0.001, within(1e-9));
        // a sound of 5000 Hz stands at its first top a twentieth of a millisecond after it begins
        int top = wave.before();
        for (int i = wave.before(); i < wave.before() + wave.rate() / 10_000; i++) {
            top = wave.mean()[i] > wave.mean()[top] ? i : top;
        }
        assertThat(wave.seconds(top)).isCloseTo(0.000_05, within(12e-6));
    }

    @Test
    void louderBeatSaysNoMoreThanASofterOneAndAKnockNothing() {
        float[] uneven = sound(48_000, 0.3, 0, k -> k % 2 == 0 ? 1 : 0.5);
        assertThat(Wave.of(uneven, 48_000, times()).beats()).isEqualTo(BEATS);
        assertThat(Wave.of(uneven, 48_000, times()).alike()).isGreaterThan(0.9);

        float[] knocked = sound(48_000, 0.3, 0, k -> k == 7 ? 40 : 1);
        assertThat(Wave.of(knocked, 48_000, times()).beats()).isLessThan(BEATS).isGreaterThan(0);
    }
}
