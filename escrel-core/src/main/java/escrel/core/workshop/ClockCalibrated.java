package escrel.core.workshop;

import escrel.core.service.Step;
import escrel.core.timing.readings.DeviceClock;

/**
 * The clock of a sound device was measured, or typed in.
 *
 * @param device as the computer names it
 * @param ppm how fast the clock runs, parts per million
 * @param doubtPpm one standard error of it
 * @param reference what it was compared with, in words
 */
public record ClockCalibrated(String device, double ppm, double doubtPpm, String reference) implements Step {
    public ClockCalibrated {
        if (device.isBlank() || !Double.isFinite(ppm) || !(doubtPpm >= 0)) {
            throw new IllegalArgumentException(
                    "a clock needs a device, a number and a doubt, was “" + device + "” " + ppm + " ± " + doubtPpm);
        }
    }

    /** The clock from here on. */
    public DeviceClock clock() {
        return new DeviceClock(device, ppm, doubtPpm);
    }
}
