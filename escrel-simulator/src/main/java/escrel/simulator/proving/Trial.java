package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.sound.Sound;

/**
 * A recording with what is true of it.
 *
 * @param rateSecondsPerDay slope of a line through the true dead points
 * @param amplitudeDegrees mean over the beats
 * @param beatErrorMillis true beat error, between dead points
 * @param signalToNoiseDecibels clean sound in the millisecond after each drop against the white and pink noise, full
 *     band; hum and knocks are not counted
 * @param exactListenerSecondsPerDay the rate of a perfect listener, who hears every unlocking and drop exactly: the part
 *     of an error nobody can avoid
 * @param words what is special about it
 */
public record Trial(
        Sound sound,
        BeatRate beatRate,
        LiftAngle liftAngle,
        double rateSecondsPerDay,
        double amplitudeDegrees,
        double beatErrorMillis,
        double signalToNoiseDecibels,
        double exactListenerSecondsPerDay,
        String words) {
    /** The truth alone, so that many trials can be kept. */
    Trial withoutSound() {
        return new Trial(
                new Sound(new float[0], sound.sampleRate()),
                beatRate,
                liftAngle,
                rateSecondsPerDay,
                amplitudeDegrees,
                beatErrorMillis,
                signalToNoiseDecibels,
                exactListenerSecondsPerDay,
                words);
    }
}
