package escrel.simulator.proving;

import escrel.core.timing.sound.Sound;
import escrel.simulator.chance.OneHandRandom;
import java.util.Random;

/** Sounds that are no watch, or more than one: none of them may ever become a reading. */
public enum OtherSounds {
    NOISE {
        @Override
        void fill(float[] out, Random random) {
            double[] noise = RoomNoise.noise(out.length, random);
            for (int i = 0; i < out.length; i++) {
                out[i] = (float) (0.1 * noise[i]);
            }
        }
    },
    HUM {
        @Override
        void fill(float[] out, Random random) {
            double mains = random.nextBoolean() ? 50 : 60;
            double harmonics = random.nextDouble();
            for (int i = 0; i < out.length; i++) {
                double t = 2 * Math.PI * mains * i / RATE;
                double sum = 0;
                for (int h = 1; h < 60; h += 2) {
                    sum += Math.pow(harmonics, 0.15 * h) / h * Math.sin(h * t);
                }
                out[i] = (float) (0.2 * sum + 0.002 * random.nextGaussian());
            }
        }
    },
    /** Notes with overtones on a steady beat, and a drum. */
    MUSIC {
        @Override
        void fill(float[] out, Random random) {
            double step = 60.0 / (70 + 90 * random.nextDouble()) / (random.nextBoolean() ? 2 : 4);
            for (double at = 0.1; at < out.length / RATE - 1; at += step) {
                if (random.nextInt(3) > 0) {
                    note(out, at, 110 * Math.pow(2, random.nextInt(36) / 12.0), 0.25, 6, 0.15 * random.nextDouble());
                }
                drum(out, at, 0.05 + 0.1 * random.nextDouble(), random);
            }
        }
    },
    /** Syllables of voiced sound and hiss at an uneven pace. */
    SPEECH {
        @Override
        void fill(float[] out, Random random) {
            double at = 0.1;
            while (at < out.length / RATE - 0.6) {
                double length = 0.08 + 0.2 * random.nextDouble();
                note(out, at, 90 + 120 * random.nextDouble(), length, 25, 0.2 + 0.2 * random.nextDouble());
                if (random.nextBoolean()) {
                    hiss(out, at + length, 0.05 + 0.1 * random.nextDouble(), 0.08, random);
                }
                at += length + 0.03 + 0.25 * random.nextDouble();
            }
        }
    },
    /** One click at a steady pace, as of a metronome or a dripping tap: no unlocking, no drop. */
    CLICKS {
        @Override
        void fill(float[] out, Random random) {
            double step = 0.08 + 0.2 * random.nextDouble();
            double hertz = 1500 + 5000 * random.nextDouble();
            for (double at = 0.1; at < out.length / RATE - 0.1; at += step) {
                click(out, at, hertz, 0.003, 0.4);
            }
            for (int i = 0; i < out.length; i++) {
                out[i] += (float) (0.003 * random.nextGaussian());
            }
        }
    },
    /** A quartz watch: one click a second. */
    QUARTZ {
        @Override
        void fill(float[] out, Random random) {
            for (double at = random.nextDouble(); at < out.length / RATE - 0.1; at += 1) {
                click(out, at, 3000, 0.002, 0.4);
                click(out, at + 0.006, 3500, 0.002, 0.2);
            }
            for (int i = 0; i < out.length; i++) {
                out[i] += (float) (0.004 * random.nextGaussian());
            }
        }
    },
    /** Two watches about equally loud. */
    TWO_WATCHES {
        @Override
        void fill(float[] out, Random random) {
            Trials trials = new Trials(25, 35, 25);
            double share = 0.6 + 0.4 * random.nextDouble();
            Trial one = quiet(trials, random);
            Trial other = quiet(trials, random);
            float[] a = one.sound().samples();
            float[] b = other.sound().samples();
            double loudA = rms(a);
            double loudB = rms(b);
            for (int i = 0; i < out.length; i++) {
                double x = at(a, i, one.sound().sampleRate()) / loudA
                        + share * at(b, i, other.sound().sampleRate()) / loudB;
                out[i] = (float) (0.02 * x);
            }
        }
    };

    private static final double RATE = 48_000;

    abstract void fill(float[] out, Random random);

    /** Twenty seconds of it; equal seeds give equal samples. */
    public Sound make(long seed) {
        float[] out = new float[(int) (20 * RATE)];
        fill(out, new OneHandRandom(seed * 31 + ordinal()));
        return new Sound(out, RATE);
    }

    private static Trial quiet(Trials trials, Random random) {
        Trial trial = trials.make(random.nextInt(100_000), Difficulty.PLAIN);
        return trial.words().contains("knocks") || trial.words().contains("drop") ? quiet(trials, random) : trial;
    }

    private static double rms(float[] samples) {
        double sum = 0;
        for (float x : samples) {
            sum += x * x;
        }
        return Math.sqrt(sum / samples.length);
    }

    private static double at(float[] samples, int i, double sampleRate) {
        double place = i / RATE * sampleRate;
        int below = (int) place;
        return below + 1 >= samples.length
                ? 0
                : samples[below] + (place - below) * (samples[below + 1] - samples[below]);
    }

    private static void note(float[] out, double at, double hertz, double length, int overtones, double loud) {
        int from = (int) (at * RATE);
        for (int i = from; i < Math.min(out.length, from + length * RATE); i++) {
            double t = (i - from) / RATE;
            double sum = 0;
            for (int h = 1; h <= overtones && h * hertz < RATE / 2; h++) {
                sum += Math.sin(2 * Math.PI * h * hertz * t) / h;
            }
            double swell = Math.min(1, t / 0.01) * Math.min(1, (length - t) / 0.02);
            out[i] += (float) (loud * swell * sum);
        }
    }

    private static void hiss(float[] out, double at, double length, double loud, Random random) {
        int from = (int) (at * RATE);
        for (int i = from; i < Math.min(out.length, from + length * RATE); i++) {
            out[i] += (float) (loud * random.nextGaussian());
        }
    }

    private static void drum(float[] out, double at, double loud, Random random) {
        int from = (int) (at * RATE);
        for (int i = from; i < Math.min(out.length, from + 0.15 * RATE); i++) {
            out[i] += (float) (loud * Math.exp(-(i - from) / RATE / 0.03) * random.nextGaussian());
        }
    }

    private static void click(float[] out, double at, double hertz, double decay, double loud) {
        int from = (int) (at * RATE);
        for (int i = from; i < Math.min(out.length, from + 8 * decay * RATE); i++) {
            double t = (i - from) / RATE;
            out[i] += (float) (loud * Math.exp(-t / decay) * Math.sin(2 * Math.PI * hertz * t));
        }
    }
}
