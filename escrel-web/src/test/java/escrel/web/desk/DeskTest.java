package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.sound.Sound;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import escrel.web.sound.Analysis;
import escrel.web.testing.BenchHand;
import java.util.Arrays;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A live listening, piece by piece, without a browser. */
@Tag("long")
class DeskTest {
    private static final int RATE = 44_100;
    private static final int PIECE = RATE * 3 / 20;

    private final CalibreSheet cv12 = BenchHand.demoSheet("cv-12");
    private final DeskSession session = new DeskSession(
            1, DeviceClock.uncalibrated("test"), false, Analysis.analyser(cv12), Analysis.escapeTeeth(cv12), RATE);

    private final Sound watch = new SimulatedPickup(RATE, 7)
            .listen(new Swinging(cv12.data().beatRate(), LiftAngle.known(50), 6, 255, 1.2, 0), Room.QUIET, 30);

    private int heard;

    private DeskState hear(Sound sound, double from, double to) {
        DeskState state = null;
        for (int i = (int) (from * RATE); i + PIECE <= to * RATE; i += PIECE) {
            state = hear(sound, i);
        }
        return state;
    }

    /** Every third piece is analysed, about as often as on a slow computer, but whatever the clock of this one says. */
    private DeskState hear(Sound sound, int from) {
        boolean now = ++heard % 3 == 0;
        return session.hear(
                Arrays.copyOfRange(sound.samples(), from, from + PIECE), now ? Long.MAX_VALUE : Long.MIN_VALUE);
    }

    @Test
    void isSurerTheLongerItListensAndSettles() {
        DeskState early = hear(watch, 0, 6);
        DeskState late = hear(watch, 6, 20);

        assertThat(early.settled()).isFalse();
        assertThat(early.waitsFor()).contains("of 12 s"); // two turns of the CV-12's escape wheel
        assertThat(late.settled()).isTrue();
        assertThat(session.take().reading().rateSecondsPerDay().value()).isCloseTo(6, within(0.5));
        assertThat(late.strip()).hasSizeGreaterThan(3 * 60);
        assertThat(late.heard().marks()).hasSize(6);
    }

    @Test
    void startingAgainForgetsWhatWasHeard() {
        hear(watch, 0, 12);
        session.startAgain();
        DeskState after = hear(watch, 12, 14);

        assertThat(after.figures()).isNull();
        assertThat(after.strip()).isEmpty();
        assertThatThrownBy(session::take).isInstanceOf(MendableException.class);
    }

    @Test
    void handlingIsNoticed() {
        hear(watch, 0, 12);
        float[] knock = new float[PIECE];
        for (int i = 0; i < PIECE; i++) {
            knock[i] = (float) Math.sin(0.3 * i);
        }
        session.hear(knock, Long.MAX_VALUE);
        DeskState state = session.hear(knock, Long.MAX_VALUE);

        assertThat(state.figures()).isNull();
        assertThat(state.hint()).containsAnyOf("moved", "too loud");
    }

    /** A piece lost on the way: what comes before and after does not fit together. */
    @Test
    void lostSoundIsGotOver() {
        hear(watch, 0, 9);
        DeskState state = null;
        // the desk takes the first that has settled
        for (int i = 62 * PIECE;
                i + PIECE <= watch.samples().length && (state == null || !state.settled());
                i += PIECE) {
            state = hear(watch, i);
        }

        assertThat(state.settled()).as(state.waitsFor() + " " + state.hint()).isTrue();
        assertThat(state.figures().secondsPerDay()).isCloseTo(6, within(0.5));
    }

    /** What a busy browser loses now and then: the desk goes on with what it has, and says so. */
    @Test
    void aMomentLostIsPutTogetherAndSaid() {
        hear(watch, 0, 12);
        DeskState state = hear(watch, 12.027, 20);

        assertThat(state.seconds()).as("nothing was begun anew").isGreaterThan(19);
        assertThat(state.figures()).isNotNull();
        assertThat(state.figures().secondsPerDay()).isCloseTo(6, within(0.7));
        assertThat(state.hint()).contains("Sound was lost");
    }

    @Test
    void silenceAndFaintnessAreSaid() {
        assertThat(session.hear(new float[PIECE], 0).hint()).contains("silent");
        float[] faint = new float[PIECE];
        faint[5] = 0.0001f;
        assertThat(session.hear(faint, 0).hint()).contains("too faint");
    }
}
