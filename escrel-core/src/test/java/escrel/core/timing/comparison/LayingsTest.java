package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LayingsTest {
    private static Reading reading(Source source, Measured rate, double amplitude, double beatError) {
        return new Reading(
                Position.DIAL_UP,
                rate,
                Measured.single(amplitude),
                Measured.single(beatError),
                null,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                source,
                Trace.CLEAN,
                "");
    }

    private static ReadingSet set(Source source, double... rates) {
        List<Reading> all = IntStream.range(0, rates.length)
                .mapToObj(i -> reading(source, Measured.single(rates[i]), 270 + 4 * i, 0.3))
                .toList();
        return set(all);
    }

    private static ReadingSet set(List<Reading> all) {
        ReadingSet single = ReadingSets.set(ReadingState.RUN_IN, Map.of(Position.DIAL_UP, all.get(all.size() - 1)));
        return new ReadingSet(
                single.state(),
                single.byPosition(),
                Map.of(Position.DIAL_UP, all),
                single.fitted(),
                single.wound(),
                null,
                single.chronograph(),
                null,
                1,
                0,
                0);
    }

    /** M10: pooled within watch, state and position. Of 0, 2, 4 the squares about 2 are 8, with two degrees of freedom. */
    @Test
    void repeatsOfSeveralWatchesAddUp() {
        Layings one = Layings.of(List.of(set(Source.TYPED, 0, 2, 4)));
        Layings other = Layings.of(List.of(set(Source.RECORDING, 5, 6), set(Source.IMPORTED, -3, -1)));

        assertThat(one.rate()).isEqualTo(new Layings.Figure(8, 2));
        assertThat(one.amplitude()).isEqualTo(new Layings.Figure(32, 2));
        assertThat(one.beatError()).isEqualTo(new Layings.Figure(0, 2));
        assertThat(one.plus(other).rate()).isEqualTo(new Layings.Figure(8 + 0.5 + 2, 4));
        assertThat(Layings.of(List.of(set(Source.TYPED, 0, 2, 4), set(Source.RECORDING, 5, 6))))
                .isEqualTo(one.plus(Layings.of(List.of(set(Source.RECORDING, 5, 6)))));
    }

    @Test
    void eachFigureIsOwnFromFiveRepeatsOn() {
        Layings four = new Layings(
                new Layings.Figure(4 * 0.81, 4), new Layings.Figure(5 * 4.0, 5), new Layings.Figure(0.045, 9));

        Repeatability hand = Repeatability.of(four);

        assertThat(hand.rateSecondsPerDay()).isEqualTo(1.5);
        assertThat(hand.amplitudeDegrees()).isCloseTo(2, within(1e-12));
        assertThat(hand.beatErrorMillis()).isCloseTo(Math.sqrt(0.005), within(1e-12));
    }

    @Test
    void simulatedReadingsRangesAndAWatchThatWandersSayNothingOfTheHand() {
        assertThat(Layings.of(List.of(set(Source.SIMULATED, 0, 2, 4)))).isEqualTo(Layings.NONE);
        // magnetised: 80 s/d between two readings is no way of laying a watch down; its amplitude is steady, though
        Layings wandering = Layings.of(List.of(set(Source.TYPED, -40, 40)));
        assertThat(wandering.rate()).isEqualTo(new Layings.Figure(0, 0));
        assertThat(wandering.amplitude()).isEqualTo(new Layings.Figure(8, 1));
        Reading range = reading(Source.TYPED, Measured.ofRange(-5, 5), 270, 0.3);
        assertThat(Layings.of(List.of(set(List.of(range, range)))).rate().freedom())
                .isZero();
        assertThat(Layings.of(List.of(set(Source.TYPED, 7)))).isEqualTo(Layings.NONE);
    }

    /** Exact figures of one clock, laid down with 1.5 s/d each: the limit lies at 2 · √(2 · 1.5²) = 4.24 s/d. */
    @Test
    void aChangeIsNearTheNoiseWithinHalfAStandardErrorOfItsLimit() {
        Map<Double, Boolean> near =
                Map.of(0.0, false, 3.1, false, 3.3, true, 4.24, true, 5.2, true, 5.4, false, 12.0, false);
        Difference.Yardstick yardstick =
                new Difference.Yardstick(1.5, rate -> Math.max(0, Math.abs(rate) - 1), 1, -3600, 3600);

        near.forEach((change, said) -> assertThat(Difference.of(
                                Measured.withStandardError(0, 0),
                                Measured.withStandardError(change, 0),
                                0,
                                0,
                                0,
                                yardstick)
                        .isNearTheNoise())
                .as("a change of %.2f s/d", change)
                .isEqualTo(said));
    }
}
