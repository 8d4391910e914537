package escrel.core.timing.acoustics;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.LiftTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a sound says of the movement.
 *
 * @param beatRate given, or recognised
 * @param recognition how clearly the sound beats at this rate: 2 at best, 0 for noise
 * @param rateSecondsPerDay with standard error; the clock of the sound device is not in it
 * @param amplitudeDegrees for the lift angle
 * @param beatErrorMillis true beat error
 * @param lift what was heard
 * @param beatsDetected beats that count
 * @param beatsMissed beats expected and not heard
 * @param beatsRejected beats heard too far from where they belong
 * @param signalToNoiseDecibels drop against the quiet between beats, after the filter
 * @param seconds length of the recording
 * @param trendSecondsPerDay rate over quarters of the recording, so that wandering is seen
 * @param beat the averaged beat with its sounds marked
 * @param beats one by one, in order
 * @param doubts what speaks against this reading, in sentences; empty when nothing does
 * @param remarks what else was noticed of the sound or the watch, in sentences; it does not spoil the reading
 */
public record SoundReading(
        BeatRate beatRate,
        double recognition,
        LiftAngle liftAngle,
        Measured rateSecondsPerDay,
        Measured amplitudeDegrees,
        Measured beatErrorMillis,
        LiftTime lift,
        int beatsDetected,
        int beatsMissed,
        int beatsRejected,
        double signalToNoiseDecibels,
        double seconds,
        List<Double> trendSecondsPerDay,
        AveragedBeat beat,
        List<Beat> beats,
        List<String> doubts,
        List<String> remarks) {
    /**
     * One beat of the sound.
     *
     * @param number even for ticks, odd for tocks; missed beats keep theirs
     * @param seconds the middle between unlocking and drop
     * @param liftMillis drop less unlocking
     * @param counts whether it enters the figures
     */
    public record Beat(int number, double seconds, double liftMillis, boolean counts) {}

    /**
     * The averaged tick and tock, so that a user sees what was measured.
     *
     * @param tick loudness, 0 to 1, from {@code startMillis} on in steps of {@code stepMillis}
     * @param tock the same for the other half
     * @param marks where the sounds were found, tick then tock
     */
    public record AveragedBeat(
            double startMillis, double stepMillis, double[] tick, double[] tock, List<Marks> marks) {}

    /**
     * Where the three sounds of a beat begin, in milliseconds on the averaged beat's scale.
     *
     * @param impulseMillis nothing when no impulse was heard between the two others; it enters no figure
     */
    public record Marks(double unlockMillis, @Nullable Double impulseMillis, double dropMillis) {}
}
