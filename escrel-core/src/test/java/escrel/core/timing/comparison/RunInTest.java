package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.StoppedAfter;
import escrel.core.timing.readings.Wound;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RunInTest {
    private static final Instant START = Instant.parse("2031-05-04T08:00:00Z");

    private final List<RecordedStep> steps = new ArrayList<>();

    private RunInTest at(double hours, Step step) {
        steps.add(new RecordedStep(steps.size() + 1, START.plus(Duration.ofMinutes(Math.round(60 * hours))), step));
        return this;
    }

    private static ReadingTaken taken(
            ReadingState state, Wound wound, Position position, double rate, double amplitude) {
        return new ReadingTaken(
                state, Fitted.CASED, wound, ReadingSets.reading(position, Measured.single(rate), amplitude));
    }

    private static ReadingTaken run(ReadingState state) {
        return taken(state, Wound.FULL, Position.DIAL_UP, 4, 270);
    }

    private JobHistory history() {
        return JobHistory.of(steps);
    }

    @Test
    void clocksGoFromSomeHoursToADayToNone() {
        at(0, run(ReadingState.AS_RECEIVED));
        assertThat(RunIn.nextDue(history(), 0)).isEmpty();
        at(10, run(ReadingState.FIRST_RUN));
        assertThat(RunIn.nextDue(history(), 0)).hasValueSatisfying(d -> {
            assertThat(d.at()).isEqualTo(START.plus(Duration.ofHours(16)));
            assertThat(d.words()).contains("some hours");
        });
        at(15, run(ReadingState.RUN_IN));
        assertThat(RunIn.nextDue(history(), 0))
                .hasValueSatisfying(d -> assertThat(d.at()).isEqualTo(START.plus(Duration.ofHours(34))));
        at(30, run(ReadingState.RUN_IN));
        assertThat(RunIn.nextDue(history(), 0)).isEmpty();
        at(40, run(ReadingState.FINAL_CASED));
        assertThat(RunIn.nextDue(history(), 0))
                .hasValueSatisfying(d -> assertThat(d.words()).contains("24 h after full wind"));
        at(64, taken(ReadingState.FINAL_CASED, Wound.AFTER_24_H, Position.DIAL_UP, 9, 230));
        assertThat(RunIn.nextDue(history(), 0)).isEmpty();
        assertThat(RunIn.curve(history(), 0))
                .extracting(RunIn.Point::hours)
                .containsExactly(0.0, 5.0, 20.0, 30.0, 54.0);
    }

    /** M9: 24 h less 0 h, over the positions read at both times only. */
    @Test
    void runningDownIsTheMeanOverPositionsReadAtBothTimes() {
        at(0, taken(ReadingState.FINAL_CASED, Wound.FULL, Position.DIAL_UP, 4, 280));
        at(0, taken(ReadingState.FINAL_CASED, Wound.FULL, Position.CROWN_UP, 1, 250));
        at(0, taken(ReadingState.FINAL_CASED, Wound.FULL, Position.DIAL_DOWN, 90, 100));
        at(24, taken(ReadingState.FINAL_CASED, Wound.AFTER_24_H, Position.DIAL_UP, 9, 240));
        at(24, taken(ReadingState.FINAL_CASED, Wound.AFTER_24_H, Position.CROWN_UP, 4, 216));

        assertThat(RunIn.down(history(), ReadingState.FINAL_CASED, 0))
                .singleElement()
                .satisfies(d -> {
                    assertThat(d.hours()).isEqualTo(24);
                    assertThat(d.rateSecondsPerDay()).isCloseTo(4, within(1e-9));
                    assertThat(d.amplitudeDegrees()).isCloseTo(-37, within(1e-9));
                    assertThat(d.positions()).isEqualTo(2);
                });
        assertThat(RunIn.down(history(), ReadingState.RUN_IN, 0)).isEmpty();
    }

    @Test
    void reserveIsTheLatestMeasured() {
        assertThat(RunIn.reserveHours(at(0, run(ReadingState.RUN_IN)).history()))
                .isEmpty();
        at(40, new StoppedAfter(39.5));
        at(90, new StoppedAfter(41));
        assertThat(RunIn.reserveHours(history())).hasValue(41);
        assertThatThrownBy(() -> new StoppedAfter(0)).isInstanceOf(IllegalArgumentException.class);
    }

    private static ReadingTaken chronograph(Wound wound, Chronograph chronograph, double amplitude) {
        return new ReadingTaken(
                ReadingState.FINAL_CASED,
                Fitted.CASED,
                wound,
                null,
                chronograph,
                ReadingSets.reading(Position.DIAL_UP, Measured.single(4), amplitude));
    }

    @Test
    void runningDownKeepsChronographAtRestAndRunningApart() {
        at(0, chronograph(Wound.FULL, Chronograph.STOPPED, 280));
        at(0, chronograph(Wound.FULL, Chronograph.RUNNING, 240));
        at(24, chronograph(Wound.AFTER_24_H, Chronograph.STOPPED, 250));
        at(24, chronograph(Wound.AFTER_24_H, Chronograph.RUNNING, 190));

        assertThat(RunIn.down(history(), ReadingState.FINAL_CASED, 0))
                .extracting(RunIn.Down::chronographRunning, RunIn.Down::amplitudeDegrees)
                .containsExactly(tuple(false, -30.0), tuple(true, -50.0));
    }

    /** Read for a day, opened, closed and started again: the clock runs from the new start. */
    @Test
    void clocksStartAnewAfterTheLastClosing() {
        at(0, run(ReadingState.FIRST_RUN)).at(24, run(ReadingState.RUN_IN));
        assertThat(RunIn.nextDue(history(), 0)).isEmpty();
        at(30, new Noted(null, "opened and closed"));
        int closedAt = history().lastSequence();
        assertThat(RunIn.curve(history(), closedAt)).isEmpty();

        at(40, run(ReadingState.FIRST_RUN));

        assertThat(RunIn.nextDue(history(), closedAt))
                .hasValueSatisfying(d -> assertThat(d.at()).isEqualTo(START.plus(Duration.ofHours(46))));
        assertThat(RunIn.curve(history(), closedAt))
                .extracting(RunIn.Point::hours)
                .containsExactly(0.0);
    }
}
