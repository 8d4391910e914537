package escrel.simulator.proving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Sound;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The analysis on recordings it was not made for: what it says is near the truth, and what is no watch it refuses. */
class ProvingTest {
    private static final int COUNT = 60;
    // from here on: numbers not looked at while the analysis was made
    private static final long FIRST = 610_000;

    @Test
    void nearlyAllRecordingsAreReadWithinTheLimitsAndNoneIsFarOffWithoutDoubt() {
        List<Proof> proofs = Proof.of(new Trials(12, 35, 20), FIRST, COUNT);

        assertThat(proofs).filteredOn(p -> p.heard() != null).hasSizeGreaterThanOrEqualTo(COUNT - 2);
        assertThat(proofs).filteredOn(p -> !p.rateWithin(0.5)).hasSizeLessThanOrEqualTo(3);
        assertThat(proofs).filteredOn(p -> !p.amplitudeWithin(3)).hasSizeLessThanOrEqualTo(4);
        assertThat(proofs).filteredOn(p -> !p.beatErrorWithin(0.1)).hasSizeLessThanOrEqualTo(4);
        assertThat(proofs).filteredOn(p -> !p.beatErrorWithin(0.05)).hasSizeLessThanOrEqualTo(12);
        assertThat(proofs).filteredOn(Proof::farOffWithoutDoubt).isEmpty();
        assertThat(proofs).filteredOn(Proof::wrongBeatRate).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(value = OtherSounds.class, names = "TWO_WATCHES", mode = EnumSource.Mode.EXCLUDE)
    void whatIsNoWatchIsRefused(OtherSounds kind) {
        for (int seed = 0; seed < 8; seed++) {
            Sound sound = kind.make(seed);
            assertThatThrownBy(
                            () -> BeatAnalyser.recognising(LiftAngle.ASSUMED_52).analyse(sound))
                    .as("%s, seed %d", kind, seed)
                    .isInstanceOf(NoCredibleBeatException.class);
            assertThatThrownBy(() -> BeatAnalyser.forBeatRate(BeatRate.of(18_000), LiftAngle.ASSUMED_52)
                            .analyse(sound))
                    .as("%s as 18 000, seed %d", kind, seed)
                    .isInstanceOf(NoCredibleBeatException.class);
        }
    }

    @Test
    void ofTwoWatchesAtOnceNearlyAllAreRefused() {
        long taken = java.util.stream.IntStream.range(0, 20)
                .filter(seed -> Proof.reads(OtherSounds.TWO_WATCHES.make(seed)))
                .count();

        assertThat(taken).isLessThanOrEqualTo(3);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 2, 1.5, 0.8})
    void aWrongBeatRateIsRefused(double factor) {
        Trials trials = new Trials(15, 35, 20);
        for (int number = 0; number < 8; number++) {
            Trial trial = trials.make(5_000 + number);
            BeatRate wrong = BeatRate.of(factor * trial.beatRate().beatsPerHour());
            assertThatThrownBy(() ->
                            BeatAnalyser.forBeatRate(wrong, trial.liftAngle()).analyse(trial.sound()))
                    .as("%s given as %s", trial.beatRate(), wrong)
                    .isInstanceOf(NoCredibleBeatException.class);
        }
    }
}
