package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import java.util.Random;

/** How a movement swings, drawn at random, and what is true of a run of it. */
public final class Movement {
    private static final double[] SOUNDS_AT = {-0.5, -0.5 + 0.33, 0.5};

    private final BeatRate beatRate;
    private final double lift;
    private final double rate;
    private final double amplitude;
    private final double offset;
    private final double wander;
    private final double wanderBeats;
    private final double swell;
    private final double rateWander;
    private final double jitter;
    private final double[] runout;

    Movement(Random random, BeatRate beatRate, double lift, Difficulty difficulty) {
        this.beatRate = beatRate;
        this.lift = lift;
        double drawn = 110 + 230 * random.nextDouble();
        // seldom far off: most watches that come in are within minutes
        boolean far = random.nextInt(4) == 0 || difficulty == Difficulty.FAR_OFF;
        double sign = random.nextBoolean() ? 1 : -1;
        rate = difficulty == Difficulty.FAR_OFF
                ? sign * (400 + 500 * random.nextDouble())
                : far ? sign * 900 * random.nextDouble() : 30 * random.nextGaussian();
        swell = difficulty == Difficulty.SWELLING ? 3 + 22 * random.nextDouble() : 0;
        // a balance that swings lower than this with such a swell would stop
        amplitude = Math.max(drawn, lift + 3 * swell);
        double wished = random.nextInt(4) == 0 ? 9 * random.nextDouble() : 2.5 * random.nextDouble();
        // the jewel cannot rest further off than where the fork would no longer follow
        offset = Math.min(0.45 * lift, amplitude * Math.sin(Math.PI * wished / 1000 / beatRate.periodSeconds()));
        boolean wanders = difficulty == Difficulty.WANDERING;
        wander = wanders ? 3 + 5 * random.nextDouble() : 2 * random.nextDouble();
        wanderBeats = 35 + 60 * random.nextDouble();
        rateWander = wanders ? 5 + 35 * random.nextDouble() : 0;
        jitter = 10e-6 + 25e-6 * random.nextDouble();
        runout = new double[2 * (15 + random.nextInt(6))];
        double size = 25e-6 * random.nextDouble();
        for (int i = 0; i < runout.length; i++) {
            runout[i] = size * random.nextGaussian();
        }
    }

    /**
     * What was true of a run, and what somebody would find who hears every unlocking and drop exactly.
     *
     * @param dropTimes in seconds
     */
    record Truth(Figures figures, Figures exactListener, double[] dropTimes) {}

    /** Rate in s/d, amplitude in degrees, beat error in ms. */
    public record Figures(double rate, double amplitude, double beatError) {}

    /** Lets it beat into a sound. */
    Truth run(float[] out, double sampleRate, Voice[][] voices, Random random) {
        double period = beatRate.periodSeconds() / (1 + rate / 86_400);
        double seconds = out.length / sampleRate;
        int beats = (int) (2 * (seconds - 1.2 * period) / period);
        double start = period * (0.1 + random.nextDouble());
        double trend = random.nextGaussian() * wander;
        double phase = 2 * Math.PI * random.nextDouble();
        double sum = 0;
        double[] dead = new double[beats];
        double[] unlocks = new double[beats];
        double[] drops = new double[beats];
        double moved = 0;
        for (int k = 0; k < beats; k++) {
            double turn = 2 * Math.PI * k / runout.length;
            double swing = amplitude
                    + wander * Math.sin(2 * Math.PI * k / wanderBeats + phase)
                    + swell * Math.sin(turn + 2 * phase)
                    + trend * (k / (double) beats - 0.5)
                    + 0.3 * random.nextGaussian();
            sum += swing;
            moved -= rateWander * Math.sin(2 * Math.PI * k / wanderBeats + 3 * phase) / 86_400 * period / 2;
            double side = (k & 1) == 0 ? offset : -offset;
            double middle = start + k * period / 2 + moved;
            dead[k] = middle + crossing(side, swing, period);
            double[] at = new double[3];
            for (int s = 0; s < 3; s++) {
                at[s] = middle
                        + crossing(side + lift * SOUNDS_AT[s], swing, period)
                        + runout[k % runout.length]
                        + jitter * random.nextGaussian();
                voices[k & 1][s].sound(out, sampleRate, at[s], 1 + 0.15 * random.nextGaussian(), random);
            }
            unlocks[k] = at[0];
            drops[k] = at[2];
        }
        Line truly = Line.through(dead);
        Figures truth = new Figures(daily(truly.beat()), sum / beats, Math.abs(truly.apart()) * 1000);
        return new Truth(truth, exactly(unlocks, drops), drops);
    }

    private static double crossing(double angle, double swing, double period) {
        return period / (2 * Math.PI) * Math.asin(Math.max(-1, Math.min(1, angle / swing)));
    }

    private double daily(double beat) {
        return (beatRate.beatSeconds() / beat - 1) * 86_400;
    }

    /** M2 to M4 on exact times: lines through the sounds, tick and tock apart. */
    private Figures exactly(double[] unlocks, double[] drops) {
        double[] middles = new double[drops.length];
        double sum = 0;
        for (int k = 0; k < drops.length; k++) {
            middles[k] = (unlocks[k] + drops[k]) / 2;
            sum += drops[k] - unlocks[k];
        }
        Line line = Line.through(middles);
        double period = 2 * line.beat();
        double heard = Math.abs(line.apart());
        double u = Math.PI * (sum / drops.length + heard) / period;
        double v = Math.PI * (sum / drops.length - heard) / period;
        return new Figures(
                daily(line.beat()),
                lift / (Math.sin(u) + Math.sin(v)),
                period / Math.PI * Math.asin((Math.sin(u) - Math.sin(v)) / 2) * 1000);
    }

    /**
     * Two parallel straight lines by least squares, one through ticks, one through tocks.
     *
     * @param beat seconds from one beat to the next
     * @param apart how much later tocks come than half way between ticks
     */
    private record Line(double beat, double apart) {
        static Line through(double[] times) {
            double[] mean = new double[2];
            double[] middle = new double[2];
            int[] count = new int[2];
            for (int k = 0; k < times.length; k++) {
                mean[k & 1] += times[k];
                middle[k & 1] += k;
                count[k & 1]++;
            }
            double xx = 0;
            double xy = 0;
            for (int k = 0; k < times.length; k++) {
                double x = k - middle[k & 1] / count[k & 1];
                xx += x * x;
                xy += x * times[k];
            }
            double beat = xy / xx;
            double apart = (mean[1] - beat * middle[1]) / count[1] - (mean[0] - beat * middle[0]) / count[0];
            return new Line(beat, apart);
        }
    }
}
