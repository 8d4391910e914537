package escrel.simulator.proving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.sound.Sound;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The analysis on recordings it was not made for: what it says is near the truth, and what is no watch it refuses. */
class ProvingTest {
    private static final int COUNT = 66;
    // from here on: numbers not looked at while the analysis was made
    private static final long FIRST = 2_610_000;

    @Test
    void nearlyAllRecordingsAreReadWithinTheLimitsAndNoneIsFarOffWithoutDoubt() {
        // every other one made hard by something: a swelling amplitude, lost samples, a neighbour ...
        List<Proof> proofs = Proof.of(new Trials(12, 35, 14), FIRST, COUNT);

        assertThat(numbers(proofs, p -> p.heard() == null)).hasSizeLessThanOrEqualTo(2);
        assertThat(numbers(proofs, p -> !p.rateWithin(0.5))).hasSizeLessThanOrEqualTo(3);
        assertThat(numbers(proofs, p -> !p.amplitudeWithin(3))).hasSizeLessThanOrEqualTo(4);
        assertThat(numbers(proofs, p -> !p.beatErrorWithin(0.1))).hasSizeLessThanOrEqualTo(3);
        assertThat(numbers(proofs, p -> !p.beatErrorWithin(0.05))).hasSizeLessThanOrEqualTo(9);
        assertThat(numbers(proofs, Proof::farOffWithoutDoubt)).isEmpty();
        assertThat(numbers(proofs, Proof::wrongBeatRate)).isEmpty();
    }

    /** In its ticks the drop was heard far softer than in its tocks, and softer than its own echo. */
    @Test
    void dropThatTicksHardlyShowIsNotTakenForItsEcho() {
        Proof proof = Proof.of(new Trials(12, 35, 14).make(12_000_070));

        assertThat(proof.amplitudeError()).isBetween(-1.0, 1.0);
    }

    @ParameterizedTest
    // the first lost a millisecond twice, six beats apart; the others lost beats beside those that were lost whole
    @ValueSource(longs = {12_000_265, 12_000_085, 12_000_405})
    void soundLostIsGotOverAndSaid(long number) {
        Proof proof = Proof.of(new Trials(12, 35, 14).make(number));

        assertThat(proof.rateError()).isBetween(-0.5, 0.5);
        assertThat(proof.heard()).satisfies(h -> assertThat(h.doubts()).anyMatch(d -> d.startsWith("Sound was lost")));
    }

    private static List<Long> numbers(List<Proof> proofs, Predicate<Proof> which) {
        return proofs.stream().filter(which).map(p -> p.trial().number()).toList();
    }

    @ParameterizedTest
    @ValueSource(longs = {7_000, 7_002, 7_004})
    void aWatchHeardAgainReadsTheSame(long watch) {
        Trials trials = new Trials(25, 25, 16);
        List<Proof> heard = IntStream.range(0, 10)
                .parallel()
                .mapToObj(time -> Proof.of(trials.again(watch, Difficulty.PLAIN, time)))
                .toList();

        assertThat(heard).allMatch(p -> p.heard() != null);
        assertThat(scatter(heard, Proof::amplitudeError)).isLessThan(0.5);
        assertThat(scatter(heard, Proof::beatErrorError)).isLessThan(0.02);
        double exact =
                scatter(heard, p -> p.trial().exactListener().rate() - p.trial().rateSecondsPerDay());
        // noise, which the exact listener does not hear, adds a little
        assertThat(scatter(heard, Proof::rateError)).isLessThan(1.4 * exact + 0.01);
    }

    private static double scatter(List<Proof> proofs, ToDoubleFunction<Proof> figure) {
        double mean = proofs.stream().mapToDouble(figure).average().orElseThrow();
        double squares = proofs.stream()
                .mapToDouble(p -> Math.pow(figure.applyAsDouble(p) - mean, 2))
                .sum();
        return Math.sqrt(squares / (proofs.size() - 1));
    }

    @Test
    void anAmplitudeThatSwellsWithTheWheelIsSaidToDoSo() {
        List<String> remarks = Proof.of(new Trials(20, 35, 25), Difficulty.SWELLING, 600, 6).stream()
                .filter(p -> p.heard() != null)
                .flatMap(p -> p.heard().remarks().stream())
                .toList();

        assertThat(remarks)
                .filteredOn(r -> r.contains("as with an escape wheel of"))
                .hasSizeGreaterThanOrEqualTo(5);
    }

    @Test
    void aFaintNeighbourIsMentionedOrDoesNoHarm() {
        List<Proof> proofs = Proof.of(new Trials(18, 35, 14), Difficulty.NEIGHBOUR, 9_000, 12);

        assertThat(numbers(proofs, p -> p.heard() == null)).hasSizeLessThanOrEqualTo(1);
        assertThat(numbers(
                        proofs,
                        p -> p.heard() != null
                                && p.heard().doubts().isEmpty()
                                && p.heard().remarks().isEmpty()
                                && !p.amplitudeWithin(5)))
                .isEmpty();
        assertThat(proofs)
                .anyMatch(p -> p.heard() != null
                        && p.heard().remarks().stream().anyMatch(d -> d.startsWith("A second watch is faintly heard")));
    }

    @ParameterizedTest
    @EnumSource(value = OtherSounds.class, names = "TWO_WATCHES", mode = EnumSource.Mode.EXCLUDE)
    void whatIsNoWatchIsRefused(OtherSounds kind) {
        for (int seed = 0; seed < 6; seed++) {
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
    void ofTwoWatchesAtOnceNearlyAllAreRefusedOrSaidToBeTwo() {
        long unsaid = IntStream.range(0, 14)
                .parallel()
                .mapToObj(OtherSounds.TWO_WATCHES::make)
                .filter(ProvingTest::readsWithoutAWord)
                .count();

        assertThat(unsaid).isLessThanOrEqualTo(2);
    }

    private static boolean readsWithoutAWord(Sound sound) {
        try {
            SoundReading heard = BeatAnalyser.recognising(LiftAngle.ASSUMED_52).analyse(sound);
            return heard.doubts().isEmpty() && heard.remarks().isEmpty();
        } catch (NoCredibleBeatException e) {
            return false;
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 2, 1.5, 0.8})
    void aWrongBeatRateIsRefused(double factor) {
        Trials trials = new Trials(15, 35, 14);
        for (int number = 0; number < 6; number++) {
            Trial trial = trials.make(5_000 + number);
            BeatRate wrong = BeatRate.of(factor * trial.beatRate().beatsPerHour());
            assertThatThrownBy(() -> BeatAnalyser.forBeatRate(wrong, trial.liftAngle())
                            .analyse(Channels.beating(trial.channels())))
                    .as("%s given as %s", trial.beatRate(), wrong)
                    .isInstanceOf(NoCredibleBeatException.class);
        }
    }
}
