package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.calibre.WatchClass;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.service.Step;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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

    /**
     * M10, worked values. Typed figures carry 1 s/d of a machine's clock each: a change counts beyond
     * 2·√(2·1.5² + 2·1²) = 5.1 s/d, and so does a badness that fell or rose.
     */
    @ParameterizedTest
    @CsvSource({
        "-40, 6, BETTER",
        "6, -40, WORSE",
        "-14, -10.1, NO_CHANGE",
        "-16, -11, NO_CHANGE",
        "-18, -11, BETTER",
        "2, 9, STILL_ON_TARGET",
        "30, 24, BETTER",
        "30, 22, BETTER",
        // the target is −10 … +20: 7 outside before, 3 after, moved by 40
        "-17, 23, MOVED",
        "23, -17, MOVED"
    })
    void verdicts(double before, double after, Verdict verdict) {
        assertThat(rate(Measured.single(before), Measured.single(after)).verdict())
                .isEqualTo(verdict);
    }

    /** M10: with a band of −5 … +15. */
    @ParameterizedTest
    @CsvSource({"-12, 18, MOVED", "-12, 3, BETTER", "3, -12, WORSE"})
    void movedNoNearerIsAVerdictOfItsOwn(double before, double after, Verdict verdict) {
        Targets band = Targets.of(WatchClass.MODERN_SLOW);
        Turn turn = Turn.between(
                one(ReadingState.AS_RECEIVED, Measured.single(before)),
                one(ReadingState.FINAL_CASED, Measured.single(after)),
                band,
                Repeatability.DEFAULT);

        assertThat(turn.lines().get(0).rate().verdict()).isEqualTo(verdict);
    }

    /** M10: only like is paired with like, also in what was fitted; what nobody said keeps no verdict back. */
    @ParameterizedTest
    @CsvSource({
        "CASED, CASED, BETTER",
        "CASED, BARE_MOVEMENT, UNLIKE",
        "WITH_CALENDAR, BARE_MOVEMENT, UNLIKE",
        "NOT_SAID, CASED, BETTER",
        "CASED, NOT_SAID, BETTER"
    })
    void onlyWhatWasFittedAlikeIsCompared(Fitted before, Fitted after, Verdict verdict) {
        Reading slow = ReadingSets.reading(Position.DIAL_UP, Measured.single(-40), 270);
        Reading right = ReadingSets.reading(Position.DIAL_UP, Measured.single(3), 270);

        Turn turn = Turn.between(
                new ReadingSet(ReadingState.AS_RECEIVED, Map.of(Position.DIAL_UP, slow), before, Wound.FULL, null),
                new ReadingSet(ReadingState.FINAL_CASED, Map.of(Position.DIAL_UP, right), after, Wound.FULL, null),
                TARGETS,
                Repeatability.DEFAULT);

        assertThat(turn.lines().get(0).rate().verdict()).isEqualTo(verdict);
    }

    /** M10: before and after swapped swap better and worse, and leave every other verdict as it is. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void swappedSidesSwapBetterAndWorse(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 400; i++) {
            Measured a = random.nextBoolean()
                    ? Measured.single(random.nextInt(120) - 60)
                    : Measured.ofRange(random.nextInt(60) - 60, random.nextInt(60));
            Measured b = Measured.single(random.nextInt(120) - 60);
            Verdict there = rate(a, b).verdict();
            Verdict back = rate(b, a).verdict();
            Verdict expected = switch (there) {
                case BETTER -> Verdict.WORSE;
                case WORSE -> Verdict.BETTER;
                case STEADIER -> Verdict.LESS_STEADY;
                case LESS_STEADY -> Verdict.STEADIER;
                default -> there;
            };
            assertThat(back).as("%s and %s, seed %d", a, b, seed).isEqualTo(expected);
        }
    }

    @Test
    void doubtIsTheReadingsOwnTheRepeatabilityAndTheClocksInQuadrature() {
        Difference difference = rate(Measured.withStandardError(-40, 3), Measured.withStandardError(5, 0.5));

        // 9 + 0.25 + 2·2.25 for the layings + 2·1 for two typed figures
        assertThat(difference.standardError()).isCloseTo(Math.sqrt(15.75), within(1e-12));
        assertThat(difference.change()).isEqualTo(45);
    }

    /** M10: a range holds extremes, so its standard error is the half width over √3. */
    @Test
    void rangeCountsWithItsHalfWidthOverTheRootOfThree() {
        Difference difference = rate(Measured.ofRange(-12, -4), Measured.single(0));

        assertThat(difference.standardError()).isCloseTo(Math.sqrt(16 / 3.0 + 4.5 + 2), within(1e-12));
    }

    /** M10, worked values of wandering. */
    @ParameterizedTest
    @CsvSource({
        "-4, 25, -4, 1, STEADIER",
        "-60, 60, -1, 1, STEADIER",
        "-1, 1, -60, 60, LESS_STEADY",
        "-3, 3, -2, 2, NO_CHANGE"
    })
    void wanderThatNarrowsIsCredited(double low, double high, double lowAfter, double highAfter, Verdict verdict) {
        assertThat(rate(Measured.ofRange(low, high), Measured.ofRange(lowAfter, highAfter))
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void repeatedReadingsWanderAsRangesDo() {
        ReadingSet restless = repeated(-60, 0, 58);
        ReadingSet calm = repeated(-1, 0, 1);

        Turn turn = Turn.between(restless, calm, TARGETS, Repeatability.DEFAULT);

        assertThat(turn.lines().get(0).rate().narrowed()).isEqualTo(116);
        assertThat(Turn.between(repeated(-60, 58, 0), calm, TARGETS, Repeatability.DEFAULT)
                        .lines()
                        .get(0)
                        .rate()
                        .verdict())
                .isEqualTo(Verdict.STEADIER);
    }

    private static ReadingSet repeated(double... rates) {
        Step[] steps = Arrays.stream(rates)
                .mapToObj(r -> new ReadingTaken(
                        ReadingState.RUN_IN,
                        Fitted.CASED,
                        Wound.FULL,
                        ReadingSets.reading(Position.DIAL_UP, Measured.single(r), 270)))
                .toArray(Step[]::new);
        return ReadingSet.of(Histories.of(steps)).get(0);
    }

    /** M10: a bound takes part only where it decides. */
    @Test
    void boundDecidesOrIsSaidNotTo() {
        assertThat(amplitude(Measured.single(180), Measured.above(300))).isEqualTo(Verdict.BETTER);
        assertThat(amplitude(Measured.single(290), Measured.above(280))).isEqualTo(Verdict.CANNOT_TELL);
        assertThat(amplitude(Measured.above(300), Measured.single(180))).isEqualTo(Verdict.WORSE);
    }

    /** M10: amplitude too high is bad too; M11: healthy 250 to 314. */
    @Test
    void amplitudeTooHighIsBadToo() {
        assertThat(amplitude(Measured.single(280), Measured.single(345))).isEqualTo(Verdict.WORSE);
        assertThat(amplitude(Measured.single(345), Measured.single(300))).isEqualTo(Verdict.BETTER);
    }

    private static Verdict amplitude(Measured before, Measured after) {
        return Turn.between(swinging(before), swinging(after), TARGETS, Repeatability.DEFAULT)
                .lines()
                .get(0)
                .amplitude()
                .verdict();
    }

    private static ReadingSet swinging(Measured amplitude) {
        Reading reading = new Reading(
                Position.DIAL_UP,
                null,
                amplitude,
                null,
                null,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                Source.TYPED,
                Trace.CLEAN,
                "");
        return ReadingSets.set(ReadingState.RUN_IN, Map.of(Position.DIAL_UP, reading));
    }

    /** M10: an uncalibrated sound device is 4.3 s/d off, a calibrated one what it says; one device cancels. */
    @Test
    void clocksCancelOnlyWithinOneDevice() {
        DeviceClock desk = DeviceClock.uncalibrated("desk");

        assertThat(heard(desk, desk).standardError()).isCloseTo(Math.sqrt(4.5), within(1e-12));
        assertThat(heard(desk, DeviceClock.uncalibrated("other")).standardError())
                .isCloseTo(Math.sqrt(4.5 + 2 * 4.3 * 4.3), within(1e-12));
        // 0.0864 s/d per ppm: 10 ppm of doubt are 0.864 s/d
        assertThat(heard(new DeviceClock("a", 3, 10.0), new DeviceClock("b", 0, 10.0))
                        .standardError())
                .isCloseTo(Math.sqrt(4.5 + 2 * 0.864 * 0.864), within(1e-9));
    }

    private static Difference heard(DeviceClock before, DeviceClock after) {
        return Turn.between(heard(before), heard(after), TARGETS, Repeatability.DEFAULT)
                .lines()
                .get(0)
                .rate();
    }

    private static ReadingSet heard(DeviceClock clock) {
        Reading reading = new Reading(
                Position.DIAL_UP,
                Measured.withStandardError(3, 0),
                null,
                null,
                null,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                Source.RECORDING,
                Trace.CLEAN,
                "",
                clock,
                null);
        return ReadingSets.set(ReadingState.RUN_IN, Map.of(Position.DIAL_UP, reading));
    }

    /** M10: only like is paired with like. */
    @Test
    void unlikeOccasionsAreLaidSideBySideWithoutAVerdict() {
        Map<Position, Reading> readings =
                Map.of(Position.DIAL_UP, ReadingSets.reading(Position.DIAL_UP, Measured.single(-40), 270));
        ReadingSet full = ReadingSets.set(ReadingState.FINAL_CASED, readings);
        ReadingSet evening = new ReadingSet(ReadingState.FINAL_CASED, readings, Fitted.CASED, Wound.AFTER_24_H, null);

        assertThat(Turn.between(full, evening, TARGETS, Repeatability.DEFAULT)
                        .lines()
                        .get(0)
                        .rate()
                        .verdict())
                .isEqualTo(Verdict.UNLIKE);
        assertThat(Turn.unlikeWords(full, evening)).containsExactly("not equally far wound");
    }

    /** M10: the workshop's own repeatability from the fifth pair on; pooled over pairs it is √(Σ d²/2 / pairs). */
    @Test
    void ownRepeatabilityTakesThePlaceOfTheDefaultFromFivePairsOn() {
        assertThat(Repeatability.of(List.of(repeated(0, 2), repeated(5, 3), repeated(1, 1), repeated(4, 4)))
                        .rateSecondsPerDay())
                .isEqualTo(1.5);
        assertThat(Repeatability.of(
                                List.of(repeated(0, 2), repeated(5, 3), repeated(1, 1), repeated(4, 4), repeated(7, 9)))
                        .rateSecondsPerDay())
                .isCloseTo(Math.sqrt((2 + 2 + 0 + 0 + 2) / 5.0), within(1e-12));
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
}
