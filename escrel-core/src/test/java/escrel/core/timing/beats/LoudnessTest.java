package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LoudnessTest {
    @ParameterizedTest
    @CsvSource({"44100, 0.00005", "48000, 0.00005", "48000, 0.000025", "96000, 0.000025"})
    void evenSoundIsEvenlyLoudWhereItIsLookedForAndElsewhereNothing(double rate, double hop) {
        float[] samples = new float[(int) rate];
        Arrays.fill(samples, -0.25f);

        Loudness loudness = Loudness.around(samples, rate, hop, new double[] {0.2, 0.6}, 0.01, 0.02);

        for (double t : new double[] {0.1905, 0.2, 0.2195, 0.605}) {
            assertThat(loudness.values()[(int) (t * loudness.rate())]).isCloseTo(0.25f, within(1e-4f));
        }
        assertThat(loudness.values()[(int) (0.17 * loudness.rate())]).isZero();
        assertThat(loudness.values()[(int) (0.4 * loudness.rate())]).isZero();
    }

    @Test
    void clickIsHeardForATenthOfAMillisecondAndNoLonger() {
        float[] samples = new float[48_000];
        samples[24_000] = 1;

        Loudness loudness = Loudness.around(samples, 48_000, Loudness.FINE_SECONDS, new double[] {0.5}, 0.005, 0.005);

        // energy 1 over five samples
        int heard = 0;
        for (float value : loudness.values()) {
            heard += value > 0.1 ? 1 : 0;
            assertThat(value).isBetween(0f, (float) Math.sqrt(1 / 5.0) + 1e-5f);
        }
        assertThat(heard / loudness.rate()).isCloseTo(5 / 48_000.0, within(1.1 / 48_000));
        assertThat(loudness.values()[(int) (0.501 * loudness.rate())]).isCloseTo(0f, within(1e-5f));
    }

    @Test
    void beatsNearTheEndsAreHeardAsFarAsThereIsSound() {
        float[] samples = new float[4_800];
        Arrays.fill(samples, 0.5f);

        Loudness loudness =
                Loudness.around(samples, 48_000, Loudness.COARSE_SECONDS, new double[] {0.0005, 0.0999}, 0.01, 0.01);

        assertThat(loudness.values()[loudness.values().length - 1]).isCloseTo(0.5f, within(1e-4f));
        assertThat(loudness.values()[20]).isCloseTo(0.5f, within(1e-4f));
    }
}
