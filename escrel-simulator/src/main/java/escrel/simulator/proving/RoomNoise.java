package escrel.simulator.proving;

import java.util.Random;

/** What else is heard: white and pink noise to a stated ratio, and now and then hum, knocks or a fan. */
final class RoomNoise {
    private RoomNoise() {}

    /** Adds the room and says what was special about it. */
    static String add(float[] out, double sampleRate, double[] drops, double decibels, Random random) {
        double loud = afterDrops(out, sampleRate, drops);
        double[] noise = noise(out.length, random);
        double wish = loud / Math.pow(10, decibels / 20);
        for (int i = 0; i < out.length; i++) {
            out[i] += (float) (wish * noise[i]);
        }
        String words = "";
        if (random.nextInt(4) == 0) {
            double hum = loud * (0.1 + random.nextDouble());
            double mains = random.nextBoolean() ? 50 : 60;
            for (int i = 0; i < out.length; i++) {
                double t = 2 * Math.PI * mains * i / sampleRate;
                out[i] += (float) (hum * (Math.sin(t) + 0.4 * Math.sin(3 * t) + 0.15 * Math.sin(9 * t)));
            }
            words += ", hum";
        }
        if (random.nextInt(4) == 0) {
            int knocks = 1 + random.nextInt(8);
            for (int k = 0; k < knocks; k++) {
                knock(out, sampleRate, random.nextDouble() * out.length / sampleRate, loud, random);
            }
            words += ", %d knocks".formatted(knocks);
        }
        return words;
    }

    /** White noise with a random part of pink, root mean square 1. Pink is a sum of one-pole filters. */
    static double[] noise(int length, Random random) {
        double pinkPart = random.nextDouble();
        double[] out = new double[length];
        double a = 0;
        double b = 0;
        double c = 0;
        double sum = 0;
        for (int i = 0; i < length; i++) {
            double white = random.nextGaussian();
            a = 0.997_65 * a + white * 0.099_046_0;
            b = 0.963_00 * b + white * 0.296_516_4;
            c = 0.570_00 * c + white * 1.052_691_3;
            out[i] = (1 - pinkPart) * white + pinkPart * (a + b + c + 0.1848 * white);
            sum += out[i] * out[i];
        }
        double rms = Math.sqrt(sum / Math.max(1, length));
        for (int i = 0; i < length; i++) {
            out[i] /= rms;
        }
        return out;
    }

    private static double afterDrops(float[] out, double sampleRate, double[] drops) {
        double sum = 0;
        long count = 0;
        for (double drop : drops) {
            int from = (int) (drop * sampleRate);
            for (int i = from; i < Math.min(out.length, from + sampleRate / 1000); i++) {
                sum += out[i] * out[i];
                count++;
            }
        }
        return Math.sqrt(sum / Math.max(1, count));
    }

    private static void knock(float[] out, double sampleRate, double at, double loud, Random random) {
        double hertz = 150 + 3_000 * random.nextDouble();
        double decay = 0.004 + 0.03 * random.nextDouble();
        double size = loud * (1 + 6 * random.nextDouble());
        int from = (int) (at * sampleRate);
        for (int i = from; i < Math.min(out.length, from + 6 * decay * sampleRate); i++) {
            double t = (i - from) / sampleRate;
            out[i] += (float)
                    (size * Math.exp(-t / decay) * (Math.sin(2 * Math.PI * hertz * t) + 0.3 * random.nextGaussian()));
        }
    }
}
