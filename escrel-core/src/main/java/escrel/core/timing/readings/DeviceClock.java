package escrel.core.timing.readings;

import escrel.core.quantity.Measured;
import org.jspecify.annotations.Nullable;

/**
 * The clock of a sound device, which every rate heard through it shares. A device whose clock runs fast by p parts per
 * million hears every watch {@code 0.0864·p} s/d slow; 50 ppm are 4.32 s/d. Source: M2.
 *
 * @param device as the computer names it
 * @param ppm how fast the clock runs; 0 while not calibrated
 * @param doubtPpm one standard error of it; nothing while not calibrated
 */
public record DeviceClock(
        String device, double ppm, @Nullable Double doubtPpm) {
    private static final double SECONDS_PER_DAY_PER_PPM = 0.0864;

    public DeviceClock {
        if (!Double.isFinite(ppm)) {
            throw new IllegalArgumentException("ppm of a device clock must be a number, was " + ppm);
        }
    }

    /** A device nobody has calibrated. */
    public static DeviceClock uncalibrated(String device) {
        return new DeviceClock(device, 0, null);
    }

    /** Whether it was calibrated. */
    public boolean calibrated() {
        return doubtPpm != null;
    }

    /** What the clock adds to the doubt of a rate, s/d: the same for all rates of one device; 0 while not calibrated. */
    public double doubtSecondsPerDay() {
        return doubtPpm == null ? 0 : SECONDS_PER_DAY_PER_PPM * doubtPpm;
    }

    /** A rate as heard, corrected; its own doubt stays, the clock's is not in it. */
    public Measured correct(Measured heard) {
        return new Measured(heard.value() + SECONDS_PER_DAY_PER_PPM * ppm, heard.doubt(), heard.kind());
    }

    /**
     * The clock from a reference whose true rate is known.
     *
     * @param heard rate of the reference as heard through the uncorrected device, s/d
     * @param truth its true rate with doubt, s/d; 0 with no doubt for a signal of known rate
     */
    public static DeviceClock fromReference(String device, Measured heard, Measured truth) {
        double ppm = (truth.value() - heard.value()) / SECONDS_PER_DAY_PER_PPM;
        double doubt = Math.hypot(truth.doubt(), heard.doubt()) / SECONDS_PER_DAY_PER_PPM;
        return new DeviceClock(device, ppm, doubt);
    }

    /** Whether two readings share this clock, so that it cancels between them. */
    public boolean sameAs(@Nullable DeviceClock other) {
        return other != null && device.equals(other.device) && ppm == other.ppm;
    }
}
