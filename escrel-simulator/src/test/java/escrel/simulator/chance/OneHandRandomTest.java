package escrel.simulator.chance;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The same numbers as the platform's own, in whatever order they are asked for. */
class OneHandRandomTest {
    @ParameterizedTest
    @ValueSource(longs = {0, 1, -1, 4_711, Long.MAX_VALUE, Long.MIN_VALUE, 0x5DEECE66DL})
    void drawsWhatThePlatformDraws(long seed) {
        Random platform = new Random(seed);
        Random ours = new OneHandRandom(seed);
        Random which = new Random(seed + 1);
        for (int i = 0; i < 20_000; i++) {
            switch (which.nextInt(9)) {
                case 0 -> assertThat(ours.nextDouble()).isEqualTo(platform.nextDouble());
                case 1 -> assertThat(ours.nextInt(7)).isEqualTo(platform.nextInt(7));
                case 2 -> assertThat(ours.nextBoolean()).isEqualTo(platform.nextBoolean());
                case 3 -> assertThat(ours.nextLong()).isEqualTo(platform.nextLong());
                case 4 -> assertThat(ours.nextFloat()).isEqualTo(platform.nextFloat());
                case 5 -> assertThat(ours.nextInt()).isEqualTo(platform.nextInt());
                case 6 -> assertThat(ours.nextDouble(-3, 9)).isEqualTo(platform.nextDouble(-3, 9));
                case 7 -> again(seed + i, ours, platform);
                default -> assertThat(ours.nextGaussian()).isEqualTo(platform.nextGaussian());
            }
        }
    }

    /** Begun anew now and then; half a pair of Gaussian numbers is forgotten then. */
    private static void again(long seed, Random ours, Random platform) {
        if (seed % 50 == 0) {
            ours.setSeed(seed);
            platform.setSeed(seed);
        }
    }
}
