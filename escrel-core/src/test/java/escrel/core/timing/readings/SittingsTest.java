package escrel.core.timing.readings;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Craft 9: nothing overwrites an earlier reading, also not of the same state and position. */
class SittingsTest {
    private static ReadingTaken read(ReadingState state, Position position, double rate) {
        return new ReadingTaken(
                state,
                Fitted.CASED,
                Wound.FULL,
                new Reading(
                        position,
                        Measured.single(rate),
                        Measured.single(270),
                        null,
                        null,
                        LiftAngle.known(50),
                        BeatRate.of(18_000),
                        Source.TYPED,
                        Trace.CLEAN,
                        ""));
    }

    static List<Step> whatLiesBetween() {
        return List.of(
                new Intervened(Intervened.What.COLLET_TURNED, "6°"),
                new Demagnetised(3, ""),
                new OpenedAgain(OpenedAgain.Reason.BEAT_ERROR, "", ""),
                PartOff.plain("balance-cock"));
    }

    @ParameterizedTest
    @MethodSource("whatLiesBetween")
    void sameStateAndPositionReadAgainAfterAnActIsAnotherSet(Step between) {
        List<ReadingSet> sets = ReadingSet.of(Histories.of(
                read(ReadingState.RUN_IN, Position.DIAL_UP, 12),
                between,
                read(ReadingState.RUN_IN, Position.DIAL_UP, 3)));

        assertThat(sets).hasSize(2);
        assertThat(sets).extracting(ReadingSet::time).containsExactly(1, 2);
        assertThat(sets).extracting(ReadingSet::key).doesNotHaveDuplicates();
    }

    /** As the demo did once: as received is read while parts come off, and is one set all the same. */
    @Test
    void openingUpDoesNotPartWhatWasReadBeforeIt() {
        assertThat(ReadingSet.of(Histories.of(
                        read(ReadingState.AS_RECEIVED, Position.DIAL_UP, 12),
                        PartOff.plain("case-back"),
                        read(ReadingState.AS_RECEIVED, Position.DIAL_DOWN, 9))))
                .singleElement()
                .satisfies(s -> assertThat(s.all()).hasSize(2));
    }

    @Test
    void repeatedWithoutAnythingBetweenItIsOneSetThatKeepsBoth() {
        assertThat(ReadingSet.of(Histories.of(
                        read(ReadingState.RUN_IN, Position.DIAL_UP, 12),
                        PartOn.plain("case-back"),
                        read(ReadingState.RUN_IN, Position.DIAL_UP, -4))))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.allIn(Position.DIAL_UP)).hasSize(2);
                    assertThat(s.in(Position.DIAL_UP)
                                    .orElseThrow()
                                    .rateSecondsPerDay()
                                    .value())
                            .isEqualTo(-4);
                });
    }

    @Test
    void everyReadingIsInExactlyOneSetAndEverySetLiesWithinItsTimes() {
        for (int seed = 0; seed < 150; seed++) {
            Random random = new Random(seed);
            List<Step> steps = new ArrayList<>();
            int readings = 0;
            for (int i = 0; i < 30; i++) {
                if (random.nextInt(3) > 0) {
                    ReadingState state = ReadingState.values()[random.nextInt(ReadingState.values().length)];
                    Position position = Position.values()[random.nextInt(Position.values().length)];
                    steps.add(read(state, position, random.nextInt(40)));
                    readings++;
                } else {
                    steps.add(whatLiesBetween().get(random.nextInt(4)));
                }
            }
            JobHistory history = Histories.of(steps.toArray(Step[]::new));

            List<ReadingSet> sets = ReadingSet.of(history);

            assertThat(sets.stream()
                            .flatMap(s -> s.all().values().stream())
                            .mapToInt(List::size)
                            .sum())
                    .as("seed " + seed)
                    .isEqualTo(readings);
            assertThat(sets).extracting(ReadingSet::key).doesNotHaveDuplicates();
            assertThat(sets).allSatisfy(s -> assertThat(s.firstAt()).isLessThanOrEqualTo(s.lastAt()));
        }
    }
}
