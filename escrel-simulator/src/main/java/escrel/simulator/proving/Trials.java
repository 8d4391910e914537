package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.sound.Sound;
import java.util.Random;

/** Makes trials: each number a movement, its six sounds, a room and a recorder, all drawn from that number alone. */
public final class Trials {
    private static final double[] SAMPLE_RATES = {22_050, 32_000, 44_100, 44_100, 48_000, 48_000, 96_000};
    private static final double PULSE_OF_TREND = 40;

    private final double lowestDecibels;
    private final double highestDecibels;
    private final double shortestSeconds;

    /**
     * Trials with a signal-to-noise ratio from {@code lowestDecibels} to {@code highestDecibels}.
     *
     * @param shortestSeconds the shortest recording; the longest is twice as long
     */
    public Trials(double lowestDecibels, double highestDecibels, double shortestSeconds) {
        this.lowestDecibels = lowestDecibels;
        this.highestDecibels = highestDecibels;
        this.shortestSeconds = shortestSeconds;
    }

    /** The trial of a number; equal numbers give equal samples. */
    public Trial make(long number) {
        Random random = new Random(number * 7_919 + 17);
        double rate = SAMPLE_RATES[random.nextInt(SAMPLE_RATES.length)];
        BeatRate beatRate = BeatRate.USUAL.get(random.nextInt(BeatRate.USUAL.size()));
        double lift = 42 + 13 * random.nextDouble();
        Movement movement = Movement.of(random, beatRate, lift);
        double seconds = shortestSeconds * (1 + random.nextDouble());
        double unlock = 0.1 * Math.pow(6, random.nextDouble());
        double impulse = 0.2 + 0.9 * random.nextDouble();
        double echoes = random.nextInt(3) == 0 ? 0.45 : 0.15;
        Voice[][] voices = new Voice[2][3];
        for (int half = 0; half < 2; half++) {
            double uneven = 0.7 + 0.6 * random.nextDouble();
            voices[half][0] = new Voice(random, unlock * uneven, rate, echoes);
            voices[half][1] = new Voice(random, impulse * (0.7 + 0.6 * random.nextDouble()), rate, echoes);
            voices[half][2] = new Voice(random, 0.8 + 0.4 * random.nextDouble(), rate, echoes);
        }
        float[] out = new float[(int) (seconds * rate)];
        Movement.Truth truth = movement.run(out, rate, voices, random);
        double decibels = lowestDecibels + (highestDecibels - lowestDecibels) * random.nextDouble();
        String words = RoomNoise.add(out, rate, truth.dropTimes(), decibels, random);
        words += Recorder.spoil(out, rate, random);
        return new Trial(
                new Sound(out, rate),
                beatRate,
                LiftAngle.known(lift),
                truth.rate(),
                truth.amplitude(),
                truth.beatError(),
                decibels,
                truth.exactListener(),
                "%.0f dB, unlocking %.2f, impulse %.2f, echoes %.2f, %.0f Hz%s"
                        .formatted(decibels, unlock, impulse, echoes, rate, words));
    }

    /** How a movement swings, drawn at random. */
    private record Movement(
            BeatRate beatRate,
            double lift,
            double rate,
            double amplitude,
            double offset,
            double wander,
            double jitter,
            double[] runout) {
        /** What was true of a run. */
        record Truth(double rate, double amplitude, double beatError, double exactListener, double[] dropTimes) {}

        static Movement of(Random random, BeatRate beatRate, double lift) {
            double amplitude = 110 + 230 * random.nextDouble();
            // seldom far off: most watches that come in are within minutes
            double rate = random.nextInt(3) == 0 ? -900 + 1800 * random.nextDouble() : 30 * random.nextGaussian();
            double wished = random.nextInt(4) == 0 ? 9 * random.nextDouble() : 2.5 * random.nextDouble();
            // the jewel cannot rest further off than where the fork would no longer follow
            double offset =
                    Math.min(0.45 * lift, amplitude * Math.sin(Math.PI * wished / 1000 / beatRate.periodSeconds()));
            double[] runout = new double[2 * (15 + random.nextInt(6))];
            double size = 30e-6 * random.nextDouble();
            for (int i = 0; i < runout.length; i++) {
                runout[i] = size * random.nextGaussian();
            }
            return new Movement(
                    beatRate,
                    lift,
                    rate,
                    amplitude,
                    offset,
                    3 * random.nextDouble(),
                    10e-6 + 30e-6 * random.nextDouble(),
                    runout);
        }

        Truth run(float[] out, double sampleRate, Voice[][] voices, Random random) {
            double period = beatRate.periodSeconds() / (1 + rate / 86_400);
            double seconds = out.length / sampleRate;
            int beats = (int) (2 * (seconds - 1.2 * period) / period);
            double start = period * (0.1 + random.nextDouble());
            double trend = random.nextGaussian() * wander;
            double phase = 2 * Math.PI * random.nextDouble();
            double sum = 0;
            double[] drops = new double[beats];
            double[] middles = new double[beats];
            for (int k = 0; k < beats; k++) {
                double swing = amplitude
                        + wander * Math.sin(2 * Math.PI * k / PULSE_OF_TREND + phase)
                        + trend * (k / (double) beats - 0.5)
                        + 0.3 * random.nextGaussian();
                sum += swing;
                double side = (k & 1) == 0 ? offset : -offset;
                double middle = start + k * period / 2;
                double heard = 0;
                for (int s = 0; s < 3; s++) {
                    double angle = side + lift * new double[] {-0.5, -0.5 + 0.33, 0.5}[s];
                    double at = middle
                            + period / (2 * Math.PI) * Math.asin(Math.max(-1, Math.min(1, angle / swing)))
                            + runout[k % runout.length]
                            + jitter * random.nextGaussian();
                    voices[k & 1][s].sound(out, sampleRate, at, 1 + 0.15 * random.nextGaussian(), random);
                    drops[k] = at;
                    heard += s == 1 ? 0 : at / 2;
                }
                middles[k] = heard;
            }
            double mean = sum / beats;
            double error = period / Math.PI * Math.asin(offset / mean) * 1000;
            return new Truth(rate, mean, error, exactListener(middles), drops);
        }

        /** The rate of somebody who hears the middle of every beat exactly: a straight line, tick and tock apart. */
        private double exactListener(double[] middles) {
            double xx = 0;
            double xy = 0;
            int swings = middles.length / 2;
            for (int half = 0; half < 2; half++) {
                for (int k = half; k < 2 * swings; k += 2) {
                    double x = k - half - (swings - 1);
                    xx += x * x;
                    xy += x * middles[k];
                }
            }
            double beat = xy / xx;
            return (beatRate.beatSeconds() / beat - 1) * 86_400;
        }
    }
}
