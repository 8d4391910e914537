package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.Sounds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is refused, and how that is said. */
class BeatAnalyserTest {
    private static final BeatAnalyser AUTO = BeatAnalyser.recognising(LiftAngle.ASSUMED_52);

    @Test
    void tooShortIsSaidWithBothLengths() {
        assertThatThrownBy(() -> AUTO.analyse(Sounds.noise(2, 1)))
                .isInstanceOf(NoCredibleBeatException.class)
                .hasMessageContaining("2.0 s")
                .hasMessageContaining("4 s");
    }

    @Test
    void silenceIsSaidToBeSilent() {
        assertThatThrownBy(() -> AUTO.analyse(Sounds.silence(10)))
                .isInstanceOf(NoCredibleBeatException.class)
                .hasMessageContaining("silent");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void noiseAloneGivesNoNumber(long seed) {
        assertThatThrownBy(() -> AUTO.analyse(Sounds.noise(12, seed))).isInstanceOf(NoCredibleBeatException.class);
    }

    @Test
    void noiseGivesNoNumberForAStatedBeatRateEither() {
        assertThatThrownBy(() -> BeatAnalyser.forBeatRate(BeatRate.of(18_000), LiftAngle.ASSUMED_52)
                        .analyse(Sounds.noise(12, 3)))
                .isInstanceOf(NoCredibleBeatException.class)
                .hasMessageContaining("18000");
    }

    @Test
    void humGivesNoNumber() {
        assertThatThrownBy(() -> AUTO.analyse(Sounds.hum(12, 50))).isInstanceOf(NoCredibleBeatException.class);
    }

    @Test
    void beatRateThatIsNotThereIsRefusedAndTheOneHeardIsNamed() {
        Sound fast = RecordingsTest.sound("public-4.wav"); // 36 000 bph

        assertThatThrownBy(() -> BeatAnalyser.forBeatRate(BeatRate.of(21_600), LiftAngle.ASSUMED_52)
                        .analyse(fast))
                .isInstanceOfSatisfying(
                        NoCredibleBeatException.class,
                        e -> assertThat(e.whatToDo()).contains("36000"));
    }

    @Test
    void assumedLiftAngleKeepsItsMark() {
        assertThat(AUTO.analyse(RecordingsTest.sound("public-1.wav"))
                        .liftAngle()
                        .assumed())
                .isTrue();
    }
}
