package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.quantity.Rate;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.BeatRateFinder;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.beats.BeatTracker;
import escrel.core.timing.beats.Hearing;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Swing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Works the figures of a reading out of what was heard (M2, M3, M4), and says what speaks against them. */
final class Figures {
    private static final int TREND_PARTS = 4;
    // some 7° of a watch of 18 000 beats that swings 270°: no balance changes so from one beat to the next
    private static final double LIFT_JUMP_SECONDS = 0.0003;
    // a judgement: just above the 12 dB down to which trials are drawn, so that the advice comes before the refusals
    private static final double LOUD_ROOM_DECIBELS = 13;

    private final BeatRateFinder.Found found;
    private final LiftAngle liftAngle;
    private final int expected;
    private final boolean lostSound;
    private final Hearing hearing;
    private final BeatTimes times;
    private final RobustLine line;
    private final int detected;
    private final LiftFigures lift;
    private final Swing swing;
    private final Amplitude amplitude;
    private final double rate;

    private Figures(BeatRateFinder.Found found, LiftAngle liftAngle, BeatTracker tracker, Hearing hearing) {
        this.found = found;
        this.liftAngle = liftAngle;
        this.expected = tracker.numbers().length;
        this.lostSound = tracker.lostSound();
        this.hearing = hearing;
        this.times = hearing.times();
        // the middle between unlocking and drop, since a slow drift of the amplitude biases either alone
        this.line = RobustLine.fit(times.numbers(), times.middles());
        this.detected = (int) IntStream.range(0, times.numbers().length)
                .filter(i -> !line.rejects(i))
                .count();
        Credible.requireSteady(line, detected, expected);
        this.swing = Swing.heard(found.beatRate(), 2 * line.slope(), liftAngle);
        this.lift = LiftFigures.of(times, hearing.chosen(), line, detected);
        this.rate = Rate.ofMeanBeat(found.beatRate(), line.slope()).secondsPerDay();
        Credible.requireWatch(rate, lift.heardSeconds());
        this.amplitude = Credible.amplitude(swing, lift.liftSeconds(), lift.heardSeconds());
    }

    /**
     * The figures of a sound.
     *
     * @throws escrel.core.timing.beats.NoCredibleBeatException when they are those of no watch
     */
    static Figures of(BeatRateFinder.Found found, LiftAngle liftAngle, BeatTracker tracker, Hearing hearing) {
        return new Figures(found, liftAngle, tracker, hearing);
    }

    /**
     * The whole reading.
     *
     * @param seconds how long the sound lasts
     * @param noticed what was noticed of the sound before
     */
    SoundReading reading(double seconds, List<String> noticed) {
        Doubts doubts = doubts();
        int rejected = times.numbers().length - detected;
        double decibels = SignalQuality.decibels(hearing.stack(0), times.dropSeconds(0));
        return new SoundReading(
                found.beatRate(),
                found.score(),
                liftAngle,
                rateWithError(),
                amplitudeWithError(doubts),
                beatErrorWithError(),
                liftTime(),
                detected,
                expected - detected - rejected,
                rejected,
                decibels,
                seconds,
                trend(),
                SignalQuality.averagedBeat(hearing.stack(0), hearing.stack(1), hearing.chosen(), times),
                beats(),
                doubts.sentences(),
                remarks(noticed, decibels));
    }

    private Measured rateWithError() {
        return Measured.withStandardError(rate, Rate.SECONDS_PER_DAY * line.slopeError() / line.slope());
    }

    private Measured amplitudeWithError(Doubts doubts) {
        double own = amplitude.degrees() * lift.liftError() / lift.liftSeconds();
        return Measured.withStandardError(amplitude.degrees(), Math.hypot(own, doubts.degrees()));
    }

    private Measured beatErrorWithError() {
        double millis = swing.beatError(lift.liftSeconds(), lift.heardSeconds()).millis();
        return Measured.withStandardError(millis, lift.heardError() * 1000);
    }

    private LiftTime liftTime() {
        return new LiftTime(
                Measured.withStandardError(lift.liftSeconds() * 1000, lift.liftError() * 1000),
                Measured.withStandardError(lift.heardSeconds() * 1000, lift.heardError() * 1000));
    }

    private Doubts doubts() {
        return Doubts.about(hearing.chosen(), lift, amplitude, swing, times.agreement(), detected, expected)
                .and(jumps())
                .and(lost());
    }

    /** A balance changes its swing by and by: lifts that jump were followed wrongly somewhere. */
    private Optional<String> jumps() {
        return RobustLine.fit(times.numbers(), times.lifts(), LIFT_JUMP_SECONDS)
                        .steps()
                        .isEmpty()
                ? Optional.empty()
                : Optional.of(
                        "The amplitude seems to jump, which no balance does: sounds may have been taken for one another");
    }

    private Optional<String> lost() {
        if (line.steps().isEmpty()) {
            return lostSound
                    ? Optional.of(
                            "Sound was lost now and then, in pieces too short to be put together: the rate may be off")
                    : Optional.empty();
        }
        String sizes = line.steps().stream()
                .map(s -> "%+.1f ms".formatted(s.seconds() * 1000))
                .collect(Collectors.joining(", "));
        return Optional.of(
                "Sound was lost, or the watch jumped (%s): the rate is taken from what lies between".formatted(sizes));
    }

    private List<String> remarks(List<String> noticed, double decibels) {
        List<String> remarks = new ArrayList<>(noticed);
        Swelling.words(times, amplitude.degrees()).ifPresent(remarks::add);
        if (decibels < LOUD_ROOM_DECIBELS) {
            remarks.add(
                    "The room is loud: the drop stands only %.0f dB above it. A quieter room or a pick-up that sits firmer"
                                    .formatted(decibels)
                            + " makes the amplitude surer");
        }
        return List.copyOf(remarks);
    }

    private List<SoundReading.Beat> beats() {
        double[] middles = times.middles();
        double[] lifts = times.lifts();
        return IntStream.range(0, middles.length)
                .mapToObj(i -> new SoundReading.Beat(times.numbers()[i], middles[i], lifts[i] * 1000, !line.rejects(i)))
                .toList();
    }

    private List<Double> trend() {
        List<Double> trend = new ArrayList<>();
        double[] middles = times.middles();
        int n = middles.length;
        for (int part = 0; part < TREND_PARTS; part++) {
            int from = part * n / TREND_PARTS;
            int to = (part + 1) * n / TREND_PARTS;
            RobustLine own = RobustLine.fit(
                    Arrays.copyOfRange(times.numbers(), from, to), Arrays.copyOfRange(middles, from, to));
            if (own.slope() > 0) {
                trend.add(Rate.ofMeanBeat(found.beatRate(), own.slope()).secondsPerDay());
            }
        }
        return List.copyOf(trend);
    }
}
