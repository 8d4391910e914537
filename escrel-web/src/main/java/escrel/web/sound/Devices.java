package escrel.web.sound;

import escrel.core.timing.readings.DeviceClock;
import escrel.core.workshop.ClockCalibrated;
import escrel.core.workshop.ClockForgotten;
import escrel.core.workshop.WorkshopLog.KnownClock;
import escrel.web.storage.WorkshopLogs;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** The clocks of the sound devices, as far as they were calibrated: what the log of the workshop says of them. */
@Component
public class Devices {
    /** A file whose recorder nobody named. */
    public static final String FILE = "file, recorder not said";

    private static final int LONGEST = 200;

    private final WorkshopLogs log;

    Devices(WorkshopLogs log) {
        this.log = log;
    }

    /** The clock of a device; uncalibrated when nobody has calibrated it. */
    public DeviceClock clockOf(String device) {
        return log.load().clockOf(shorten(device));
    }

    /** All clocks that are known. */
    public List<KnownClock> all() {
        return log.load().clocks();
    }

    /**
     * Keeps a calibration; readings taken before keep the clock they were taken with.
     *
     * @param known a calibrated clock
     * @param reference what it was compared with, in words
     */
    public void keep(DeviceClock known, String reference) {
        log.append(new ClockCalibrated(
                shorten(known.device()),
                known.ppm(),
                Objects.requireNonNull(known.doubtPpm(), "an uncalibrated clock is not kept"),
                reference.length() <= 2 * LONGEST ? reference : reference.substring(0, 2 * LONGEST)));
    }

    /** Forgets a calibration; nothing happens when none is known. */
    public void forget(String device) {
        String name = shorten(device);
        if (log.load().clockOf(name).calibrated()) {
            log.append(new ClockForgotten(name));
        }
    }

    private static String shorten(String device) {
        String name = device.isBlank() ? FILE : device.strip();
        return name.length() <= LONGEST ? name : name.substring(0, LONGEST);
    }
}
