package escrel.core.timing.beats;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.Sounds;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ChannelsTest {
    private static final double RATE = 44_100;

    /** Two bursts five milliseconds apart, six times a second, in a little noise. */
    private static Sound beating() {
        Random random = new Random(8);
        float[] out = new float[(int) (12 * RATE)];
        for (int i = 0; i < out.length; i++) {
            double inBeat = (i / RATE) % (1.0 / 6);
            boolean sounds = inBeat < 0.002 || inBeat > 0.005 && inBeat < 0.007;
            out[i] = (float) ((sounds ? 0.05 : 0.002) * random.nextGaussian());
        }
        return new Sound(out, RATE);
    }

    @Test
    void anOpenInputFarLouderIsNotTaken() {
        Sound beats = beating();
        Sound hiss = Sounds.times(Sounds.noise(12, 3), 5);

        assertThat(Channels.beating(List.of(hiss, beats))).isSameAs(beats);
        assertThat(Channels.beating(List.of(beats, hiss))).isSameAs(beats);
    }

    @Test
    void theFirstOfTwoAlikeAndTheOnlyOneAreTaken() {
        Sound beats = beating();
        Sound copy = new Sound(beats.samples().clone(), RATE);

        assertThat(Channels.beating(List.of(beats, copy))).isSameAs(beats);
        assertThat(Channels.beating(List.of(copy))).isSameAs(copy);
    }
}
