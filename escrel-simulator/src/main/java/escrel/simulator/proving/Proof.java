package escrel.simulator.proving;

import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.beats.NoCredibleBeatException;
import java.util.List;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;

/**
 * What the analysis made of a trial, its sound let go.
 *
 * @param heard nothing when it was refused
 * @param refusal why
 */
public record Proof(Trial trial, @Nullable SoundReading heard, String refusal) {
    private static final double FAR_DEGREES = 10;
    private static final double FAR_MILLIS = 0.5;

    /** Analyses the trials from a number on, with the beat rate to be recognised. */
    public static List<Proof> of(Trials trials, long first, int count) {
        return LongStream.range(first, first + count)
                .parallel()
                .mapToObj(number -> of(trials.make(number)))
                .toList();
    }

    /** Analyses trials that are all hard for one reason. */
    public static List<Proof> of(Trials trials, Difficulty difficulty, long first, int count) {
        return LongStream.range(first, first + count)
                .parallel()
                .mapToObj(number -> of(trials.make(number, difficulty)))
                .toList();
    }

    /** Analyses a trial, with the beat rate to be recognised. */
    public static Proof of(Trial trial) {
        try {
            SoundReading heard =
                    BeatAnalyser.recognising(trial.liftAngle()).analyse(Channels.beating(trial.channels()));
            return new Proof(trial.withoutSound(), heard, "");
        } catch (NoCredibleBeatException e) {
            return new Proof(trial.withoutSound(), null, e.whatHappened());
        }
    }

    /** Error of the rate, s/d; infinite when refused. */
    public double rateError() {
        return heard == null
                ? Double.POSITIVE_INFINITY
                : heard.rateSecondsPerDay().value() - trial.rateSecondsPerDay();
    }

    /** Error of the amplitude, degrees; infinite when refused. */
    public double amplitudeError() {
        return heard == null
                ? Double.POSITIVE_INFINITY
                : heard.amplitudeDegrees().value() - trial.amplitudeDegrees();
    }

    /** Error of the beat error, ms; infinite when refused. */
    public double beatErrorError() {
        return heard == null
                ? Double.POSITIVE_INFINITY
                : heard.beatErrorMillis().value() - trial.beatErrorMillis();
    }

    /** Whether the rate is within a limit and a thousandth of itself. */
    public boolean rateWithin(double secondsPerDay) {
        return Math.abs(rateError()) <= secondsPerDay + 0.001 * Math.abs(trial.rateSecondsPerDay());
    }

    /** Whether the amplitude is within a limit. */
    public boolean amplitudeWithin(double degrees) {
        return Math.abs(amplitudeError()) <= degrees;
    }

    /** Whether the beat error is within a limit. */
    public boolean beatErrorWithin(double millis) {
        return Math.abs(beatErrorError()) <= millis;
    }

    /** Whether it was read, is far off, and nothing said so. */
    public boolean farOffWithoutDoubt() {
        return heard != null
                && (!amplitudeWithin(FAR_DEGREES) || !beatErrorWithin(FAR_MILLIS))
                && heard.doubts().isEmpty();
    }

    /** Whether it was read with another beat rate than it has. */
    public boolean wrongBeatRate() {
        return heard != null
                && heard.beatRate().beatsPerHour() != trial.beatRate().beatsPerHour();
    }
}
