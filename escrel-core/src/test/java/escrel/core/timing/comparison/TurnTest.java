package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.calibre.WatchClass;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** M10. */
class TurnTest {
    private static final Targets TARGETS = Targets.of(WatchClass.VINTAGE_NO_SHOCK_SETTING); // −10 … +20

    private static Difference rate(Measured before, Measured after) {
        ReadingSet was = one(ReadingState.AS_RECEIVED, before);
        ReadingSet is = one(ReadingState.FINAL_CASED, after);
        return Turn.between(was, is, TARGETS, Repeatability.DEFAULT)
                .lines()
                .get(0)
                .rate();
    }

    private static ReadingSet one(ReadingState state, Measured rate) {
        Reading reading = ReadingSets.reading(Position.DIAL_UP, rate, 270);
        return ReadingSets.set(state, Map.of(Position.DIAL_UP, reading));
    }

    /** Two layings of 1.5 s/d each: a change counts beyond 2·√(2·1.5²) = 4.24 s/d. */
    @ParameterizedTest
    @CsvSource({
        "-40, 6, BETTER",
        "6, -40, WORSE",
        "-14, -10.1, NO_CHANGE",
        "-16, -11, BETTER",
        "2, 9, STILL_ON_TARGET",
        "30, 24, BETTER"
    })
    void verdicts(double before, double after, Verdict verdict) {
        assertThat(rate(Measured.single(before), Measured.single(after)).verdict())
                .isEqualTo(verdict);
    }

    @Test
    void doubtIsTheReadingsOwnAndTheRepeatabilityInQuadrature() {
        Difference difference = rate(Measured.withStandardError(-40, 3), Measured.withStandardError(5, 0.5));

        // √(9 + 0.25 + 2·2.25)
        assertThat(difference.standardError()).isCloseTo(Math.sqrt(13.75), within(1e-12));
        assertThat(difference.change()).isEqualTo(45);
    }

    @Test
    void wanderThatNarrowsIsAnImprovementOfItsOwn() {
        Difference difference = rate(Measured.ofRange(-60, 60), Measured.ofRange(-1, 1));

        assertThat(difference.narrowed()).isEqualTo(118);
        // half widths of 60 and 1 make a large doubt: the narrowing is not beyond twice it
        assertThat(difference.verdict()).isEqualTo(Verdict.NO_CHANGE);
    }

    @Test
    void serviceIsCreditedAgainstTheReadingAfterDemagnetising() {
        ReadingSet received = one(ReadingState.AS_RECEIVED, Measured.single(-300));
        ReadingSet demagnetised = one(ReadingState.AFTER_DEMAGNETISING, Measured.single(-12));
        ReadingSet last = one(ReadingState.FINAL_CASED, Measured.single(4));

        Turn turn = Turn.ofService(List.of(received, demagnetised, last), TARGETS, Repeatability.DEFAULT)
                .orElseThrow();

        assertThat(turn.before().state()).isEqualTo(ReadingState.AFTER_DEMAGNETISING);
        assertThat(turn.lines().get(0).rate().change()).isEqualTo(16);
    }

    @Test
    void nonRunnerHasNoLinesToCompareButATurn() {
        ReadingSet dead = new ReadingSet(ReadingState.AS_RECEIVED, Map.of(), null, null, "wound, dead");
        ReadingSet last = one(ReadingState.FINAL_CASED, Measured.single(4));

        Turn turn = Turn.ofService(List.of(dead, last), TARGETS, Repeatability.DEFAULT)
                .orElseThrow();

        assertThat(turn.before().ran()).isFalse();
        assertThat(turn.lines())
                .singleElement()
                .satisfies(l -> assertThat(l.rate()).isNull());
    }

    @Test
    void oneSideAloneIsNoTurn() {
        assertThat(Turn.ofService(
                        List.of(one(ReadingState.AS_RECEIVED, Measured.single(4))), TARGETS, Repeatability.DEFAULT))
                .isEmpty();
    }

    /** Honesty: an unchanged watch laid down twice is called changed in at most about 1 of 20. */
    @Test
    void unchangedWatchIsSeldomCalledChanged() {
        Random random = new Random(20_261_123);
        int called = 0;
        for (int i = 0; i < 1000; i++) {
            double laid = -30 + 1.5 * random.nextGaussian();
            double again = -30 + 1.5 * random.nextGaussian();
            called += rate(Measured.single(laid), Measured.single(again)).verdict() == Verdict.NO_CHANGE ? 0 : 1;
        }
        // two standard errors leave 4.6 in 100; three standard deviations of the count on top
        assertThat(called).isLessThan(66);
    }

    @ParameterizedTest
    @CsvSource({
        "179, very low",
        "180, low",
        "220, fair for old work",
        "250, healthy",
        "314, healthy",
        "315, high",
        "330, risk of knocking"
    })
    void amplitudeBands(double degrees, String words) {
        assertThat(Targets.amplitudeBand(degrees)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({
        "0.3, very good",
        "0.6, good",
        "1.0, accepted on a fixed stud",
        "1.1, to be corrected",
        "3.1, suspect assembly"
    })
    void beatErrorBands(double millis, String words) {
        assertThat(Targets.beatErrorBand(millis)).isEqualTo(words);
    }
}
