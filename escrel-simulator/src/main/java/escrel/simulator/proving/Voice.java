package escrel.simulator.proving;

import escrel.simulator.chance.OneHandRandom;
import java.util.Random;

/**
 * How one of the six sounds of a movement sounds: a few damped resonances of plate and case struck at once, with a little
 * noise, after a rise of its own shape, and its echoes.
 */
final class Voice {
    private enum Shape {
        EXPONENTIAL,
        STRAIGHT,
        HALF_COSINE
    }

    private final double[] hertz;
    private final double[] phase;
    private final double[] decay;
    private final double[] part;
    private final double riseSeconds;
    private final Shape shape;
    private final double roughness;
    private final boolean neverTwiceTheSame;
    private final double[] echoAfter;
    private final double[] echoPart;
    final double loudness;

    /**
     * A voice drawn at random.
     *
     * @param echoes how loud its echoes are at most, as a part of itself
     */
    Voice(Random random, double loudness, double sampleRate, double echoes, Difficulty difficulty) {
        int modes = 2 + random.nextInt(3);
        hertz = new double[modes];
        phase = new double[modes];
        decay = new double[modes];
        part = new double[modes];
        double highest = Math.min(14_000, 0.42 * sampleRate);
        for (int m = 0; m < modes; m++) {
            hertz[m] = 2_000 * Math.pow(highest / 2_000, random.nextDouble());
            phase[m] = 2 * Math.PI * random.nextDouble();
            decay[m] = 0.00025 * Math.pow(6, random.nextDouble());
            part[m] = 0.4 + random.nextDouble();
        }
        riseSeconds = 20e-6 * Math.pow(10, random.nextDouble());
        shape = Shape.values()[random.nextInt(3)];
        neverTwiceTheSame = difficulty == Difficulty.ROUGH;
        roughness = neverTwiceTheSame ? 1.5 : 0.6 * random.nextDouble();
        int copies = difficulty == Difficulty.ECHOES ? 1 + random.nextInt(3) : random.nextInt(3);
        echoAfter = new double[copies];
        echoPart = new double[copies];
        for (int c = 0; c < copies; c++) {
            echoAfter[c] = 0.0006 + 0.0035 * random.nextDouble();
            echoPart[c] = echoes * random.nextDouble();
        }
        if (difficulty == Difficulty.DOUBLE_KNOCKS && copies > 0) {
            echoAfter[0] = 0.0002 + 0.0006 * random.nextDouble();
            echoPart[0] = 0.5 + 0.6 * random.nextDouble();
        }
        this.loudness = loudness / rms(sampleRate);
    }

    /** Root mean square of its first millisecond at loudness 1. */
    private double rms(double sampleRate) {
        float[] alone = new float[(int) (0.001 * sampleRate)];
        strike(alone, sampleRate, 0, 1, new OneHandRandom(1));
        double sum = 0;
        for (float x : alone) {
            sum += x * x;
        }
        return Math.sqrt(sum / alone.length);
    }

    /** Adds the sound with its echoes, beginning exactly at a time. */
    void sound(float[] out, double sampleRate, double at, double strength, Random random) {
        strike(out, sampleRate, at, loudness * strength, random);
        for (int c = 0; c < echoAfter.length; c++) {
            strike(out, sampleRate, at + echoAfter[c], loudness * strength * echoPart[c], random);
        }
    }

    private void strike(float[] out, double sampleRate, double at, double strength, Random random) {
        double longest = 0;
        for (double d : decay) {
            longest = Math.max(longest, d);
        }
        int from = (int) Math.ceil(at * sampleRate);
        int to = (int) Math.min(out.length, from + 9 * longest * sampleRate);
        double turned = neverTwiceTheSame ? 2 * Math.PI * random.nextDouble() : 0;
        for (int i = Math.max(0, from); i < to; i++) {
            double t = i / sampleRate - at;
            double sum = 0;
            for (int m = 0; m < hertz.length; m++) {
                double rough = 1 + roughness * random.nextGaussian();
                sum += part[m]
                        * rough
                        * Math.exp(-t / decay[m])
                        * Math.sin(2 * Math.PI * hertz[m] * t + phase[m] + turned * (m + 1));
            }
            out[i] += (float) (strength * rise(t) * sum);
        }
    }

    private double rise(double t) {
        return switch (shape) {
            case EXPONENTIAL -> 1 - Math.exp(-2 * t / riseSeconds);
            case STRAIGHT -> Math.min(1, t / riseSeconds);
            case HALF_COSINE -> t >= riseSeconds ? 1 : 0.5 * (1 - Math.cos(Math.PI * t / riseSeconds));
        };
    }
}
