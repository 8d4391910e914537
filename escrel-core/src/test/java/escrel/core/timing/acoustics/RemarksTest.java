package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was noticed of a sound is said, and does not spoil its reading. */
class RemarksTest {
    private static List<String> remarks(String file, double beats, double lift) {
        SoundReading heard = BeatAnalyser.forBeatRate(BeatRate.of(beats), LiftAngle.known(lift))
                .analyse(RecordingsTest.sound(file));
        assertThat(heard.doubts()).isEmpty();
        return heard.remarks();
    }

    @ParameterizedTest
    @CsvSource({
        // 79 beats are not three turns of 30: that it goes with the wheel cannot be told
        "public-8.wav, 18000, 47, goes up and down",
        "public-9.wav, 21600, 50, The loudness jumps",
    })
    void whatMakesReadingHardIsNamed(String file, double beats, double lift, String words) {
        assertThat(remarks(file, beats, lift)).singleElement().asString().contains(words);
    }

    @ParameterizedTest
    @CsvSource({"public-1.wav, 28800, 52", "public-2.wav, 21600, 50", "public-7.wav, 28800, 52"})
    void whereNothingIsSpecialNothingIsSaid(String file, double beats, double lift) {
        assertThat(remarks(file, beats, lift)).isEmpty();
    }
}
