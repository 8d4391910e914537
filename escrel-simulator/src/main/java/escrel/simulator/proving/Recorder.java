package escrel.simulator.proving;

import java.util.Random;

/** What the recorder does to a sound: level, offset, clipping, drop-outs, and the steps of a 16-bit file. */
final class Recorder {
    private static final double STEPS = 32_767;

    private Recorder() {}

    /** Spoils the sound as a recorder might and says how. */
    static String spoil(float[] out, double sampleRate, Random random) {
        double top = 1e-9;
        for (float x : out) {
            top = Math.max(top, Math.abs(x));
        }
        double level = 0.05 + 0.85 * random.nextDouble();
        boolean clipped = random.nextInt(8) == 0;
        double gain = level / top * (clipped ? 4 / level : 1);
        double offset = random.nextInt(5) == 0 ? 0.2 * random.nextDouble() : 0;
        int gaps = random.nextInt(8) == 0 ? 1 + random.nextInt(4) : 0;
        for (int i = 0; i < out.length; i++) {
            double x = Math.max(-1, Math.min(1, out[i] * gain + offset));
            out[i] = (float) (Math.rint(x * STEPS) / STEPS);
        }
        for (int g = 0; g < gaps; g++) {
            int from = random.nextInt(out.length);
            int to = (int) Math.min(out.length, from + (0.05 + 0.4 * random.nextDouble()) * sampleRate);
            java.util.Arrays.fill(out, from, to, (float) offset);
        }
        return (clipped ? ", clipped" : "") + (offset > 0 ? ", offset" : "") + (gaps > 0 ? ", drop-outs" : "");
    }
}
