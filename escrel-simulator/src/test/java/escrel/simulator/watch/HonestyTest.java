package escrel.simulator.watch;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.WatchClass;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.comparison.Verdict;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** M10's honesty, from sound to verdict: an unchanged watch laid down twice has not changed, a changed one has. */
class HonestyTest {
    private static final BeatRate BEATS = BeatRate.of(28_800);
    private static final LiftAngle LIFT = LiftAngle.known(52);
    private static final int SEEDS = 100;
    // whole turns of the escape wheel, as the desk takes them
    private static final double THREE_TURNS = 11.25;

    private static final Map<Long, ReadingSet> BEFORE = new ConcurrentHashMap<>();

    /** How far from the true figures it is laid down, in standard deviations. */
    private record Laid(double rate, double amplitude, double beatError) {
        static Laid by(Random hand) {
            return new Laid(hand.nextGaussian(), hand.nextGaussian(), hand.nextGaussian());
        }
    }

    private static final Laid EXACTLY = new Laid(0, 0, 0);

    /** Laid down with the repeatability the workshop is taken to have: 1.5 s/d, 4° and 0.1 ms, one standard deviation. */
    private static Reading laidDown(double rate, double amplitude, Laid laid, long seed) {
        Repeatability shaky = Repeatability.DEFAULT;
        Swinging swinging = new Swinging(
                BEATS,
                LIFT,
                rate + shaky.rateSecondsPerDay() * laid.rate(),
                amplitude + shaky.amplitudeDegrees() * laid.amplitude(),
                2.0 + 0.3 * laid.beatError(),
                0);
        SoundReading heard = BeatAnalyser.forBeatRate(BEATS, LIFT)
                .analyse(new SimulatedPickup(22_050, seed).listen(swinging, Room.ofDecibels(24), THREE_TURNS));
        return new Reading(
                Position.DIAL_UP,
                heard.rateSecondsPerDay(),
                heard.amplitudeDegrees(),
                heard.beatErrorMillis(),
                heard.lift(),
                LIFT,
                BEATS,
                Source.SIMULATED,
                Trace.CLEAN,
                "");
    }

    private static Turn.Line twice(double change, long seed) {
        // neighbouring seeds draw alike: they are spread out first
        Random hand = new Random((seed + 1) * 0x9E3779B97F4A7C15L);
        Laid first = Laid.by(hand);
        // what is laid down first is the same, whatever changes afterwards
        ReadingSet before =
                BEFORE.computeIfAbsent(seed, s -> set(ReadingState.AS_RECEIVED, laidDown(-12, 250, first, 3 * s)));
        ReadingSet after = set(ReadingState.FINAL_CASED, laidDown(-12 + change, 250, Laid.by(hand), 3 * seed + 1));
        return Turn.between(before, after, Targets.of(WatchClass.MODERN_FAST), Repeatability.DEFAULT)
                .lines()
                .get(0);
    }

    private static ReadingSet set(ReadingState state, Reading reading) {
        return new ReadingSet(state, Map.of(Position.DIAL_UP, reading), Fitted.CASED, Wound.FULL, null);
    }

    private static long count(double change, Verdict verdict) {
        return LongStream.range(0, SEEDS)
                .parallel()
                .filter(seed -> twice(change, seed).rate().verdict() == verdict)
                .count();
    }

    @Test
    void anUnchangedWatchLaidDownTwiceIsNotCalledChanged() {
        assertThat(count(0, Verdict.NO_CHANGE)).isGreaterThanOrEqualTo(95);
    }

    /** A watch that really gains six seconds more: with exact layings it is seen, and the change told is the true one. */
    @Test
    void aRealChangeOfSixSecondsIsCalledAChange() {
        for (long seed = 0; seed < 10; seed++) {
            Turn.Line line = Turn.between(
                            set(ReadingState.AS_RECEIVED, laidDown(-12, 250, EXACTLY, seed)),
                            set(ReadingState.FINAL_CASED, laidDown(-6, 250, EXACTLY, seed + 50)),
                            Targets.of(WatchClass.MODERN_FAST),
                            Repeatability.DEFAULT)
                    .lines()
                    .get(0);
            assertThat(line.rate().verdict()).as("seed %d", seed).isEqualTo(Verdict.BETTER);
            assertThat(line.rate().change()).isBetween(5.5, 6.5);
        }
        // with layings as shaky as the workshop's, most of them still are
        assertThat(count(6, Verdict.BETTER)).isGreaterThanOrEqualTo(70);
    }
}
