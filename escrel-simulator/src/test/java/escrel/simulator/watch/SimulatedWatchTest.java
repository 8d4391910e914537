package escrel.simulator.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.CompassTried.Follows;
import escrel.core.timing.readings.Position;
import escrel.core.timing.sound.Sound;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedWatchTest {
    private static final BeatRate BEATS = BeatRate.of(21_600);
    private static final LiftAngle LIFT = LiftAngle.known(52);

    private static Swinging swinging(SimulatedWatch watch, double hours) {
        return watch.swinging(BEATS, LIFT, Position.DIAL_UP, 90, hours);
    }

    @ParameterizedTest
    @EnumSource(SimulatedWatch.class)
    void everyWatchIsHeardAsItSwings(SimulatedWatch watch) {
        Swinging swinging = swinging(watch, 0);
        // past the settling, twenty seconds
        Sound sound = new SimulatedPickup(44_100, 5).listen(swinging, watch.room(), 20, 20);

        SoundReading heard = BeatAnalyser.recognising(LIFT).analyse(sound);

        assertThat(heard.beatRate()).isEqualTo(BEATS);
        assertThat(heard.rateSecondsPerDay().value())
                .isCloseTo(swinging.rateSecondsPerDay(), within(1 + swinging.wanderSecondsPerDay()));
        assertThat(heard.amplitudeDegrees().value()).isCloseTo(swinging.amplitudeDegrees(), within(4.0));
        assertThat(heard.beatErrorMillis().value()).isCloseTo(swinging.beatErrorMillis(), within(0.15));
    }

    @Test
    void pieceAfterPieceIsOneSound() {
        Swinging swinging = swinging(SimulatedWatch.HEALTHY, 0);
        SimulatedPickup pickup = new SimulatedPickup(22_050, 3);
        float[] whole = new float[(int) (22_050 * 12)];
        for (int piece = 0; piece < 12; piece++) {
            float[] part = pickup.listen(swinging, SimulatedWatch.HEALTHY.room(), 20 + piece, 1)
                    .samples();
            System.arraycopy(part, 0, whole, piece * 22_050, part.length);
        }

        SoundReading heard = BeatAnalyser.forBeatRate(BEATS, LIFT).analyse(new Sound(whole, 22_050));

        assertThat(heard.rateSecondsPerDay().value()).isCloseTo(swinging.rateSecondsPerDay(), within(1.0));
        assertThat(heard.beatsMissed()).isLessThan(5);
    }

    @Test
    void runsDownAndOnlyTheMagnetisedOneMovesTheNeedle() {
        assertThat(swinging(SimulatedWatch.HEALTHY, 24).amplitudeDegrees())
                .isLessThan(swinging(SimulatedWatch.HEALTHY, 0).amplitudeDegrees() - 30);
        assertThat(SimulatedWatch.values())
                .filteredOn(w -> w.compass() != Follows.NOT)
                .containsExactly(SimulatedWatch.MAGNETISED);
    }
}
