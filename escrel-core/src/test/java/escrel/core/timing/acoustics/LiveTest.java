package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Level;
import escrel.core.timing.sound.LiveSound;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.Sounds;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sound as it comes in: what is kept, how loud it is, and pulses of known rate. */
class LiveTest {
    @Test
    void keepsTheLastStretchHoweverLongItListens() {
        LiveSound live = new LiveSound(1_000, 2);
        float[] piece = new float[700];
        for (int i = 0; i < 100; i++) {
            for (int k = 0; k < piece.length; k++) {
                piece[k] = (i * 700 + k) % 1_000_003;
            }
            live.add(piece);
        }

        assertThat(live.seconds()).isEqualTo(70);
        assertThat(live.latest(1).samples()).hasSize(1_000).startsWith(69_000f).endsWith(69_999f);
        assertThat(live.latest(60).seconds()).isEqualTo(2);
        assertThat(live.secondsBefore(1)).isEqualTo(69);
        live.startAgain();
        assertThat(live.seconds()).isZero();
        assertThat(live.latest(1).samples()).isEmpty();
        assertThatThrownBy(() -> new LiveSound(0, 2)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"0, -120, silent", "0.0001, -80, too faint", "0.1, -20, ''", "1, 0, too loud"})
    void levelIsSaidInDecibelsAndWords(float peak, double decibels, String words) {
        Level level = Level.of(new float[] {peak, -peak, peak, 0});

        assertThat(level.peakDecibels()).isCloseTo(decibels, within(0.1));
        assertThat(level.words()).startsWith(words).hasSizeGreaterThanOrEqualTo(words.length());
        assertThat(level.words().isEmpty()).isEqualTo(words.isEmpty());
    }

    private static Sound pulses(double period, double seconds, double noise) {
        Random random = new Random(4);
        double rate = 22_050;
        float[] out = new float[(int) (seconds * rate)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (noise * random.nextGaussian());
        }
        for (double at = 0.3; at < seconds - 0.1; at += period) {
            int from = (int) Math.ceil(at * rate);
            for (int i = from; i < from + 300; i++) {
                double t = i / rate - at;
                out[i] += (float) (0.5 * Math.exp(-t / 0.003) * Math.sin(2 * Math.PI * 2_000 * t));
            }
        }
        return new Sound(out, rate);
    }

    /** A device whose clock runs 40 ppm fast hears a second last 40 µs longer: 3.456 s/d slow. */
    @ParameterizedTest
    @CsvSource({"40, 0.001", "-120, 0.001", "0, 0.01"})
    void pulsesOfAQuartzClockGiveTheDevicesClock(double ppm, double noise) {
        assertThat(PulseSignal.rate(pulses(1 + ppm * 1e-6, 90, noise), 1).value())
                .isCloseTo(-0.0864 * ppm, within(0.25));
    }

    @Test
    void noPulsesAreRefused() {
        assertThatThrownBy(() -> PulseSignal.rate(Sounds.noise(60, 3), 1)).isInstanceOf(NoCredibleBeatException.class);
        assertThatThrownBy(() -> PulseSignal.rate(pulses(1, 8, 0.001), 1))
                .isInstanceOf(NoCredibleBeatException.class)
                .hasMessageContaining("8 s");
        assertThatThrownBy(() -> PulseSignal.rate(pulses(1, 60, 0), 0.2)).isInstanceOf(IllegalArgumentException.class);
    }
}
