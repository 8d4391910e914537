package escrel.web.testing;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.sound.WavFile;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** WAV files of a simulated movement with known truth. */
public final class Recordings {
    private Recordings() {}

    /** Sixteen seconds of a CV-12 with this rate and amplitude. */
    public static byte[] cv12(double rate, double amplitude) {
        return cv12(rate, amplitude, 16);
    }

    /** Some seconds of a CV-12 with this rate and amplitude. */
    public static byte[] cv12(double rate, double amplitude, double seconds) {
        return cv12(rate, amplitude, seconds, 44_100);
    }

    /** A minute of a CV-12 that keeps time, so many samples a second. */
    public static byte[] minute(double sampleRate) {
        return cv12(0, 270, 60, sampleRate);
    }

    private static byte[] cv12(double rate, double amplitude, double seconds, double sampleRate) {
        Swinging swinging = new Swinging(BeatRate.of(18_000), LiftAngle.known(50), rate, amplitude, 1.2, 0);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            WavFile.write(new SimulatedPickup(sampleRate, 99).listen(swinging, Room.QUIET, seconds), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Sixteen seconds as a file. */
    public static Path cv12File(double rate, double amplitude) {
        return cv12File(rate, amplitude, 16);
    }

    /** The same as a file. */
    public static Path cv12File(double rate, double amplitude, double seconds) {
        try {
            return Files.write(
                    Files.createTempFile(Path.of("target"), "cv12-", ".wav"), cv12(rate, amplitude, seconds));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
