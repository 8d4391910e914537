package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.timing.comparison.Expectations;
import escrel.core.timing.comparison.RunIn;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import org.junit.jupiter.api.Test;

/**
 * Readings heard before the lift angle was known are worked out again for it, and every page that shows them shows the same
 * figure. Source: M3.
 */
class ReadingsUnderKnownLiftTest {
    /** Lift 13 ms after the drop and beat error 0, heard at 18 000 beats an hour. */
    private static final double LIFT_SECONDS = 0.013;

    private static final double BALANCE_PERIOD = 0.4;

    /** Of the small calibre. */
    private static final double KNOWN = 50;

    private static final CalibreSheet SHEET = Calibres.small();

    private static final JobHistory RECORDED =
            Histories.of(PartOff.plain("back"), heard(ReadingState.RUN_IN), heard(ReadingState.FINAL_CASED));

    private static final Job JOB = Job.of(RECORDED, SHEET, Schools.NONE);

    private static ReadingTaken heard(ReadingState state) {
        return new ReadingTaken(
                state,
                Fitted.CASED,
                Wound.FULL,
                new Reading(
                        Position.DIAL_UP,
                        Measured.single(2),
                        Measured.withStandardError(amplitude(52), 0.3),
                        Measured.withStandardError(0, 0.01),
                        new LiftTime(
                                Measured.withStandardError(1e3 * LIFT_SECONDS, 0.01),
                                Measured.withStandardError(0, 0.01)),
                        LiftAngle.ASSUMED_52,
                        BeatRate.of(18_000),
                        Source.RECORDING,
                        Trace.CLEAN,
                        ""));
    }

    /** M3: half the lift angle is crossed on either side of the middle of the swing. */
    private static double amplitude(double liftDegrees) {
        return liftDegrees / 2 / Math.sin(Math.PI * LIFT_SECONDS / BALANCE_PERIOD);
    }

    @Test
    void theCurveOfTheRunIn() {
        assertThat(RunIn.curve(JOB.history(), 0))
                .isNotEmpty()
                .allSatisfy(
                        p -> assertThat(p.taken().reading().amplitudeDegrees().value())
                                .isCloseTo(amplitude(KNOWN), within(0.01)));
    }

    @Test
    void whatTheCalibreShowedAfterService() {
        assertThat(Expectations.ofService(JOB.history())
                        .orElseThrow()
                        .in(Position.DIAL_UP)
                        .orElseThrow()
                        .amplitudeDegrees()
                        .value())
                .isCloseTo(amplitude(KNOWN), within(0.01));
    }

    @Test
    void theSetsOfReadings() {
        assertThat(JOB.readings())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.in(Position.DIAL_UP)
                                .orElseThrow()
                                .amplitudeDegrees()
                                .value())
                        .isCloseTo(amplitude(KNOWN), within(0.01)));
    }

    @Test
    void whatIsOnRecordStaysAsItWasHeard() {
        assertThat(JOB.recorded().all(ReadingTaken.class))
                .allSatisfy(
                        t -> assertThat(t.reading().amplitudeDegrees().value()).isCloseTo(amplitude(52), within(0.01)));
    }
}
