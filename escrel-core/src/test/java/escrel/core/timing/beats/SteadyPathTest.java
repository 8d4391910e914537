package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;

class SteadyPathTest {
    private static final int BEATS = 80;
    private static final int PLACES = 41;
    private static final double[] STEPS = {0.2, 1, 3};

    /** What noise of a size makes of every place, and a hill three places wide where the sound lies. */
    private static double[][] likelihood(IntUnaryOperator place, double height, double noise, long seed) {
        Random random = new Random(seed);
        double[][] out = new double[BEATS][PLACES];
        for (int k = 0; k < BEATS; k++) {
            for (int p = 0; p < PLACES; p++) {
                double off = (p - place.applyAsInt(k)) / 1.5;
                out[k][p] = height * Math.exp(-off * off / 2) + noise * random.nextGaussian();
            }
        }
        return out;
    }

    private static int[] gaps() {
        int[] gaps = new int[BEATS];
        Arrays.fill(gaps, 1);
        return gaps;
    }

    @Test
    void whatNoSingleBeatShowsItsNeighboursDo() {
        IntUnaryOperator still = k -> 17;
        double[][] like = likelihood(still, 2, 1, 7);

        long alone = Arrays.stream(like)
                .filter(beat -> {
                    int top = 0;
                    for (int p = 0; p < PLACES; p++) {
                        top = beat[p] > beat[top] ? p : top;
                    }
                    return Math.abs(top - 17) <= 2;
                })
                .count();
        assertThat(alone).isLessThan(BEATS * 8 / 10);
        assertThat(Arrays.stream(SteadyPath.through(like, gaps(), STEPS)).boxed())
                .allSatisfy(p -> assertThat(p).isBetween(16, 18));
    }

    @Test
    void aSwellingCourseIsFollowed() {
        IntUnaryOperator swelling = k -> (int) Math.round(20 + 12 * Math.sin(2 * Math.PI * k / 30));

        int[] path = SteadyPath.through(likelihood(swelling, 6, 1, 3), gaps(), STEPS);

        for (int k = 0; k < BEATS; k++) {
            assertThat(path[k]).isBetween(swelling.applyAsInt(k) - 2, swelling.applyAsInt(k) + 2);
        }
    }

    @Test
    void afterAJumpItGoesOnWhereTheSoundIs() {
        IntUnaryOperator jumping = k -> k < 33 ? 5 : 35;

        int[] path = SteadyPath.through(likelihood(jumping, 6, 1, 9), gaps(), STEPS);

        for (int k = 0; k < BEATS; k++) {
            assertThat(path[k]).isBetween(jumping.applyAsInt(k) - 2, jumping.applyAsInt(k) + 2);
        }
    }
}
