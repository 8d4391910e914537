package escrel.simulator.pickup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavFile;
import escrel.core.timing.sound.WavStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A recording of minutes is analysed stretch by stretch and read as one. */
class LongRecordingTest {
    private static final LiftAngle LIFT = LiftAngle.known(50);

    /** Rates, beat rates and lengths unlike each other; 91 s is just more than one stretch. */
    @ParameterizedTest
    @CsvSource({"18000, 200, -41, 214", "28800, 91, 3.2, 288", "21600, 130, 12, 251"})
    void readAsOneItIsWhatItWasMadeFrom(double bph, double seconds, double rate, double amplitude) throws IOException {
        BeatRate beatRate = BeatRate.of(bph);
        Sound sound = new SimulatedPickup(22_050, 7)
                .listen(Swinging.steady(beatRate, LIFT, rate, amplitude), Room.ofDecibels(24), seconds);
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        WavFile.write(sound, wav);

        SoundReading reading;
        try (WavStream stream = WavStream.open(new ByteArrayInputStream(wav.toByteArray()))) {
            reading = Stretches.analyse(BeatAnalyser.forBeatRate(beatRate, LIFT), stream);
        }

        assertThat(reading.rateSecondsPerDay().value()).isCloseTo(rate, within(0.1));
        assertThat(reading.amplitudeDegrees().value()).isCloseTo(amplitude, within(4.0));
        assertThat(reading.seconds()).isCloseTo(seconds, within(0.5));
        List<SoundReading.Beat> beats = reading.beats();
        // numbered through over the seams: the last number is the beats that fit in between
        double fit = (beats.get(beats.size() - 1).seconds() - beats.get(0).seconds()) * bph / 3600;
        assertThat(beats.get(beats.size() - 1).number() - beats.get(0).number()).isEqualTo((int) Math.round(fit));
        assertThat(reading.beatsDetected()).isGreaterThan((int) (0.98 * fit));
    }

    private static SoundReading withoutSound(double seconds, double from, double to) throws IOException {
        Sound sound = new SimulatedPickup(22_050, 8)
                .listen(Swinging.steady(BeatRate.of(18_000), LIFT, 5, 260), Room.ofDecibels(24), seconds);
        for (int i = (int) (from * 22_050); i < to * 22_050; i++) {
            sound.samples()[i] = 0;
        }
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        WavFile.write(sound, wav);
        try (WavStream stream = WavStream.open(new ByteArrayInputStream(wav.toByteArray()))) {
            return Stretches.analyse(BeatAnalyser.forBeatRate(BeatRate.of(18_000), LIFT), stream);
        }
    }

    @Test
    void aStretchWithoutABeatIsSaidAndTheRestIsRead() throws IOException {
        SoundReading reading = withoutSound(180, 60.5, 119.5);

        assertThat(reading.rateSecondsPerDay().value()).isCloseTo(5, within(0.2));
        assertThat(reading.doubts()).anyMatch(d -> d.contains("1 of 3 stretches"));
    }

    @Test
    void whatIsMostlySilentIsRefused() {
        assertThatThrownBy(() -> withoutSound(180, 30, 179)).isInstanceOf(NoCredibleBeatException.class);
    }
}
