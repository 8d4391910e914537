package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.sound.Sound;
import java.util.List;

/**
 * A recording with what is true of it.
 *
 * @param number that gave it
 * @param difficulty what makes it hard
 * @param channels one or two
 * @param rateSecondsPerDay slope of a line through the true dead points
 * @param amplitudeDegrees mean over the beats
 * @param beatErrorMillis true beat error, between dead points
 * @param signalToNoiseDecibels clean sound in the millisecond after each drop against the white and pink noise, full
 *     band; hum and knocks are not counted
 * @param exactListener what a perfect listener finds, who hears every unlocking and drop exactly: the part of an error
 *     nobody can avoid
 * @param words what is special about it
 */
public record Trial(
        long number,
        Difficulty difficulty,
        List<Sound> channels,
        BeatRate beatRate,
        LiftAngle liftAngle,
        double rateSecondsPerDay,
        double amplitudeDegrees,
        double beatErrorMillis,
        double signalToNoiseDecibels,
        Movement.Figures exactListener,
        String words) {
    /** Its only channel, or the first of them. */
    public Sound sound() {
        return channels.get(0);
    }

    /** The truth alone, so that many trials can be kept. */
    Trial withoutSound() {
        return new Trial(
                number,
                difficulty,
                List.of(),
                beatRate,
                liftAngle,
                rateSecondsPerDay,
                amplitudeDegrees,
                beatErrorMillis,
                signalToNoiseDecibels,
                exactListener,
                words);
    }
}
