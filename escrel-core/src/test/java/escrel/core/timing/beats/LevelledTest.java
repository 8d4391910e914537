package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class LevelledTest {
    private static final int RATE = 44_100;

    /** Noise with a burst ten times louder every quarter of a second, all of it times a factor from half way on. */
    private static float[] beats(double later) {
        Random random = new Random(4);
        float[] out = new float[10 * RATE];
        for (int i = 0; i < out.length; i++) {
            double loud = i % (RATE / 4) < RATE / 200 ? 0.1 : 0.01;
            out[i] = (float) (loud * random.nextGaussian() * (i < out.length / 2 ? 1 : later));
        }
        return out;
    }

    private static boolean level(float[] samples) {
        return Levelled.level(samples, RATE, Envelope.energy(samples, RATE, Envelope.BLOCK_SECONDS));
    }

    private static double rms(float[] samples, int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += samples[i] * samples[i];
        }
        return Math.sqrt(sum / (to - from));
    }

    @Test
    void aSoundThatJumpsIsAsLoudAfterAsBefore() {
        float[] samples = beats(6);

        assertThat(level(samples)).isTrue();
        assertThat(rms(samples, 6 * RATE, 10 * RATE) / rms(samples, 0, 4 * RATE))
                .isCloseTo(1, within(0.1));
    }

    @Test
    void aSteadyOneIsLeftAlone() {
        float[] samples = beats(1);
        float[] as = samples.clone();

        assertThat(level(samples)).isFalse();
        assertThat(samples).isEqualTo(as);
    }

    @Test
    void aGapIsNotMadeLoud() {
        float[] samples = beats(1);
        java.util.Arrays.fill(samples, 4 * RATE, 5 * RATE, 0);

        level(samples);
        assertThat(rms(samples, 4 * RATE, 5 * RATE)).isZero();
    }
}
