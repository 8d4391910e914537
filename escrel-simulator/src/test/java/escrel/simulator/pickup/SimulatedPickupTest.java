package escrel.simulator.pickup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.sound.Sound;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sound made with known rate, amplitude and beat error is found again by the analysis. */
class SimulatedPickupTest {
    private static final LiftAngle LIFT = LiftAngle.known(50);

    private static SoundReading hear(Swinging swinging, Room room, long seed) {
        Sound sound = new SimulatedPickup(44_100, seed).listen(swinging, room, 16);
        return BeatAnalyser.forBeatRate(swinging.beatRate(), LIFT).analyse(sound);
    }

    @ParameterizedTest
    @CsvSource({
        "14400, 0, 250, 0",
        "18000, 12, 270, 1",
        "18000, -200, 190, 6",
        "19800, 40, 220, -3",
        "21600, 5, 300, 0.5",
        "25200, -30, 240, 2",
        "28800, 3, 285, -0.6",
        "36000, -600, 260, 1.5"
    })
    void whatWasPutInIsFoundAgain(double beats, double rate, double amplitude, double offset) {
        Swinging swinging = new Swinging(BeatRate.of(beats), LIFT, rate, amplitude, offset, 0);

        SoundReading heard = hear(swinging, Room.QUIET, 7);

        assertThat(heard.rateSecondsPerDay().value()).isCloseTo(rate, within(0.5 + 0.001 * Math.abs(rate)));
        assertThat(heard.amplitudeDegrees().value()).isCloseTo(amplitude, within(3.0));
        assertThat(heard.beatErrorMillis().value()).isCloseTo(swinging.beatErrorMillis(), within(0.06));
    }

    @Test
    void equalSeedsGiveEqualSamples() {
        Swinging swinging = Swinging.steady(BeatRate.of(18_000), LIFT, 0, 250);

        assertThat(new SimulatedPickup(44_100, 3)
                        .listen(swinging, Room.QUIET, 5)
                        .samples())
                .isEqualTo(new SimulatedPickup(44_100, 3)
                        .listen(swinging, Room.QUIET, 5)
                        .samples());
    }

    /** A seeded set: the rate's interval of two standard errors holds the truth about as often as it says. */
    @Test
    void statedDoubtOfTheRateIsHonest() {
        Random random = new Random(4711);
        int inside = 0;
        int runs = 40;
        for (int i = 0; i < runs; i++) {
            double rate = 40 * random.nextGaussian();
            Swinging swinging = Swinging.steady(BeatRate.of(21_600), LIFT, rate, 230 + 60 * random.nextDouble());
            SoundReading heard = hear(swinging, Room.ofDecibels(22), 1000 + i);
            double off = Math.abs(heard.rateSecondsPerDay().value() - rate);
            inside += off < 2 * heard.rateSecondsPerDay().doubt() + 0.05 ? 1 : 0;
        }
        // 95 in 100 wanted; the escape wheel's pattern is not independent scatter, so a few may fall outside
        assertThat(inside).isGreaterThanOrEqualTo(34);
    }
}
