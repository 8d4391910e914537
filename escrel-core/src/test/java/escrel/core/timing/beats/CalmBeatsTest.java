package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CalmBeatsTest {
    private static final double RATE = 22_050;
    private static final double WINDOW = 0.02;
    private static final int BEATS = 40;

    private static double[] times() {
        return IntStream.range(0, BEATS).mapToDouble(k -> 0.1 + 0.125 * k).toArray();
    }

    /** A soft room with a short click in each beat; in some a rustle through the whole of it. */
    private static double[] calm(Set<Integer> rustling) {
        Random random = new Random(7);
        float[] out = new float[(int) (5.5 * RATE)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.01 * random.nextGaussian());
        }
        for (int k = 0; k < BEATS; k++) {
            int at = (int) (times()[k] * RATE);
            for (int i = 0; i < 40; i++) {
                out[at + i] += (float) random.nextGaussian();
            }
            int half = (int) (WINDOW * RATE);
            for (int i = rustling.contains(k) ? -half : half; i < half; i++) {
                out[at + i] += (float) (0.05 * random.nextGaussian());
            }
        }
        return CalmBeats.among(new Energies(out, RATE), times(), WINDOW);
    }

    private static double[] without(Set<Integer> some) {
        double[] times = times();
        return IntStream.range(0, BEATS)
                .filter(k -> !some.contains(k))
                .mapToDouble(k -> times[k])
                .toArray();
    }

    @Test
    void beatsWithARustleInThemAreLeftOut() {
        assertThat(calm(Set.of())).containsExactly(times());
        assertThat(calm(Set.of(3, 17, 18))).containsExactly(without(Set.of(3, 17, 18)));
    }

    @Test
    void inARoomThatRustlesMostOfTheTimeAllOfThemCount() {
        Set<Integer> most = Set.copyOf(IntStream.range(0, 30).boxed().toList());
        assertThat(calm(most)).containsExactly(times());
    }

    @Test
    void beatsBeyondTheRecordingSayNothingAndAreNoReasonToLeaveOthersOut() {
        Energies silence = new Energies(new float[(int) RATE], RATE);
        double[] beyond = {5, 6, 7};
        assertThat(CalmBeats.among(silence, beyond, WINDOW)).containsExactly(beyond);
        double[] half = {0.1, 0.3, 0.5, 0.7, 9};
        assertThat(CalmBeats.among(silence, half, WINDOW)).containsExactly(Arrays.copyOf(half, 4));
    }
}
