package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.beats.Envelope;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What beats between the beats of a watch. */
class SecondWatchTest {
    private static final double RATE = 22_050;
    private static final double SECONDS = 20;
    private static final double LIFT = 0.008;

    /** Bursts of noise with a period, softer by so many decibels than the watch, added to a sound. */
    private static void beat(float[] out, double first, double period, double decibels, Random random) {
        double height = Math.pow(10, -decibels / 20);
        for (double at = first; at < SECONDS - 0.1; at += period) {
            for (int i = 0; i < 0.004 * RATE; i++) {
                out[(int) (at * RATE) + i] += (float) (height * Math.exp(-i / (0.001 * RATE)) * random.nextGaussian());
            }
        }
    }

    private static float[] watch(Random random) {
        float[] out = new float[(int) (SECONDS * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.002 * random.nextGaussian());
        }
        beat(out, 0.05, 0.125, 20, random);
        beat(out, 0.05 + LIFT, 0.125, 0, random);
        return out;
    }

    private static Optional<SecondWatch.Other> behind(float[] sound) {
        Envelope envelope = Envelope.of(sound, RATE, 0.00025);
        double[] unlocks =
                IntStream.range(0, 158).mapToDouble(k -> 0.05 + 0.125 * k).toArray();
        double[] drops = IntStream.range(0, 158)
                .mapToDouble(k -> 0.05 + LIFT + 0.125 * k)
                .toArray();
        return SecondWatch.behind(envelope, unlocks, drops);
    }

    @Test
    void aWatchAloneHasNothingBehindIt() {
        for (int seed = 0; seed < 8; seed++) {
            assertThat(behind(watch(new Random(seed)))).as("noise %d", seed).isEmpty();
        }
    }

    @Test
    void anotherBeatIsHeardAndHowMuchSofterItIs() {
        for (double decibels : new double[] {0, 10, 20}) {
            Random random = new Random(40);
            float[] sound = watch(random);
            beat(sound, 0.11, 0.2, decibels, random);

            SecondWatch.Other other = behind(sound).orElseThrow();

            assertThat(other.beat().beatRate().beatsPerHour()).isEqualTo(18_000);
            assertThat(other.decibels()).isCloseTo(decibels, within(4.0));
            assertThat(other.faint()).isEqualTo(decibels > 12);
        }
    }

    @Test
    void aSingleKnockIsNoWatch() {
        Random random = new Random(3);
        float[] sound = watch(random);
        beat(sound, 7.31, 100, -20, random);

        assertThat(behind(sound)).isEmpty();
    }
}
