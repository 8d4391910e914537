package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.Sounds;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HighPassTest {
    private static final double CORNER = 1200;

    private static double loudest(float[] samples) {
        double top = 0;
        for (int i = samples.length / 2; i < samples.length; i++) {
            top = Math.max(top, Math.abs(samples[i]));
        }
        return top;
    }

    /** |H| of a fourth-order Butterworth high-pass: 1/√(1 + (fc/f)⁸), frequencies warped by the bilinear transform. */
    @ParameterizedTest
    @CsvSource({"600", "1200", "2400", "6000"})
    void followsItsFormula(double hertz) {
        double warped = Math.tan(Math.PI * CORNER / Sounds.RATE) / Math.tan(Math.PI * hertz / Sounds.RATE);
        double expected = 0.5 / Math.sqrt(1 + Math.pow(warped, 8));

        assertThat(loudest(HighPass.apply(Sounds.hum(1, hertz), CORNER))).isCloseTo(expected, within(0.01));
    }

    @Test
    void humAndOffsetAreGone() {
        Sound hum = Sounds.hum(1, 50);
        for (int i = 0; i < hum.samples().length; i++) {
            hum.samples()[i] += 0.3f;
        }

        assertThat(loudest(HighPass.apply(hum, CORNER))).isLessThan(1e-5);
    }

    @Test
    void nothingComesBeforeItsCause() {
        Sound click = Sounds.silence(0.1);
        click.samples()[2000] = 1;

        float[] out = HighPass.apply(click, CORNER);

        for (int i = 0; i < 2000; i++) {
            assertThat(out[i]).isZero();
        }
        assertThat(out[2000]).isGreaterThan(0.5f);
    }

    /** However many samples there are, the last of them too is what it is in a longer sound. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4_410, 4_411})
    void whatFollowsChangesNothing(int count) {
        Sound hum = Sounds.hum(0.2, 2_400);
        Sound shorter = new Sound(Arrays.copyOf(hum.samples(), count), hum.sampleRate());

        assertThat(HighPass.apply(shorter, CORNER)).isEqualTo(Arrays.copyOf(HighPass.apply(hum, CORNER), count));
    }
}
