package escrel.core.timing.acoustics;

import escrel.core.quantity.Measured;
import escrel.core.quantity.Rate;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.Envelope;
import escrel.core.timing.beats.HighPass;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Sound;
import java.util.stream.IntStream;

/**
 * A signal of known period, one pulse a second as of a quartz clock or a time signal: its rate as a sound device's clock
 * has it. The sound is folded at the period to find where the pulses lie; each is then placed by its loudest rise, and a
 * robust line goes through them (M2).
 */
public final class PulseSignal {
    /** Shortest signal, in pulses. */
    public static final int FEWEST = 15;

    private static final double HIGH_PASS_HERTZ = 500;
    private static final double REACH_SECONDS = 0.05;
    private static final double RISE_SECONDS = 0.001;
    private static final double LARGEST_SCATTER_SECONDS = 0.002;

    private PulseSignal() {}

    /**
     * The rate of the pulses in s/d with its standard error; + when they come faster than the device's clock says.
     *
     * @param periodSeconds true time from pulse to pulse, at least 0.5 s
     * @throws NoCredibleBeatException when it is too short or no steady pulses are heard
     */
    public static Measured rate(Sound sound, double periodSeconds) {
        if (!(periodSeconds >= 0.5)) {
            throw new IllegalArgumentException("the period must be at least 0.5 s, was " + periodSeconds);
        }
        int pulses = (int) (sound.seconds() / periodSeconds) - 1;
        if (pulses < FEWEST) {
            throw new NoCredibleBeatException(
                    "The signal lasts %.0f s; at least %d pulses are needed".formatted(sound.seconds(), FEWEST),
                    "Record for a minute or more: the longer, the surer.");
        }
        float[] filtered = HighPass.apply(sound, Math.min(HIGH_PASS_HERTZ, sound.sampleRate() / 8));
        Envelope envelope = Envelope.of(filtered, sound.sampleRate(), Envelope.BLOCK_SECONDS);
        double phase = loudestPhase(envelope, periodSeconds);
        int[] numbers = new int[pulses];
        double[] times = new double[pulses];
        for (int k = 0; k < pulses; k++) {
            // even numbers only: all pulses are of one kind
            numbers[k] = 2 * k;
            times[k] = rise(filtered, sound.sampleRate(), phase + k * periodSeconds);
        }
        return rate(RobustLine.fit(numbers, times), pulses, periodSeconds);
    }

    private static Measured rate(RobustLine line, int pulses, double periodSeconds) {
        long used = IntStream.range(0, pulses).filter(k -> !line.rejects(k)).count();
        if (used < 0.7 * pulses || line.sigma() > LARGEST_SCATTER_SECONDS) {
            throw new NoCredibleBeatException(
                    "No steady pulse every %.1f s was heard".formatted(periodSeconds),
                    "Lay the pick-up against the clock, keep the room quiet and record again.");
        }
        double period = 2 * line.slope();
        double error = Rate.SECONDS_PER_DAY * line.sigma() * Math.sqrt(12) / (period * Math.pow(used, 1.5));
        return Measured.withStandardError((periodSeconds / period - 1) * Rate.SECONDS_PER_DAY, error);
    }

    private static double loudestPhase(Envelope envelope, double period) {
        int bins = (int) Math.round(period / 0.01);
        double[] fold = envelope.folded(period, bins, 0, envelope.seconds(), heard -> heard);
        int best = 0;
        for (int b = 0; b < bins; b++) {
            best = fold[b] > fold[best] ? b : best;
        }
        return (best + 0.5) / bins * period;
    }

    /** Where the energy rises most near a time; NaN outside the sound. */
    private static double rise(float[] samples, double rate, double near) {
        int window = (int) Math.round(RISE_SECONDS * rate);
        int from = (int) Math.round((near - REACH_SECONDS) * rate);
        int to = (int) Math.round((near + REACH_SECONDS) * rate);
        if (from < window || to + window >= samples.length) {
            return Double.NaN;
        }
        double before = 0;
        double after = 0;
        for (int i = 0; i < window; i++) {
            before += samples[from - window + i] * samples[from - window + i];
            after += samples[from + i] * samples[from + i];
        }
        double most = after - before;
        int at = from;
        for (int i = from; i < to; i++) {
            before += samples[i] * samples[i] - samples[i - window] * samples[i - window];
            after += samples[i + window] * samples[i + window] - samples[i] * samples[i];
            if (after - before > most) {
                most = after - before;
                at = i + 1;
            }
        }
        return at / rate;
    }
}
