package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values of M6. */
class TrainTest {
    private static Train train(int fourthTeeth, int escapePinion, int escapeTeeth) {
        return new Train(List.of(
                new Train.Mobile("barrel", 72, 0),
                new Train.Mobile("centre", 80, 12),
                new Train.Mobile("third", 75, 10),
                new Train.Mobile("fourth", fourthTeeth, 10),
                new Train.Mobile("escape", escapeTeeth, escapePinion)));
    }

    @Test
    void countsGiveBeatRateAndPeriods() {
        Train train = train(80, 8, 15);

        assertThat(train.beatRate().beatsPerHour()).isCloseTo(18_000, within(1e-6));
        assertThat(train.periodsSeconds().subList(1, 5)).containsExactly(3600.0, 450.0, 60.0, 6.0);
        // 72/12 hours for a turn of the barrel
        assertThat(train.periodsSeconds().get(0)).isCloseTo(6 * 3600, within(1e-6));
    }

    @Test
    void fasterEscapeGivesTwentyEightThousandEightHundred() {
        Train train = train(84, 7, 20);

        assertThat(train.beatRate().beatsPerHour()).isCloseTo(28_800, within(1e-6));
        assertThat(train.periodsSeconds().get(4)).isCloseTo(5, within(1e-9));
    }

    /** M6: a missing count is solved for the whole number that gives the stated beat. */
    @ParameterizedTest
    @CsvSource({"1, WHEEL, 80", "2, WHEEL, 75", "3, PINION, 10", "3, WHEEL, 80", "4, WHEEL, 15", "4, PINION, 8"})
    void missingCountIsSolved(int place, Train.Count count, int expected) {
        assertThat(Train.solve(CV_12, place, count, BeatRate.of(18_000))).hasValue(expected);
    }

    @Test
    void noWholeNumberGivesAnOddBeat() {
        assertThat(Train.solve(CV_12, 2, Train.Count.WHEEL, BeatRate.of(18_101)))
                .isEmpty();
        // the barrel and the centre pinion decide how long it runs, not how fast it beats
        assertThat(Train.solve(CV_12, 0, Train.Count.WHEEL, BeatRate.of(18_000)))
                .isEmpty();
        assertThat(Train.solve(CV_12, 1, Train.Count.PINION, BeatRate.of(18_000)))
                .isEmpty();
    }

    private static final List<Train.Mobile> CV_12 = List.of(
            new Train.Mobile("barrel", 72, 0),
            new Train.Mobile("centre", 80, 12),
            new Train.Mobile("third", 75, 10),
            new Train.Mobile("fourth", 80, 10),
            new Train.Mobile("escape", 15, 8));
}
