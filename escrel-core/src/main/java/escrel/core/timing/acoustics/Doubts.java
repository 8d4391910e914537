package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.timing.beats.BeatSounds;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.readings.Swing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What speaks against a reading.
 *
 * @param sentences for the user
 * @param degrees what they add to the standard error of the amplitude
 */
record Doubts(List<String> sentences, double degrees) {
    private static final double CLOSE = 1.0;
    private static final double IMPULSE_FOR_UNLOCKING = 1.5;
    private static final double UNEQUAL = 3;
    private static final double ENOUGH_BEATS = 0.75;

    static Doubts about(
            BeatSounds.Chosen chosen,
            LiftFigures lift,
            Amplitude amplitude,
            Swing swing,
            double agreement,
            int detected,
            int expected) {
        List<String> sentences = new ArrayList<>();
        double degrees = 0;
        BeatSounds.Rival rival = chosen.rival();
        if (rival != null && chosen.lead() < CLOSE) {
            double other = swing.amplitude(rival.liftSeconds()).degrees();
            degrees = Math.abs(other - amplitude.degrees()) / 2;
            sentences.add(("Another pair of sounds fits nearly as well; with it the amplitude would be %.0f°"
                            + " instead of %.0f°")
                    .formatted(other, amplitude.degrees()));
        }
        if (chosen.hasNoImpulse()) {
            // the impulse comes a third of the way: were it taken for the unlocking, the lift would last half as long
            // again
            double other = swing.amplitude(
                            Math.min(IMPULSE_FOR_UNLOCKING * lift.liftSeconds(), 0.24 * swing.periodSeconds()))
                    .degrees();
            degrees = Math.max(degrees, Math.abs(other - amplitude.degrees()) / 2);
            sentences.add(
                    ("No clear impulse is heard between unlocking and drop: if the impulse was taken for the unlocking,"
                                    + " the amplitude would be %.0f° instead of %.0f°")
                            .formatted(other, amplitude.degrees()));
        }
        if (lift.unequal() > UNEQUAL || agreement < BeatTimes.AGREED) {
            sentences.add("Tick and tock seem to take unequally long, which they should not:"
                    + " amplitude and beat error may be off");
        }
        if (detected < ENOUGH_BEATS * expected) {
            sentences.add("Only %d of %d beats could be used".formatted(detected, expected));
        }
        return new Doubts(List.copyOf(sentences), degrees);
    }

    /** With a sentence more, where there is one. */
    Doubts and(Optional<String> sentence) {
        List<String> all = new ArrayList<>(sentences);
        sentence.ifPresent(all::add);
        return new Doubts(List.copyOf(all), degrees);
    }
}
