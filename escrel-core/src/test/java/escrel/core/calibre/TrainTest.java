package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

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
}
