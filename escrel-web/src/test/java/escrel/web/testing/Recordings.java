package escrel.web.testing;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.WavFile;
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
        Swinging swinging = new Swinging(BeatRate.of(18_000), LiftAngle.known(50), rate, amplitude, 1.2, 0);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            WavFile.write(new SimulatedPickup(44_100, 99).listen(swinging, Room.QUIET, 16), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The same as a file. */
    public static Path cv12File(double rate, double amplitude) {
        try {
            return Files.write(Files.createTempFile(Path.of("target"), "cv12-", ".wav"), cv12(rate, amplitude));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
