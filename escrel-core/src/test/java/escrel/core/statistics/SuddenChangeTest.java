package escrel.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SuddenChangeTest {
    private static final double LEAST = 650e-6;

    /** Beats scattered by 30 µs; from one on all come later. */
    private static double[] later(int from, double seconds, long seed) {
        Random random = new Random(seed);
        return IntStream.range(0, 200)
                .mapToDouble(i -> 30e-6 * random.nextGaussian() + (i >= from ? seconds : 0))
                .toArray();
    }

    @RepeatedTest(20)
    void changeIsFoundWhereItIs(RepetitionInfo run) {
        int from = 9 * run.getCurrentRepetition();

        assertThat(SuddenChange.in(later(from, -2.7e-3, from), LEAST, List.of()))
                .isEqualTo(from);
    }

    @Test
    void whatWandersAndWhatScattersIsNone() {
        double[] wanders = later(0, 0, 7);
        for (int i = 0; i < wanders.length; i++) {
            wanders[i] += 2e-3 * Math.sin(i / 30.0);
        }

        assertThat(SuddenChange.in(wanders, LEAST, List.of())).isEqualTo(-1);
        assertThat(SuddenChange.in(later(0, 0, 8), LEAST, List.of())).isEqualTo(-1);
    }

    @Test
    void smallOneIsFoundWhereSmallOnesAreLookedFor() {
        double[] values = later(100, 500e-6, 3);

        assertThat(SuddenChange.in(values, LEAST, List.of())).isEqualTo(-1);
        assertThat(SuddenChange.in(values, 300e-6, List.of())).isEqualTo(100);
    }

    /** What is passed over unread rests on this: lines through eight values end within four spans of each other. */
    @RepeatedTest(8)
    void linesThroughValuesCloseTogetherDifferLittle(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        double power = run.getCurrentRepetition();
        for (int row = 0; row < 5_000; row++) {
            // from evenly spread to nearly all at the ends, where slopes are steepest
            double[] values = IntStream.range(0, 16)
                    .mapToDouble(i -> Math.pow(random.nextDouble(), power) * (random.nextBoolean() ? 1 : -1))
                    .toArray();
            Arrays.sort(values, 0, random.nextInt(17));
            double span = Arrays.stream(values).max().orElseThrow()
                    - Arrays.stream(values).min().orElseThrow();

            double before = RunningLine.Part.of(values, 0, 8).at(7.5);
            double after = RunningLine.Part.of(values, 8, 16).at(7.5);

            assertThat(Math.abs(after - before)).isLessThanOrEqualTo(4 * span);
        }
    }
}
