package escrel.core.timing.sound;

import java.util.Arrays;
import java.util.Random;

/** Sounds without a watch in them, and tools to spoil sounds. */
public final class Sounds {
    public static final double RATE = 44_100;

    private Sounds() {}

    public static Sound silence(double seconds) {
        return new Sound(new float[(int) (seconds * RATE)], RATE);
    }

    public static Sound noise(double seconds, long seed) {
        Random random = new Random(seed);
        Sound sound = silence(seconds);
        for (int i = 0; i < sound.samples().length; i++) {
            sound.samples()[i] = (float) (0.1 * random.nextGaussian());
        }
        return sound;
    }

    public static Sound hum(double seconds, double hertz) {
        Sound sound = silence(seconds);
        for (int i = 0; i < sound.samples().length; i++) {
            sound.samples()[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / RATE));
        }
        return sound;
    }

    public static Sound times(Sound sound, float factor) {
        float[] out = sound.samples().clone();
        for (int i = 0; i < out.length; i++) {
            out[i] *= factor;
        }
        return new Sound(out, sound.sampleRate());
    }

    public static Sound from(Sound sound, double seconds) {
        int skip = (int) (seconds * sound.sampleRate());
        float[] out = Arrays.copyOfRange(sound.samples(), skip, sound.samples().length);
        return new Sound(out, sound.sampleRate());
    }
}
