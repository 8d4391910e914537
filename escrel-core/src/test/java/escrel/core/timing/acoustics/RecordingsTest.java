package escrel.core.timing.acoustics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.Sounds;
import escrel.core.timing.sound.WavStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The synthetic recordings with known truth, made elsewhere than our simulator. */
class RecordingsTest {
    private static final Pattern ENTRY = Pattern.compile(
            "\"file\": \"([^\"]+)\",\\s*\"bph\": (\\d+),\\s*\"liftAngle\": (\\d+).*?\"rateSecondsPerDay\": ([-\\d.]+)"
                    + ",\\s*\"amplitudeDegrees\": ([\\d.]+),\\s*\"beatErrorMillis\": ([\\d.]+)",
            Pattern.DOTALL);

    record Truth(String file, double beats, double lift, double rate, double amplitude, double beatError) {}

    static Stream<Truth> truths() {
        List<MatchResult> found = ENTRY.matcher(new String(bytes("truth.json"), StandardCharsets.UTF_8))
                .results()
                .toList();
        assertThat(found).hasSize(12);
        return found.stream()
                .map(m -> new Truth(m.group(1), number(m, 2), number(m, 3), number(m, 4), number(m, 5), number(m, 6)));
    }

    private static double number(MatchResult match, int group) {
        return Double.parseDouble(match.group(group));
    }

    private static byte[] bytes(String name) {
        try (InputStream in = RecordingsTest.class.getResourceAsStream("/recordings/" + name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Sound sound(String name) {
        try (InputStream in = RecordingsTest.class.getResourceAsStream("/recordings/" + name)) {
            return WavStream.open(in, Channels::beating).next(60);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("truths")
    void withinWhatIsPromised(Truth truth) {
        LiftAngle lift = LiftAngle.known(truth.lift());
        Sound sound = sound(truth.file());
        for (BeatAnalyser analyser :
                List.of(BeatAnalyser.forBeatRate(BeatRate.of(truth.beats()), lift), BeatAnalyser.recognising(lift))) {
            SoundReading heard = analyser.analyse(sound);

            assertThat(heard.beatRate().beatsPerHour()).isEqualTo(truth.beats());
            assertThat(heard.rateSecondsPerDay().value())
                    .isCloseTo(truth.rate(), within(0.3 + 0.001 * Math.abs(truth.rate())));
            // the eighth swells by 9° with its escape wheel
            assertThat(heard.amplitudeDegrees().value())
                    .isCloseTo(truth.amplitude(), within(truth.file().equals("public-8.wav") ? 3.0 : 2.0));
            assertThat(heard.beatErrorMillis().value()).isCloseTo(truth.beatError(), within(0.05));
            assertThat(heard.beatsMissed() + heard.beatsRejected()).isLessThanOrEqualTo(6);
        }
    }

    @ParameterizedTest
    @MethodSource("truths")
    void louderOrLaterChangesNothingButTheDoubt(Truth truth) {
        BeatAnalyser analyser = BeatAnalyser.forBeatRate(BeatRate.of(truth.beats()), LiftAngle.known(truth.lift()));
        Sound sound = sound(truth.file());
        SoundReading as = analyser.analyse(sound);

        for (float gain : new float[] {0.05f, 0.37f, 0.9f}) {
            SoundReading softer = analyser.analyse(Sounds.times(sound, gain));
            // the last bit of a sample may bring one beat in or out, which is far less than what noise does to all of
            // them
            assertThat(softer.rateSecondsPerDay().value())
                    .isCloseTo(
                            as.rateSecondsPerDay().value(),
                            within(as.rateSecondsPerDay().doubt() / 2));
            assertThat(softer.amplitudeDegrees().value())
                    .isCloseTo(as.amplitudeDegrees().value(), within(0.3));
        }
        SoundReading later = analyser.analyse(Sounds.from(sound, 1.37));

        // a tenth less sound: within the scatter that the truth itself has over the shorter stretch
        assertThat(later.rateSecondsPerDay().value()).isCloseTo(truth.rate(), within(0.6));
        assertThat(later.amplitudeDegrees().value()).isCloseTo(truth.amplitude(), within(3.0));
    }
}
