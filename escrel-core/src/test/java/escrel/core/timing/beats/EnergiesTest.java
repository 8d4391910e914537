package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class EnergiesTest {
    private final float[] samples = samples();

    private static float[] samples() {
        Random random = new Random(8);
        float[] out = new float[1003];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) random.nextGaussian();
        }
        return out;
    }

    private double added(int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += (double) samples[i] * samples[i];
        }
        return sum;
    }

    @Test
    void everyStretchHasTheEnergyOfItsSamples() {
        Energies sound = new Energies(samples, 48_000);
        for (int from = 0; from < samples.length; from += 7) {
            for (int to = from; to <= samples.length; to += 13) {
                assertThat(sound.between(from, to)).isCloseTo(added(from, to), within(1e-9));
            }
        }
        assertThat(sound.between(0, samples.length)).isCloseTo(added(0, samples.length), within(1e-9));
    }

    @Test
    void aRiseIsWhatComesAfterLessWhatCameBefore() {
        Energies sound = new Energies(samples, 48_000);
        assertThat(sound.rise(100, 30)).isCloseTo(added(100, 130) - added(70, 100), within(1e-9));
    }

    @Test
    void aStretchBeyondTheRecordingIsNotHeld() {
        Energies sound = new Energies(samples, 48_000);
        assertThat(sound.holds(0, 1003)).isTrue();
        assertThat(sound.holds(1, 1003)).isFalse();
        assertThat(sound.holds(-1, 5)).isFalse();
    }
}
