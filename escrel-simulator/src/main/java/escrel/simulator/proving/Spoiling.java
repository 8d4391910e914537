package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import escrel.core.timing.sound.Sound;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** The difficulties that lie not in the movement but on the way from it into the file. */
final class Spoiling {
    private Spoiling() {}

    /** Lays another watch under this one. */
    static String add(Difficulty difficulty, float[] out, double sampleRate, double[] drops, Random random) {
        if (difficulty != Difficulty.NEIGHBOUR) {
            return "";
        }
        double decibels = 14 + 14 * random.nextDouble();
        BeatRate beatRate = BeatRate.USUAL.get(random.nextInt(BeatRate.USUAL.size()));
        float[] other = Trials.alone(random, sampleRate, out.length / sampleRate + 0.1, beatRate);
        double part = Math.pow(10, -decibels / 20) * rms(out) / rms(other);
        for (int i = 0; i < out.length; i++) {
            out[i] += (float) (part * other[i]);
        }
        return ", neighbour of %.0f %.0f dB weaker".formatted(beatRate.beatsPerHour(), decibels);
    }

    /** Louder and softer from one sample to the next, one to three times. */
    static String jump(Difficulty difficulty, float[] out, Random random) {
        if (difficulty != Difficulty.LOUDNESS_JUMPS) {
            return "";
        }
        int jumps = 1 + random.nextInt(3);
        double[] at = new double[jumps];
        for (int j = 0; j < jumps; j++) {
            at[j] = (0.1 + 0.8 * random.nextDouble()) * out.length;
        }
        Arrays.sort(at);
        double gain = 1;
        int next = 0;
        for (int i = 0; i < out.length; i++) {
            if (next < jumps && i >= at[next]) {
                double decibels = (random.nextBoolean() ? 1 : -1) * (4 + 14 * random.nextDouble());
                gain = Math.pow(10, decibels / 20);
                next++;
            }
            out[i] *= (float) gain;
        }
        return ", loudness jumps %d times".formatted(jumps);
    }

    /** Without some milliseconds of it, once or twice. */
    static float[] lose(float[] out, double sampleRate, Random random) {
        float[] left = out;
        int times = 1 + random.nextInt(3);
        for (int t = 0; t < times; t++) {
            // from a buffer of a sound device to what a busy browser loses
            int lost = (int) (0.001 * Math.pow(60, random.nextDouble()) * sampleRate);
            int at = (int) ((0.15 + 0.7 * random.nextDouble()) * left.length);
            float[] shorter = Arrays.copyOf(left, left.length - lost);
            System.arraycopy(left, at + lost, shorter, at, left.length - lost - at);
            left = shorter;
        }
        return left;
    }

    /** One channel, or two of which one is an open input. */
    static List<Sound> channels(Difficulty difficulty, Sound sound, Random random) {
        if (difficulty != Difficulty.OPEN_CHANNEL) {
            return List.of(sound);
        }
        double loud = rms(sound.samples()) * (0.5 + 5 * random.nextDouble());
        boolean hums = random.nextInt(3) == 0;
        double[] noise = RoomNoise.noise(sound.samples().length, random);
        float[] open = new float[noise.length];
        for (int i = 0; i < open.length; i++) {
            double hum = Math.sin(2 * Math.PI * 50 * i / sound.sampleRate());
            open[i] = (float) Math.max(-1, Math.min(1, loud * (hums ? 0.1 * noise[i] + 1.3 * hum : noise[i])));
        }
        Sound other = new Sound(open, sound.sampleRate());
        return random.nextBoolean() ? List.of(other, sound) : List.of(sound, other);
    }

    private static double rms(float[] samples) {
        double sum = 0;
        for (float x : samples) {
            sum += x * x;
        }
        return Math.sqrt(sum / samples.length);
    }
}
