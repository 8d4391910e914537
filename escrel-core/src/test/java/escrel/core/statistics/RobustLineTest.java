package escrel.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class RobustLineTest {
    private static final int BEATS = 120;
    private static final double BEAT = 0.125;

    private final int[] numbers = new int[BEATS];
    private final double[] times = new double[BEATS];

    /** Beats on a line, tocks a little late. */
    private void beats(double late) {
        for (int i = 0; i < BEATS; i++) {
            numbers[i] = i;
            times[i] = 0.3 + BEAT * i + ((i & 1) == 1 ? late : 0);
        }
    }

    @Test
    void exactLineIsFoundWithInterceptsOfTheirOwn() {
        beats(0.0021);

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.slope()).isCloseTo(BEAT, within(1e-12));
        assertThat(line.intercept(0)).isCloseTo(0.3, within(1e-9));
        assertThat(line.intercept(1)).isCloseTo(0.3021, within(1e-9));
        assertThat(line.at(7)).isCloseTo(times[7], within(1e-9));
    }

    @Test
    void outliersAreRejectedAndDoNotMoveTheLine() {
        beats(0);
        Random random = new Random(3);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 20e-6 * random.nextGaussian();
        }
        for (int i = 5; i < BEATS; i += 10) {
            times[i] += 0.004;
        }

        RobustLine line = RobustLine.fit(numbers, times);

        // 20 µs of scatter over 108 beats leave 0.06 µs a beat
        assertThat(line.slope()).isCloseTo(BEAT, within(3e-7));
        assertThat(line.sigma()).isCloseTo(20e-6, within(8e-6));
        for (int i = 5; i < BEATS; i += 10) {
            assertThat(line.rejects(i)).isTrue();
        }
    }

    @Test
    void missedBeatsKeepTheirNumber() {
        beats(0.001);
        for (int i = 20; i < 40; i++) {
            times[i] = Double.NaN;
        }

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.slope()).isCloseTo(BEAT, within(1e-12));
        assertThat(line.rejects(25)).isTrue();
        assertThat(line.residuals()[25]).isNaN();
    }

    @Test
    void shiftAndScalePassThrough() {
        beats(0.0005);
        RobustLine as = RobustLine.fit(numbers, times);
        double[] moved = new double[BEATS];
        for (int i = 0; i < BEATS; i++) {
            moved[i] = 10 + 2 * times[i];
        }

        RobustLine line = RobustLine.fit(numbers, moved);

        assertThat(line.slope()).isCloseTo(2 * as.slope(), within(1e-9));
        assertThat(line.intercept(1) - line.intercept(0)).isCloseTo(0.001, within(1e-9));
    }

    @Test
    void whereSoundWasLostTheLineIsTakenUpAgainAfterIt() {
        beats(0.001);
        Random random = new Random(5);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 20e-6 * random.nextGaussian() - (i < 40 ? 0 : 0.0027) - (i < 90 ? 0 : 0.0027);
        }

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.steps()).hasSize(2);
        assertThat(line.steps().get(0).index()).isBetween(39, 41);
        assertThat(line.steps().get(1).index()).isBetween(89, 91);
        assertThat(line.steps()).allSatisfy(s -> assertThat(s.seconds()).isCloseTo(-0.0027, within(30e-6)));
        // a plain line through all would be off by 45 µs a beat: 31 s/d
        assertThat(line.slope()).isCloseTo(BEAT, within(1e-6));
    }

    @Test
    void whatWandersIsNoStepAndNothingOfItIsRejected() {
        beats(0);
        Random random = new Random(6);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 20e-6 * random.nextGaussian() + 0.0008 * Math.sin(2 * Math.PI * i / 80.0);
        }

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.steps()).isEmpty();
        assertThat(java.util.stream.IntStream.range(0, BEATS).filter(line::rejects))
                .hasSizeLessThan(4);
        // a swing of 80 beats bends away from its running line by 15 µs
        assertThat(line.sigma()).isBetween(15e-6, 40e-6);
    }

    @Test
    void itsErrorIsThatOfIndependentBeatsWhereTheyAreIndependent() {
        double sum = 0;
        double stated = 0;
        for (int seed = 0; seed < 60; seed++) {
            beats(0);
            Random random = new Random(seed);
            for (int i = 0; i < BEATS; i++) {
                times[i] += 20e-6 * random.nextGaussian();
            }
            RobustLine line = RobustLine.fit(numbers, times);
            sum += (line.slope() - BEAT) * (line.slope() - BEAT) / 60;
            stated += line.slopeError() / 60;
        }

        // M2: σ √12 / N^1.5
        double expected = 20e-6 * Math.sqrt(12) / Math.pow(BEATS, 1.5);
        assertThat(Math.sqrt(sum)).isCloseTo(expected, within(0.25 * expected));
        assertThat(stated).isBetween(expected * 0.9, expected * 1.4);
    }

    @Test
    void whatErrsAlikeOverManyBeatsCountsForMore() {
        beats(0);
        double drift = 0;
        Random random = new Random(8);
        for (int i = 0; i < BEATS; i++) {
            drift = 0.95 * drift + 20e-6 * random.nextGaussian();
            times[i] += drift;
        }

        double independent = 20e-6 * Math.sqrt(12) / Math.pow(BEATS, 1.5);
        assertThat(RobustLine.fit(numbers, times).slopeError()).isGreaterThan(3 * independent);
    }

    @Test
    void aFewBeatsBeforeAStepDoNotSpeakForTickAndTockOfAll() {
        beats(0.0003);
        Random random = new Random(11);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 10e-6 * random.nextGaussian();
            // a knock at the beginning: ticks early, tocks late, all before a jump
            times[i] += i < 6 ? ((i & 1) == 1 ? 0.010 : 0.003) : 0;
        }

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.intercept(1) - line.intercept(0)).isCloseTo(0.0003, within(20e-6));
    }

    @Test
    void twoLossesSoonAfterEachOtherAreTwoSteps() {
        beats(-0.0013);
        Random random = new Random(12);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 15e-6 * random.nextGaussian() - (i >= 47 ? 0.0036 : 0) - (i >= 59 ? 0.0040 : 0);
        }
        // the beats in which sound was lost are misheard themselves
        times[58] -= 0.0026;
        times[59] += 0.0004;

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.steps()).hasSize(2);
        assertThat(line.steps().get(0).index()).isBetween(46, 48);
        assertThat(line.steps().get(1).index()).isBetween(58, 60);
        assertThat(line.steps().get(0).seconds()).isCloseTo(-0.0036, within(30e-6));
        assertThat(line.steps().get(1).seconds()).isCloseTo(-0.0040, within(30e-6));
        assertThat(line.slope()).isCloseTo(BEAT, within(1e-6));
    }

    @Test
    void itsErrorKnowsThatPiecesBetweenStepsAreShort() {
        Random random = new Random(13);
        double squares = 0;
        double stated = 0;
        int rounds = 200;
        for (int round = 0; round < rounds; round++) {
            beats(0);
            for (int i = 0; i < BEATS; i++) {
                times[i] += 30e-6 * random.nextGaussian() - (i >= 40 ? 0.004 : 0) - (i >= 80 ? 0.003 : 0);
            }
            RobustLine line = RobustLine.fit(numbers, times);
            squares += Math.pow(line.slope() - BEAT, 2) / rounds;
            stated += line.slopeError() / rounds;
        }

        // least squares over three pieces of 40 beats: σ √12 / √(3 · 40³)
        double expected = 30e-6 * Math.sqrt(12) / Math.sqrt(3 * Math.pow(40, 3));
        assertThat(Math.sqrt(squares)).isCloseTo(expected, within(0.15 * expected));
        assertThat(stated).isCloseTo(expected, within(0.25 * expected));
    }

    /** A loss of half a beat bends the first line so much that one of 1.6 ms hides in it. */
    @Test
    void aSmallLossIsFoundBesideALargeOne() {
        beats(0.0007);
        Random random = new Random(14);
        for (int i = 0; i < BEATS; i++) {
            times[i] += 45e-6 * random.nextGaussian() - (i >= 33 ? 0.0017 : 0) - (i >= 76 ? 0.055 : 0);
        }
        times[76] += 0.008;

        RobustLine line = RobustLine.fit(numbers, times);

        assertThat(line.steps()).hasSize(2);
        assertThat(line.slope()).isCloseTo(BEAT, within(2e-6));
    }

    @Test
    void twoSmallLossesSixBeatsApartAreTwoSteps() {
        for (int seed = 0; seed < 20; seed++) {
            beats(0.0007);
            Random random = new Random(seed);
            for (int i = 0; i < BEATS; i++) {
                times[i] += 40e-6 * random.nextGaussian() - (i >= 48 ? 0.00105 : 0) - (i >= 54 ? 0.0010 : 0);
            }

            RobustLine line = RobustLine.fit(numbers, times);

            assertThat(line.steps()).as("seed %d", seed).hasSize(2);
            // the beat beside a loss may go either way
            assertThat(line.steps().get(0).index()).isBetween(47, 49);
            assertThat(line.steps().get(1).index()).isBetween(53, 55);
            assertThat(line.slope()).isCloseTo(BEAT, within(1.5e-6));
        }
    }

    @Test
    void beatsMisheardHereAndThereAreNoSteps() {
        int taken = 0;
        for (int seed = 0; seed < 200; seed++) {
            beats(0.0007);
            Random random = new Random(seed);
            for (int i = 0; i < BEATS; i++) {
                boolean misheard = random.nextInt(12) == 0;
                times[i] += 40e-6 * random.nextGaussian() + (misheard ? 0.004 * (random.nextDouble() - 0.3) : 0);
            }
            taken += RobustLine.fit(numbers, times).steps().isEmpty() ? 0 : 1;
        }

        // two or three misheard ones beside each other look like one
        assertThat(taken).isLessThanOrEqualTo(4);
    }

    @Test
    void ofThreeLossesTheSmallestIsFoundBesideOneOfFifteenTimesItsSize() {
        for (int seed = 0; seed < 20; seed++) {
            beats(-0.0019);
            Random random = new Random(seed);
            for (int i = 0; i < BEATS; i++) {
                times[i] += 30e-6 * random.nextGaussian()
                        - (i >= 48 ? 0.0200 : 0)
                        - (i >= 83 ? 0.0037 : 0)
                        - (i >= 101 ? 0.0013 : 0);
            }
            times[47] -= 0.0001;

            RobustLine line = RobustLine.fit(numbers, times);

            assertThat(line.steps()).as("seed %d", seed).hasSize(3);
            assertThat(line.steps().get(2).seconds()).isCloseTo(-0.0013, within(40e-6));
            assertThat(line.slope()).isCloseTo(BEAT, within(1.5e-6));
        }
    }
}
