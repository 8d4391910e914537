package escrel.web.devices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavFile;
import escrel.web.sound.Devices;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The clock of a device, measured against pulses and against a watch of known rate. */
class DevicesTest {
    private static final double SAMPLE_RATE = 22_050;

    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    /** A minute of one click a second, as a device hears it whose clock runs fast by so many parts per million. */
    private static byte[] pulses(double ppm) throws IOException {
        float[] out = new float[(int) (60 * SAMPLE_RATE)];
        for (double at = 0.4; at < 59.5; at += 1 + ppm * 1e-6) {
            for (int i = (int) Math.ceil(at * SAMPLE_RATE); i < at * SAMPLE_RATE + 200; i++) {
                double t = i / SAMPLE_RATE - at;
                out[i] += (float) (0.5 * Math.exp(-t / 0.002) * Math.sin(2 * Math.PI * 2_500 * t));
            }
        }
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        WavFile.write(new Sound(out, SAMPLE_RATE), wav);
        return wav.toByteArray();
    }

    private HttpResponse<String> measure(String device, String reference, String trueRate, byte[] wav) {
        return visitor.upload(
                "/devices/measured",
                Map.of("device", device, "reference", reference, "trueRate", trueRate, "trueDoubt", "0.5"),
                "sound",
                "reference.wav",
                wav);
    }

    @Test
    void aMinuteOfPulsesGivesTheClock() throws IOException {
        String page = measure("pulses device", "PULSES", "0", pulses(80)).body();

        DeviceClock clock = server.bean(Devices.class).clockOf("pulses device");
        assertThat(clock.ppm()).isCloseTo(80, within(3.0));
        assertThat(clock.calibrated()).isTrue();
        assertThat(page).contains("pulses device", "one pulse a second, 60 s");
    }

    @Test
    void aWatchOfKnownRateGivesTheClockAndItsDoubtIsCarried() {
        // heard at +14.5 s/d, truly +10: the device's clock is slow by 52 ppm
        measure("watch device", "WATCH", "10", Recordings.cv12(14.5, 260));

        DeviceClock clock = server.bean(Devices.class).clockOf("watch device");
        assertThat(clock.ppm()).isCloseTo(-4.5 / 0.0864, within(5.0));
        assertThat(clock.doubtSecondsPerDay()).isBetween(0.5, 0.7);
    }

    @Test
    void forgettingMakesItUncalibratedAgain() {
        visitor.post("/devices/typed", Map.of("device", "old device", "ppm", "12", "doubtPpm", "3"));
        visitor.post("/devices/forget", Map.of("device", "old device"));

        assertThat(server.bean(Devices.class).clockOf("old device").calibrated())
                .isFalse();
    }

    @Test
    void slowClockIsSaidToBeSlowAndItsNameStaysAsTyped() {
        String page = visitor.post("/devices/typed", Map.of("device", "pick-up 2", "ppm", "-25", "doubtPpm", "1"))
                .body();

        assertThat(page).contains("The clock of “pick-up 2” runs 25.0 ± 1.0 ppm slow", "corrected by −2.16 s/d");
    }

    @Test
    void calibrationTakenBackLetsTheOneBeforeHoldAgain() {
        visitor.post("/devices/typed", Map.of("device", "twice device", "ppm", "12", "doubtPpm", "3"));
        visitor.post("/devices/typed", Map.of("device", "twice device", "ppm", "1200", "doubtPpm", "3"));
        int last = server.bean(WorkshopLogs.class).load().acts().lastSequence();

        String page = visitor.post("/devices/acts/" + last + "/back", Map.of()).body();

        assertThat(page).contains("Taken back: clock of “twice device” runs 1200.0", "(taken back)");
        assertThat(server.bean(Devices.class).clockOf("twice device").ppm()).isEqualTo(12);
        HttpResponse<String> again = visitor.post("/devices/acts/" + last + "/back", Map.of());
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("does not count any more");
    }

    @ParameterizedTest
    @CsvSource({"'', 3, No device was named", "a device, 9000, is not credible", "a device, fast, could not be read"})
    void oddCalibrationsAreRefusedInWords(String device, String ppm, String words) {
        HttpResponse<String> answer =
                visitor.post("/devices/typed", Map.of("device", device, "ppm", ppm, "doubtPpm", "1"));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words);
    }

    @Test
    void noiseIsNoReference() throws IOException {
        Random random = new Random(3);
        float[] noise = new float[(int) (30 * SAMPLE_RATE)];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = (float) (0.1 * random.nextGaussian());
        }
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        WavFile.write(new Sound(noise, SAMPLE_RATE), wav);

        HttpResponse<String> answer = measure("noisy device", "PULSES", "0", wav.toByteArray());

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(server.bean(Devices.class).clockOf("noisy device").calibrated())
                .isFalse();
    }
}
