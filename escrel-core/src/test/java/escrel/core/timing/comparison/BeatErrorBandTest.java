package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.calibre.CalibreData.Stud;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** M11, the one source for limits. */
class BeatErrorBandTest {
    @ParameterizedTest
    @CsvSource({
        "0.3, very good",
        "0.31, good",
        "0.6, good",
        "1.0, accepted on a fixed stud",
        "1.1, to be corrected",
        "3.0, to be corrected"
    })
    void limits(double millis, String words) {
        assertThat(BeatErrorBand.words(millis)).isEqualTo(words);
        assertThat(last(Stud.FIXED, read(ReadingState.AS_RECEIVED, millis))).isEqualTo(words);
    }

    private static ReadingTaken read(ReadingState state, double millis) {
        return new ReadingTaken(
                state,
                Fitted.CASED,
                Wound.FULL,
                new Reading(
                        Position.DIAL_UP,
                        Measured.single(4),
                        Measured.single(240),
                        Measured.single(millis),
                        null,
                        LiftAngle.known(50),
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.CLEAN,
                        ""));
    }

    private static String last(Stud stud, ReadingTaken... readings) {
        List<ReadingSet> sets = ReadingSet.of(Histories.of(readings));
        return BeatErrorBand.words(sets.get(sets.size() - 1), Position.DIAL_UP, sets, stud);
    }

    @Test
    void sevenMillisecondsOnAFixedStudAreTheColletsFirst() {
        assertThat(last(Stud.FIXED, read(ReadingState.AS_RECEIVED, 7))).isEqualTo("to be corrected, the collet first");
        assertThat(last(Stud.MOVABLE, read(ReadingState.AS_RECEIVED, 7))).isEqualTo("to be corrected");
        assertThat(last(null, read(ReadingState.AS_RECEIVED, 7))).isEqualTo("to be corrected");
    }

    @Test
    void assemblyIsSuspectedWhereItWasSmallBefore() {
        assertThat(last(Stud.FIXED, read(ReadingState.AS_RECEIVED, 0.8), read(ReadingState.FIRST_RUN, 4)))
                .contains("suspect the assembly", "small before the service");
        assertThat(last(Stud.FIXED, read(ReadingState.AS_RECEIVED, 5), read(ReadingState.FIRST_RUN, 4)))
                .isEqualTo("to be corrected, the collet first");
    }

    @Test
    void assemblyIsSuspectedWhereItJumps() {
        assertThat(last(Stud.FIXED, read(ReadingState.FIRST_RUN, 0.5), read(ReadingState.FIRST_RUN, 4)))
                .contains("suspect the assembly", "jumps");
    }

    @Test
    void nothingReadSaysNothing() {
        List<ReadingSet> sets = ReadingSet.of(Histories.of(read(ReadingState.FIRST_RUN, 4)));
        assertThat(BeatErrorBand.words(sets.get(0), Position.CROWN_UP, sets, Stud.FIXED))
                .isEmpty();
    }
}
