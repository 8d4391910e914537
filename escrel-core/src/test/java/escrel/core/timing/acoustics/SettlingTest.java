package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.LiftTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A reading is taken when nothing moves any more, over whole turns of the escape wheel. */
class SettlingTest {
    private static final BeatRate BEATS = BeatRate.of(18_000);
    private static final double TURN = Settling.turnSeconds(BEATS.beatSeconds(), 15);

    /** A reading whose rate and lift time go as given over the seconds. */
    private static SoundReading reading(
            double seconds, DoubleUnaryOperator aheadMillis, DoubleUnaryOperator liftMillis, List<String> doubts) {
        Random random = new Random(2);
        List<SoundReading.Beat> beats = new ArrayList<>();
        for (int k = 0; k * BEATS.beatSeconds() < seconds; k++) {
            double t = k * BEATS.beatSeconds();
            beats.add(new SoundReading.Beat(
                    k,
                    t - aheadMillis.applyAsDouble(t) / 1000 + 2e-5 * random.nextGaussian(),
                    liftMillis.applyAsDouble(t) + 0.02 * random.nextGaussian(),
                    true));
        }
        return new SoundReading(
                BEATS,
                1,
                LiftAngle.known(50),
                Measured.withStandardError(4, 0.2),
                Measured.withStandardError(260, 1),
                Measured.withStandardError(0.4, 0.02),
                new LiftTime(Measured.withStandardError(12, 0.02), Measured.withStandardError(0.4, 0.02)),
                beats.size(),
                0,
                0,
                25,
                seconds,
                List.of(),
                new SoundReading.AveragedBeat(0, 0.1, new double[0], new double[0], List.of()),
                beats,
                doubts,
                List.of());
    }

    private static Settling settling(double seconds, DoubleUnaryOperator ahead, DoubleUnaryOperator lift) {
        return Settling.of(reading(seconds, ahead, lift, List.of()), TURN);
    }

    @Test
    void steadyBeatsOverTwoTurnsAreSettled() {
        assertThat(settling(12, t -> 0.05 * t, t -> 12)).isEqualTo(new Settling(true, "settled"));
    }

    @Test
    void tooShortSaysHowLongItListens() {
        assertThat(settling(6, t -> 0, t -> 12).words()).isEqualTo("listening: 6 of 12 s");
    }

    @Test
    void aRateThatMovesIsWaitedFor() {
        // 40 s/d faster in the second half: 0.46 ms a second
        assertThat(settling(18, t -> t < 9 ? 0 : 0.46 * (t - 9), t -> 12).words())
                .isEqualTo("the rate still moves");
    }

    @Test
    void anAmplitudeThatDiesAwayIsWaitedFor() {
        assertThat(settling(18, t -> 0, t -> 12 - 0.8 * Math.exp(-t / 4)).words())
                .isEqualTo("the amplitude still moves");
    }

    @Test
    void aReadingInDoubtIsNotTakenByItself() {
        assertThat(Settling.of(reading(12, t -> 0, t -> 12, List.of("doubt")), TURN)
                        .settled())
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"5, 5", "6, 6", "11.9, 6", "12, 12", "25, 24"})
    void onlyWholeTurnsAreAnalysed(double heard, double used) {
        assertThat(Settling.wholeTurns(heard, TURN)).isCloseTo(used, within(1e-9));
    }

    @Test
    void unknownTeethCountAsFifteen() {
        assertThat(TURN).isEqualTo(6);
        assertThat(Settling.turnSeconds(0.2, 0)).isEqualTo(6);
    }

    @Test
    void stripJoinsOverlappingReadingsAndStaysBounded() {
        DriftStrip strip = new DriftStrip(BEATS.beatSeconds());
        SoundReading reading = reading(12, t -> 0.05 * t, t -> 12, List.of());
        for (int second = 0; second < 3_000; second += 4) {
            strip.add(reading, second);
        }

        assertThat(strip.points()).hasSize(DriftStrip.MOST);
        // each new stretch goes on with the slope of the old one: 0.05 ms a second, 4.3 s/d
        List<DriftStrip.Point> points = strip.points();
        DriftStrip.Point first = points.get(0);
        DriftStrip.Point last = points.get(points.size() - 1);
        assertThat(points).isSortedAccordingTo((a, b) -> Double.compare(a.seconds(), b.seconds()));
        assertThat(points.stream().filter(DriftStrip.Point::tock).count()).isBetween(1_150L, 1_250L);
        assertThat(last.seconds() - first.seconds()).isCloseTo(480, within(5.0));
        strip.startAgain();
        assertThat(strip.points()).isEmpty();
    }
}
