package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LostSoundTest {
    private static final double BLOCK = Envelope.BLOCK_SECONDS;
    private static final double PERIOD = 0.4;
    private static final double SECONDS = 24;

    /** Ticks and tocks of 6 ms, tocks a little softer and 3 ms late, from some times on earlier by what was lost. */
    private static Envelope envelope(double... fromAndLost) {
        double[] values = new double[(int) (SECONDS / BLOCK)];
        Random random = new Random(4);
        for (int i = 0; i < values.length; i++) {
            values[i] = Math.max(0, random.nextGaussian());
        }
        for (int beat = 0; beat < 2 * SECONDS / PERIOD + 4; beat++) {
            double time = 0.11 + beat * PERIOD / 2 + (beat % 2 == 1 ? 0.003 : 0);
            double lost = 0;
            for (int k = 0; k < fromAndLost.length; k += 2) {
                lost += time > fromAndLost[k] ? fromAndLost[k + 1] : 0;
            }
            int at = (int) Math.round((time - lost) / BLOCK);
            for (int i = at; i < at + 12 && i < values.length; i++) {
                values[i] += beat % 2 == 1 ? 4 : 5;
            }
        }
        return new Envelope(values, BLOCK);
    }

    @Test
    void aSteadyWatchHasLostNothing() {
        assertThat(LostSound.in(envelope(), PERIOD)).isSameAs(LostSound.Shifts.NONE);
        // a slow rate is none either: 60 s/d are 17 ms over 24 s, a little in every block
        assertThat(LostSound.in(envelope(), PERIOD * (1 + 60 / 86_400.0))).isSameAs(LostSound.Shifts.NONE);
    }

    @Test
    void noiseHasNoJumps() {
        double[] values = new double[48_000];
        Random random = new Random(9);
        for (int i = 0; i < values.length; i++) {
            values[i] = Math.max(0, random.nextGaussian());
        }
        assertThat(LostSound.in(new Envelope(values, BLOCK), PERIOD)).isSameAs(LostSound.Shifts.NONE);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.014, 0.027, 0.060, 0.095})
    void whatFollowsALossComesEarlierByIt(double lost) {
        LostSound.Shifts shifts = LostSound.in(envelope(10, lost), PERIOD);

        assertThat(shifts.at(3)).isEqualTo(0);
        assertThat(shifts.at(20)).isCloseTo(-lost, within(0.0025));
    }

    /** A loss of 150 ms of a beat of 200 looks like 50 ms too many: the beats are found, ticks as tocks. */
    @Test
    void ofMoreThanHalfABeatTheBeatsAreFoundAllTheSame() {
        assertThat(LostSound.in(envelope(10, 0.150), PERIOD).at(20)).isCloseTo(0.050, within(0.0025));
    }

    /** Three losses of 90 ms are more than a beat together: each goes on from the one before. */
    @Test
    void lossesAddUpBeyondABeat() {
        LostSound.Shifts shifts = LostSound.in(envelope(6, 0.09, 12, 0.09, 18, 0.09), PERIOD);

        assertThat(shifts.at(9)).isCloseTo(-0.09, within(0.0025));
        assertThat(shifts.at(15)).isCloseTo(-0.18, within(0.0025));
        assertThat(shifts.at(23)).isCloseTo(-0.27, within(0.0025));
        assertThat(shifts.largest()).isCloseTo(0.27, within(0.0025));
    }

    /** What is lost adds up to more than a block: a time by a steady period is still looked up where it is heard. */
    @Test
    void heardAndSteadyTimesAreEachOthersInverse() {
        double[] losses = new double[20];
        for (int k = 0; k < losses.length; k += 2) {
            losses[k] = 2 + 2.1 * k / 2;
            losses[k + 1] = 0.09;
        }
        LostSound.Shifts shifts = LostSound.in(envelope(losses), PERIOD);

        assertThat(shifts.largest()).as("more than a block of 0.8 s").isGreaterThan(0.8);
        int fitting = 0;
        for (double heard = 0.05; heard < SECONDS - 1; heard += 0.1) {
            fitting += Math.abs(shifts.heard(shifts.steady(heard)) - heard) < 1e-9 ? 1 : 0;
        }
        // what lies just where sound is missing is heard on one side of it only
        assertThat(fitting).isGreaterThan(210);
    }
}
