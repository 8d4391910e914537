package escrel.core.timing.readings;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.quantity.Rate;
import org.jspecify.annotations.Nullable;

/**
 * What was read in one position. Any figure may be absent: a missing one is named, never filled in.
 *
 * @param rateSecondsPerDay + gains
 * @param amplitudeDegrees for the lift angle given
 * @param beatErrorMillis true beat error
 * @param lift what was heard, for readings from sound; nothing for typed ones
 * @param liftAngle used, with its mark when assumed
 * @param beatRate used; nothing for a typed reading of a movement whose beat nobody knows
 * @param clock of the sound device, already corrected for; nothing for typed readings
 * @param recording number of the recording kept with the job, nothing when none was kept
 */
public record Reading(
        Position position,
        @Nullable Measured rateSecondsPerDay,
        @Nullable Measured amplitudeDegrees,
        @Nullable Measured beatErrorMillis,
        @Nullable LiftTime lift,
        LiftAngle liftAngle,
        @Nullable BeatRate beatRate,
        Source source,
        Trace trace,
        String note,
        @Nullable DeviceClock clock,
        @Nullable Integer recording) {
    /** 50 parts per million, as sound devices are off. Source: M2, M10. */
    private static final double UNCALIBRATED = 4.3;

    /** A timing machine whose clock nobody has compared. Source: M10. */
    private static final double TIMING_MACHINE = 1;

    /** A typed reading, or one of which neither clock nor recording is kept. */
    public Reading(
            Position position,
            @Nullable Measured rateSecondsPerDay,
            @Nullable Measured amplitudeDegrees,
            @Nullable Measured beatErrorMillis,
            @Nullable LiftTime lift,
            LiftAngle liftAngle,
            @Nullable BeatRate beatRate,
            Source source,
            Trace trace,
            String note) {
        this(
                position,
                rateSecondsPerDay,
                amplitudeDegrees,
                beatErrorMillis,
                lift,
                liftAngle,
                beatRate,
                source,
                trace,
                note,
                null,
                null);
    }

    /** The rate with the doubt of the clock it was taken with: what the rate is worth alone, not against another. */
    public @Nullable Measured rateWithClock() {
        Measured rate = rateSecondsPerDay;
        double clockDoubt = clockDoubtSecondsPerDay();
        if (rate == null || rate.isRange() || rate.isBound() || clockDoubt == 0) {
            return rate;
        }
        return new Measured(rate.value(), Math.hypot(rate.doubt(), clockDoubt), Measured.Kind.STANDARD_ERROR);
    }

    /**
     * What the clock adds to the doubt of the rate, s/d: what its calibration says; 4.3 (50 parts per million) for a
     * computer's sound device nobody has calibrated, 1 for a timing machine, none for a simulated watch. Source: M10.
     */
    public double clockDoubtSecondsPerDay() {
        if (source == Source.SIMULATED) {
            return 0;
        }
        if (clock != null && clock.calibrated()) {
            return clock.doubtSecondsPerDay();
        }
        return source == Source.RECORDING ? UNCALIBRATED : TIMING_MACHINE;
    }

    /** Whether two readings were taken with one clock, so that it cancels between them. */
    public boolean sharesClockWith(Reading other) {
        return clock != null && clock.sameAs(other.clock());
    }

    /** This reading for another lift angle. Readings from sound are worked out again; typed figures stay as read. */
    public Reading withLiftAngle(LiftAngle other) {
        if (lift == null || beatRate == null || amplitudeDegrees == null || beatErrorMillis == null) {
            return new Reading(
                    position,
                    rateSecondsPerDay,
                    amplitudeDegrees,
                    beatErrorMillis,
                    lift,
                    other,
                    beatRate,
                    source,
                    trace,
                    note,
                    clock,
                    recording);
        }
        // the period heard is not kept, but the rate is, and says the same
        double rate = rateSecondsPerDay == null ? 0 : rateSecondsPerDay.value();
        double heard = beatRate.periodSeconds() / (1 + rate / Rate.SECONDS_PER_DAY);
        Swing swing = Swing.heard(beatRate, heard, other);
        double liftSeconds = lift.liftMillis().value() / 1000;
        double heardSeconds = lift.heardBeatErrorMillis().value() / 1000;
        double amplitude = swing.amplitude(liftSeconds, heardSeconds).degrees();
        // the error scales with the amplitude: both are proportional to the lift angle for a given lift time
        double error = amplitudeDegrees.doubt() * amplitude / amplitudeDegrees.value();
        return new Reading(
                position,
                rateSecondsPerDay,
                new Measured(amplitude, error, amplitudeDegrees.kind()),
                new Measured(
                        swing.beatError(liftSeconds, heardSeconds).millis(),
                        beatErrorMillis.doubt(),
                        beatErrorMillis.kind()),
                lift,
                other,
                beatRate,
                source,
                trace,
                note,
                clock,
                recording);
    }
}
