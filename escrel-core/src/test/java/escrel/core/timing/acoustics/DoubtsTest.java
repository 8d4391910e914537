package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.beats.BeatSounds;
import escrel.core.timing.beats.Rise;
import escrel.core.timing.readings.Swing;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What speaks against a reading is said, and its doubt holds the other possibility. */
class DoubtsTest {
    private static final Swing SWING = new Swing(BeatRate.of(18_000), LiftAngle.known(50));
    private static final Rise UNLOCK = new Rise(0, 3, 0.05, 12);
    private static final Rise IMPULSE = new Rise(0.004, 3, 0.2, 20);
    private static final Rise DROP = new Rise(0.012, 6, 1, 25);

    private static BeatSounds.Pair pair(Rise unlock, Rise impulse) {
        return new BeatSounds.Pair(unlock, impulse, DROP, 10);
    }

    private static Doubts about(BeatSounds.Pair both, BeatSounds.Rival rival, double lead, double unequal, int used) {
        LiftFigures lift = new LiftFigures(0.012, 3e-5, 0.0003, 3e-5, unequal);
        Amplitude amplitude = SWING.amplitude(0.012, 0.0003);
        return Doubts.about(new BeatSounds.Chosen(both, both, rival, lead, 20), lift, amplitude, SWING, 1, used, 100);
    }

    private static BeatSounds.Rival rival(double lift) {
        BeatSounds.Pair pair = new BeatSounds.Pair(new Rise(0.012 - lift, 3, 0.05, 12), null, DROP, 10);
        return new BeatSounds.Rival(pair, pair, 10);
    }

    @Test
    void nothingSpeaksAgainstAClearBeat() {
        assertThat(about(pair(UNLOCK, IMPULSE), null, 99, 1, 95)).isEqualTo(new Doubts(List.of(), 0));
    }

    @Test
    void aCloseRivalIsNamedWithItsAmplitude() {
        Doubts doubts = about(pair(UNLOCK, IMPULSE), rival(0.016), 0.4, 1, 95);

        double other = SWING.amplitude(0.016).degrees();
        assertThat(doubts.sentences()).singleElement().asString().contains("%.0f°".formatted(other));
        assertThat(doubts.degrees())
                .isEqualTo(Math.abs(other - SWING.amplitude(0.012, 0.0003).degrees()) / 2);
        assertThat(about(pair(UNLOCK, IMPULSE), rival(0.016), 4, 1, 95).sentences())
                .isEmpty();
    }

    @Test
    void withoutAnImpulseTheUnlockingMayBeIt() {
        assertThat(about(pair(UNLOCK, null), null, 99, 1, 95).sentences())
                .singleElement()
                .asString()
                .startsWith("No clear impulse");
        // a loud unlocking with a faint impulse is more likely an impulse with its echo
        Rise loud = new Rise(0, 5, 0.6, 20);
        Rise faint = new Rise(0.004, 0.4, 0.02, 8);
        assertThat(about(pair(loud, faint), null, 99, 1, 95).degrees()).isGreaterThan(20);
        // a faint one with a fainter impulse is not
        assertThat(about(pair(UNLOCK, faint), null, 99, 1, 95).sentences()).isEmpty();
    }

    /** A third louder than what comes before it, it may begin somewhere else; twice as loud it does not. */
    @Test
    void unlockingThatHardlyRisesIsDoubted() {
        Rise third = new Rise(0, Math.log(4.0 / 3), 0.05, 12);
        Rise twice = new Rise(0, Math.log(2), 0.05, 12);

        assertThat(about(pair(third, IMPULSE), null, 99, 1, 95).sentences())
                .singleElement()
                .asString()
                .startsWith("The unlocking hardly rises");
        assertThat(about(pair(twice, IMPULSE), null, 99, 1, 95).sentences()).isEmpty();
    }

    /** A ripple of a thirtieth of the first sound is no impulse, however loud or soft that first sound is. */
    @Test
    void rippleAfterTheFirstSoundIsNoImpulse() {
        Rise first = new Rise(0, 3, 0.15, 11);
        Rise ripple = new Rise(0.003, 0.5, 0.005, 6);

        assertThat(about(pair(first, ripple), null, 99, 1, 95).sentences())
                .singleElement()
                .asString()
                .startsWith("No clear impulse");
        assertThat(about(pair(first, new Rise(0.004, 2, 0.03, 12)), null, 99, 1, 95)
                        .sentences())
                .isEmpty();
    }

    /** The impulse comes at the same place of the lift both ways: a loud sound that does not is perhaps the drop. */
    @Test
    void dropFarFainterThanASoundBeforeItIsDoubtedWhereThatComesElsewhereInTheOtherHalf() {
        assertThat(withImpulses(new Rise(0.0045, 4.6, 0.66, 7), new Rise(0.0037, 2.5, 0.31, 5)))
                .singleElement()
                .asString()
                .startsWith("A sound before the drop is far louder");
        // loud, where the impulse belongs
        assertThat(withImpulses(new Rise(0.0041, 4.6, 0.66, 7), new Rise(0.004, 2.5, 0.31, 5)))
                .isEmpty();
        // elsewhere, but no louder than impulses are
        assertThat(withImpulses(new Rise(0.0045, 4.6, 0.2, 7), new Rise(0.0037, 2.5, 0.31, 5)))
                .isEmpty();
    }

    private static List<String> withImpulses(Rise tick, Rise tock) {
        BeatSounds.Pair faint = new BeatSounds.Pair(UNLOCK, tick, new Rise(0.012, 3.4, 0.14, 5), 9);
        LiftFigures lift = new LiftFigures(0.012, 3e-5, 0.0003, 3e-5, 1);
        BeatSounds.Chosen chosen = new BeatSounds.Chosen(faint, pair(UNLOCK, tock), null, 99, 20);
        return Doubts.about(chosen, lift, SWING.amplitude(0.012, 0.0003), SWING, 1, 95, 100)
                .sentences();
    }

    @Test
    void unequalTickAndTockAndMissingBeatsAreSaid() {
        assertThat(about(pair(UNLOCK, IMPULSE), null, 99, 4, 60).sentences())
                .anyMatch(s -> s.startsWith("Tick and tock seem to take unequally long"))
                .anyMatch(s -> s.contains("Only 60 of 100 beats"));
    }

    @Test
    void strengthComesFromSharpnessOrFromComingBack() {
        assertThat(new Rise(0, 4, 1, 3).strength()).isEqualTo(3);
        assertThat(new Rise(0, 0.2, 0.01, 9).strength()).isEqualTo(3);
        assertThat(new Rise(0, 0.1, 0.01, 3).strength()).isLessThan(0.2);
    }
}
