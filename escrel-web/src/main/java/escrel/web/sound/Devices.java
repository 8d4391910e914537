package escrel.web.sound;

import escrel.core.timing.readings.DeviceClock;
import escrel.web.storage.DeviceMapper;
import escrel.web.storage.DeviceMapper.DeviceRow;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The clocks of the sound devices, as far as they were calibrated. */
@Component
public class Devices {
    /** A file whose recorder nobody named. */
    public static final String FILE = "file, recorder not said";

    private static final int LONGEST = 200;

    private final DeviceMapper devices;
    private final Clock clock;

    Devices(DeviceMapper devices, Clock clock) {
        this.devices = devices;
        this.clock = clock;
    }

    /** The clock of a device; uncalibrated when nobody has calibrated it. */
    public DeviceClock clockOf(String device) {
        String name = shorten(device);
        return devices.find(name)
                .map(row -> new DeviceClock(row.name(), row.ppm(), row.doubtPpm()))
                .orElseGet(() -> DeviceClock.uncalibrated(name));
    }

    /** All calibrated devices. */
    public List<DeviceRow> all() {
        return devices.all();
    }

    /**
     * Keeps a calibration; readings taken before keep the clock they were taken with.
     *
     * @param reference what it was compared with, in words
     */
    @Transactional
    public void keep(DeviceClock known, String reference) {
        devices.forget(known.device());
        devices.insert(new DeviceRow(
                shorten(known.device()),
                known.ppm(),
                known.doubtPpm() == null ? 0 : known.doubtPpm(),
                reference.length() <= 2 * LONGEST ? reference : reference.substring(0, 2 * LONGEST),
                OffsetDateTime.now(clock)));
    }

    /** Forgets a calibration. */
    @Transactional
    public void forget(String device) {
        devices.forget(device);
    }

    private static String shorten(String device) {
        String name = device.isBlank() ? FILE : device.strip();
        return name.length() <= LONGEST ? name : name.substring(0, LONGEST);
    }
}
