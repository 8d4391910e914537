package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** M5, each figure by its plain definition. */
class PositionFiguresTest {
    // DU 6, DD 4, CU −5, CD 19, CL 1, CR 13
    private final PositionFigures all =
            PositionFigures.of(ReadingSets.rates(ReadingState.FINAL_CASED, 6, 4, -5, 19, 1, 13));

    @Test
    void meansAndDifferences() {
        assertThat(all.meanRate().getAsDouble()).isCloseTo(38 / 6.0, within(1e-12));
        assertThat(all.horizontalRate()).hasValue(5);
        assertThat(all.verticalRate()).hasValue(7);
        assertThat(all.verticalLessHorizontal()).hasValue(2);
        assertThat(all.dialUpLessDialDownRate()).hasValue(2);
        assertThat(all.amplitudeDrop()).hasValue(30);
        assertThat(all.lowestAmplitude()).hasValue(240);
        assertThat(all.missing()).isEmpty();
    }

    @Test
    void spreadNamesThePairThatMakesIt() {
        assertThat(all.spread()).hasValue(new PositionFigures.Spread(24, Position.CROWN_DOWN, Position.CROWN_UP));
    }

    @Test
    void asItIsWorn() {
        // 0.3·6 + 0.1·4 + 0.1·(−5) + 0.2·19 + 0.2·1 + 0.1·13 over 1.0
        assertThat(all.wornRate(PositionFigures.WRIST).getAsDouble()).isCloseTo(7.0, within(1e-12));
        // 0.6·(−5) + 0.2·6 + 0.2·4
        assertThat(all.wornRate(PositionFigures.POCKET).getAsDouble()).isCloseTo(-1.0, within(1e-12));
    }

    @Test
    void missingPositionsAreNamedAndNeverFilledIn() {
        PositionFigures two = PositionFigures.of(ReadingSets.rates(ReadingState.FINAL_CASED, 6, 4));

        assertThat(two.missing())
                .containsExactly(Position.CROWN_UP, Position.CROWN_DOWN, Position.CROWN_LEFT, Position.CROWN_RIGHT);
        assertThat(two.verticalRate()).isEmpty();
        assertThat(two.verticalLessHorizontal()).isEmpty();
        assertThat(two.wornRate(PositionFigures.WRIST)).isEmpty();
    }

    @Test
    void nothingReadGivesNothing() {
        PositionFigures none = PositionFigures.of(ReadingSets.rates(ReadingState.FINAL_CASED));

        assertThat(none.meanRate()).isEmpty();
        assertThat(none.spread()).isEmpty();
        assertThat(none.largestBeatError()).isEmpty();
    }

    /** "Above 300" in one position says nothing of a mean. */
    @Test
    void boundsEnterNoMean() {
        Reading up = ReadingSets.reading(Position.DIAL_UP, Measured.single(4), 270);
        Reading down = new Reading(
                Position.DIAL_DOWN,
                Measured.single(6),
                Measured.above(300),
                Measured.below(1),
                null,
                up.liftAngle(),
                up.beatRate(),
                up.source(),
                up.trace(),
                "");

        PositionFigures figures = PositionFigures.of(
                ReadingSets.set(ReadingState.AS_RECEIVED, Map.of(Position.DIAL_UP, up, Position.DIAL_DOWN, down)));

        assertThat(figures.meanRate()).hasValue(5);
        assertThat(figures.meanAmplitude()).hasValue(270);
        assertThat(figures.largestBeatError()).hasValue(0.4);
    }
}
