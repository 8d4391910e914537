package escrel.web.desk;

import escrel.core.timing.readings.DeviceClock;

/** What is known of a device's clock, in words. */
final class ClockWords {
    private ClockWords() {}

    static String of(DeviceClock clock) {
        if (clock.calibrated() && clock.ppm() == 0 && clock.doubtSecondsPerDay() == 0) {
            return "The simulated pick-up keeps exact time.";
        }
        return clock.calibrated()
                ? "Clock of “%s”: %+.1f ± %.1f ppm, corrected; ± %.2f s/d in every rate"
                        .formatted(clock.device(), clock.ppm(), clock.doubtPpm(), clock.doubtSecondsPerDay())
                        .replace("-", "−")
                : "Clock of “%s” not calibrated: all its rates share an unknown offset of up to several s/d"
                        .formatted(clock.device());
    }
}
