package escrel.simulator.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.readings.Position;
import org.junit.jupiter.api.Test;

class ConditionTest {
    private final Condition poised = new Condition(270, 30, 4, 6, 0, 0, 0, 0, 0, 0);

    @Test
    void swingsLowerOnEdgeAndDialDown() {
        assertThat(poised.amplitude(Position.DIAL_UP)).isEqualTo(270);
        assertThat(poised.amplitude(Position.DIAL_DOWN)).isEqualTo(266);
        assertThat(poised.amplitude(Position.CROWN_LEFT)).isLessThan(250);
    }

    @Test
    void poisedBalanceRunsAlikeOnEveryEdge() {
        assertThat(poised.rate(Position.CROWN_UP, 90)).isEqualTo(poised.rate(Position.CROWN_LEFT, 90));
    }

    /** M7: below 219.5° a spot that lies low at rest makes it gain; above it lose. */
    @Test
    void heavySpotChangesItsSignWithTheAmplitude() {
        // crown at 3, crown down: gravity pulls towards 90°; the spot lies there too
        Condition low = new Condition(210, 30, 0, 0, 0, 200, 90, 0, 0, 0);
        Condition high = new Condition(300, 30, 0, 0, 0, 200, 90, 0, 0, 0);

        assertThat(low.rate(Position.CROWN_DOWN, 90)).isPositive();
        assertThat(high.rate(Position.CROWN_DOWN, 90)).isNegative();
        // J₁(A)/A at 180° is 0.09060, and 177° is close by
        assertThat(low.rate(Position.CROWN_DOWN, 90)).isCloseTo(200 * 0.0975, within(0.5));
    }
}
