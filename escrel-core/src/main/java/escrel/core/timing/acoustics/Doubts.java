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
    private static final double CLOSE = 1.5;
    private static final double IMPULSE_FOR_UNLOCKING = 1.5;
    private static final double UNEQUAL = 3;
    private static final double ENOUGH_BEATS = 0.75;
    // of a period: a lift that takes longer belongs to no swing
    private static final double LONGEST_LIFT = 0.24;

    static Doubts about(
            BeatSounds.Chosen chosen,
            LiftFigures lift,
            Amplitude amplitude,
            Swing swing,
            double agreement,
            int detected,
            int expected) {
        return new Doubts(List.of(), 0)
                .rival(chosen, amplitude, swing)
                .impulse(chosen, lift, amplitude, swing)
                .and(oddDrop(chosen))
                .and(hardlyRising(chosen))
                .and(unequal(lift, agreement))
                .and(few(detected, expected));
    }

    private Doubts rival(BeatSounds.Chosen chosen, Amplitude amplitude, Swing swing) {
        BeatSounds.Rival rival = chosen.rival();
        if (rival == null || chosen.lead() >= CLOSE) {
            return this;
        }
        double other = swing.amplitude(rival.liftSeconds()).degrees();
        return and(
                ("Another pair of sounds fits nearly as well; with it the amplitude would be %.0f° instead of %.0f°")
                        .formatted(other, amplitude.degrees()),
                Math.abs(other - amplitude.degrees()) / 2);
    }

    /**
     * The impulse comes a third of the way: were it taken for the unlocking, the lift would last half as long again.
     */
    private Doubts impulse(BeatSounds.Chosen chosen, LiftFigures lift, Amplitude amplitude, Swing swing) {
        if (!chosen.hasNoImpulse()) {
            return this;
        }
        double whole = Math.min(IMPULSE_FOR_UNLOCKING * lift.liftSeconds(), LONGEST_LIFT * swing.periodSeconds());
        double other = swing.amplitude(whole).degrees();
        return and(
                ("No clear impulse is heard between unlocking and drop: if the impulse was taken for the unlocking,"
                                + " the amplitude would be %.0f° instead of %.0f°")
                        .formatted(other, amplitude.degrees()),
                Math.abs(other - amplitude.degrees()) / 2);
    }

    private static Optional<String> oddDrop(BeatSounds.Chosen chosen) {
        return where(
                chosen.hasAnOddDrop(),
                "A sound before the drop is far louder than what was taken for the drop, and comes elsewhere in ticks"
                        + " than in tocks: amplitude and beat error may be off");
    }

    private static Optional<String> hardlyRising(BeatSounds.Chosen chosen) {
        return where(
                chosen.hasAnUnlockingThatHardlyRises(),
                "The unlocking hardly rises above what is heard before it: amplitude and beat error may be off; press"
                        + " the pick-up to the crown and keep the room quiet");
    }

    private static Optional<String> unequal(LiftFigures lift, double agreement) {
        return where(
                lift.unequal() > UNEQUAL || agreement < BeatTimes.AGREED,
                "Tick and tock seem to take unequally long, which they should not: amplitude and beat error may be off");
    }

    private static Optional<String> few(int detected, int expected) {
        return where(
                detected < ENOUGH_BEATS * expected, "Only %d of %d beats could be used".formatted(detected, expected));
    }

    private static Optional<String> where(boolean so, String sentence) {
        return so ? Optional.of(sentence) : Optional.empty();
    }

    private Doubts and(String sentence, double moreDegrees) {
        return new Doubts(and(Optional.of(sentence)).sentences(), Math.max(degrees, moreDegrees));
    }

    /** With a sentence more, where there is one. */
    Doubts and(Optional<String> sentence) {
        List<String> all = new ArrayList<>(sentences);
        sentence.ifPresent(all::add);
        return new Doubts(List.copyOf(all), degrees);
    }
}
