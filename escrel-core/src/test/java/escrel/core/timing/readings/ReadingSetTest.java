package escrel.core.timing.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReadingSetTest {
    private static ReadingTaken taken(ReadingState state, Position position, double rate) {
        return new ReadingTaken(
                state,
                Fitted.CASED,
                Wound.FULL,
                new Reading(
                        position,
                        Measured.single(rate),
                        null,
                        null,
                        null,
                        LiftAngle.ASSUMED_52,
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.NOT_SAID,
                        ""));
    }

    @Test
    void laterReadingOfAPositionIsShownAndTheEarlierOneIsKept() {
        JobHistory history = Histories.of(
                taken(ReadingState.AS_RECEIVED, Position.DIAL_UP, -10),
                taken(ReadingState.AS_RECEIVED, Position.DIAL_DOWN, -12),
                taken(ReadingState.AS_RECEIVED, Position.DIAL_UP, -8));

        ReadingSet set = ReadingSet.of(history, ReadingState.AS_RECEIVED).orElseThrow();

        assertThat(set.byPosition()).hasSize(2);
        assertThat(set.in(Position.DIAL_UP).orElseThrow().rateSecondsPerDay().value())
                .isEqualTo(-8);
        assertThat(set.allIn(Position.DIAL_UP))
                .extracting(r -> r.rateSecondsPerDay().value())
                .containsExactly(-10.0, -8.0);
        assertThat(set.in(Position.CROWN_UP)).isEmpty();
    }

    @Test
    void onlyWhatWasHeardIsWorkedOutAgainForAKnownLiftAngle() {
        LiftTime heard = new LiftTime(Measured.withStandardError(13, 0.01), Measured.withStandardError(0.5, 0.01));
        Swing assumed = new Swing(BeatRate.of(18_000), LiftAngle.ASSUMED_52);
        Reading fromSound = new Reading(
                Position.CROWN_UP,
                Measured.single(2),
                Measured.withStandardError(assumed.amplitude(0.013, 0.0005).degrees(), 0.3),
                Measured.withStandardError(0.5, 0.01),
                heard,
                LiftAngle.ASSUMED_52,
                BeatRate.of(18_000),
                Source.RECORDING,
                Trace.CLEAN,
                "");
        JobHistory history = Histories.of(
                taken(ReadingState.AS_RECEIVED, Position.DIAL_UP, -10),
                new ReadingTaken(ReadingState.AS_RECEIVED, Fitted.CASED, Wound.FULL, fromSound));

        ReadingSet known = ReadingSet.of(KnownLift.in(history, LiftAngle.known(42)), ReadingState.AS_RECEIVED)
                .orElseThrow();

        double expected = new Swing(BeatRate.of(18_000), LiftAngle.known(42))
                .amplitude(0.013, 0.0005)
                .degrees();
        assertThat(known.in(Position.CROWN_UP).orElseThrow().amplitudeDegrees().value())
                // at +2 s/d the period heard is a little shorter
                .isCloseTo(expected, within(0.01));
        assertThat(known.in(Position.DIAL_UP).orElseThrow().liftAngle().assumed())
                .isTrue();
    }

    @Test
    void setsStandInTheOrderOfTheService() {
        JobHistory history = Histories.of(
                taken(ReadingState.FINAL_CASED, Position.DIAL_UP, 4),
                taken(ReadingState.AS_RECEIVED, Position.DIAL_UP, -10),
                taken(ReadingState.FIRST_RUN, Position.DIAL_UP, 9));

        assertThat(ReadingSet.of(history))
                .extracting(ReadingSet::state)
                .containsExactly(ReadingState.AS_RECEIVED, ReadingState.FIRST_RUN, ReadingState.FINAL_CASED);
    }

    /** Craft 9: a named intervention stands between two sets of readings, and neither replaces the other. */
    @Test
    void whatLiesBetweenTwoReadingsPartsThemIntoTwoSets() {
        List<ReadingSet> sets = ReadingSet.of(Histories.of(
                taken(ReadingState.FINAL_CASED, Position.DIAL_UP, 40),
                taken(ReadingState.FINAL_CASED, Position.DIAL_DOWN, 41),
                new Intervened(Intervened.What.REGULATOR_MOVED, "a hair"),
                taken(ReadingState.FINAL_CASED, Position.DIAL_UP, 5)));

        assertThat(sets).hasSize(2);
        assertThat(sets.get(0).byPosition()).hasSize(2);
        assertThat(sets.get(0)
                        .in(Position.DIAL_UP)
                        .orElseThrow()
                        .rateSecondsPerDay()
                        .value())
                .isEqualTo(40);
        assertThat(sets).extracting(ReadingSet::key).doesNotHaveDuplicates();
        assertThat(ReadingSet.main(sets, ReadingState.FINAL_CASED)).contains(sets.get(1));
    }

    @Test
    void nonRunnerIsABaselineUntilItIsReadAfterAll() {
        DidNotRun dead = new DidNotRun(ReadingState.AS_RECEIVED, "wound, dead");

        List<ReadingSet> none = ReadingSet.of(Histories.of(dead));
        List<ReadingSet> after =
                ReadingSet.of(Histories.of(dead, taken(ReadingState.AS_RECEIVED, Position.DIAL_UP, -300)));

        assertThat(none).singleElement().satisfies(s -> assertThat(s.ran()).isFalse());
        // nothing is overwritten: that it did not run stays known, and the reading is what the state is judged by
        assertThat(after).hasSize(2);
        assertThat(ReadingSet.main(after, ReadingState.AS_RECEIVED))
                .hasValueSatisfying(s -> assertThat(s.ran()).isTrue());
    }
}
