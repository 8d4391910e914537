package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.quantity.Rate;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.BeatRateFinder;
import escrel.core.timing.beats.BeatSounds;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.beats.BeatTracker;
import escrel.core.timing.beats.Envelope;
import escrel.core.timing.beats.Hearing;
import escrel.core.timing.beats.HighPass;
import escrel.core.timing.beats.Levelled;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Swing;
import escrel.core.timing.sound.Sound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Turns a sound into a reading. In outline: high-pass; beat rate and period from the likeness of the sound to itself;
 * beats followed one by one; ticks and tocks stacked; unlocking and drop picked in the stacks and followed from beat to
 * beat; rate from a robust line through the middles between unlocking and drop, since a slow drift of the amplitude
 * biases either alone; amplitude and beat error from the mean lift time and the unlocking sounds (M2, M3, M4). Running
 * time grows with the length of the sound.
 */
public final class BeatAnalyser {
    /** Shortest usable sound in seconds. Source: measures, Recordings. */
    public static final double SHORTEST_SECONDS = 4;

    private static final double HIGH_PASS_HERTZ = 1200;
    private static final int FINE_IN_COARSE = (int) Math.round(Envelope.BLOCK_SECONDS / Envelope.FINE_BLOCK_SECONDS);
    private static final int TREND_PARTS = 4;
    private static final double SAME_PERIOD = 2e-4;
    private static final double CLEARLY = 1.2;
    private static final double LOUD_ROOM_DECIBELS = 13;

    private final LiftAngle liftAngle;
    private final @Nullable BeatRate given;
    private final double lowestHertz;

    private BeatAnalyser(LiftAngle liftAngle, @Nullable BeatRate given, double lowestHertz) {
        this.liftAngle = liftAngle;
        this.given = given;
        this.lowestHertz = lowestHertz;
    }

    /** An analyser that recognises the beat rate among the usual ones. */
    public static BeatAnalyser recognising(LiftAngle liftAngle) {
        return new BeatAnalyser(liftAngle, null, HIGH_PASS_HERTZ);
    }

    /** An analyser for a movement whose beat rate is known. */
    public static BeatAnalyser forBeatRate(BeatRate beatRate, LiftAngle liftAngle) {
        return new BeatAnalyser(liftAngle, beatRate, HIGH_PASS_HERTZ);
    }

    /**
     * This analyser listening only above a frequency.
     *
     * @param hertz above 0; an eighth of the sample rate at most is used
     */
    public BeatAnalyser listeningAbove(double hertz) {
        if (!(hertz > 0)) {
            throw new IllegalArgumentException("the lowest frequency must be above 0, was " + hertz);
        }
        return new BeatAnalyser(liftAngle, given, hertz);
    }

    /** This analyser for a known beat rate. */
    BeatAnalyser at(BeatRate beatRate) {
        return new BeatAnalyser(liftAngle, beatRate, lowestHertz);
    }

    /**
     * The reading of a sound.
     *
     * @throws NoCredibleBeatException when it is too short, silent, without a steady beat, beats at another rate than
     *     given, or yields an amplitude nobody would believe
     */
    public SoundReading analyse(Sound sound) {
        if (sound.seconds() < SHORTEST_SECONDS) {
            throw new NoCredibleBeatException(
                    "The sound lasts %.1f s; at least %.0f s are needed".formatted(sound.seconds(), SHORTEST_SECONDS),
                    "Record for 20 seconds or more.");
        }
        float[] filtered = HighPass.apply(sound, Math.min(lowestHertz, sound.sampleRate() / 8));
        double[] energy = Envelope.energy(filtered, sound.sampleRate(), Envelope.FINE_BLOCK_SECONDS);
        double[] blocks = Envelope.together(energy, FINE_IN_COARSE);
        Credible.requireLife(blocks);
        List<String> noticed = new ArrayList<>();
        if (Levelled.level(filtered, sound.sampleRate(), blocks)) {
            noticed.add("The loudness jumps, as when a pick-up slips or a recorder levels by itself: it was made even;"
                    + " fix the pick-up, and switch levelling off");
            energy = Envelope.energy(filtered, sound.sampleRate(), Envelope.FINE_BLOCK_SECONDS);
            blocks = Envelope.together(energy, FINE_IN_COARSE);
        }
        Envelope coarse = Envelope.ofEnergy(blocks, Envelope.BLOCK_SECONDS);
        BeatRateFinder.Found found = beatRate(coarse);
        Envelope fine = Envelope.ofEnergy(energy, Envelope.FINE_BLOCK_SECONDS);
        BeatTracker tracker = new BeatTracker(coarse, fine, found.periodSeconds());
        Hearing hearing = Hearing.of(filtered, sound.sampleRate(), tracker, new Swing(found.beatRate(), liftAngle));
        Optional<String> neighbour = requireAlone(coarse, tracker, hearing.times());
        neighbour.ifPresent(noticed::add);
        return reading(sound, found, tracker, hearing, noticed);
    }

    /** A faint second watch, to be mentioned; a loud one is refused. */
    private static Optional<String> requireAlone(Envelope coarse, BeatTracker tracker, BeatTimes times) {
        return SecondWatch.behind(coarse, times.unlocks(), times.drops()).map(other -> {
            double period = other.beat().periodSeconds();
            if (Math.abs(period / tracker.periodSeconds() - 1) < SAME_PERIOD) {
                throw new NoCredibleBeatException(
                        "In every beat more is heard than unlocking, impulse and drop",
                        "Press the pick-up to the crown, or move it to the case back, and record again.");
            }
            double beats = other.beat().beatRate().beatsPerHour();
            if (!other.faint()) {
                throw new NoCredibleBeatException(
                        "A second watch is heard, beating at about %.0f per hour".formatted(beats),
                        "Take other watches away from the pick-up and record again.");
            }
            return "A second watch is faintly heard, beating at about %.0f per hour: take it away from the pick-up"
                    .formatted(beats);
        });
    }

    private BeatRateFinder.Found beatRate(Envelope coarse) {
        BeatRateFinder finder = new BeatRateFinder(coarse);
        List<BeatRate> usual = BeatRate.USUAL;
        BeatRateFinder.@Nullable Found recognised = finder.among(usual).orElse(null);
        if (given == null) {
            if (recognised == null) {
                throw new NoCredibleBeatException(
                        "No steady beat was found in the sound",
                        "Check that the watch runs and the pick-up touches it, keep the room quiet and record again.");
            }
            return recognised;
        }
        BeatRateFinder.Found asGiven = finder.at(given);
        // a sound is a little like itself at half its beat rate and at double; more so at another, it beats at that one
        BeatRateFinder.Found twice = finder.at(BeatRate.of(2 * given.beatsPerHour()));
        if (twice.credible() && (recognised == null || twice.score() > recognised.score())) {
            recognised = twice;
        }
        boolean clearlyAnother = recognised != null && recognised.score() > CLEARLY * asGiven.score();
        if (!asGiven.credible() || clearlyAnother) {
            throw new NoCredibleBeatException(
                    "No steady beat of %.0f beats per hour was found in the sound".formatted(given.beatsPerHour()),
                    recognised == null
                            ? "Check that the watch runs and the pick-up touches it, and record again."
                            : "The sound beats at about %.0f per hour: check the calibre's beat rate."
                                    .formatted(recognised.beatRate().beatsPerHour()));
        }
        return asGiven;
    }

    private SoundReading reading(
            Sound sound, BeatRateFinder.Found found, BeatTracker tracker, Hearing hearing, List<String> noticed) {
        BeatTimes times = hearing.times();
        BeatSounds.Chosen chosen = hearing.chosen();
        double[] middles = times.middles();
        RobustLine line = RobustLine.fit(times.numbers(), middles);
        int detected = 0;
        int rejected = 0;
        for (int i = 0; i < middles.length; i++) {
            detected += line.rejects(i) ? 0 : 1;
            rejected += line.rejects(i) ? 1 : 0;
        }
        int missed = tracker.numbers().length - detected - rejected;
        Credible.requireSteady(line, detected, tracker.numbers().length);

        Swing swing = Swing.heard(found.beatRate(), 2 * line.slope(), liftAngle);
        LiftFigures lift = LiftFigures.of(times, chosen, line, detected);
        double rate = Rate.ofMeanBeat(found.beatRate(), line.slope()).secondsPerDay();
        Credible.requireWatch(rate, lift.heardSeconds());
        Amplitude amplitude = Credible.amplitude(swing, lift.liftSeconds(), lift.heardSeconds());
        Doubts doubts = Doubts.about(
                        chosen, lift, amplitude, swing, times.agreement(), detected, tracker.numbers().length)
                .and(jumps(times))
                .and(lost(line));
        double amplitudeError =
                Math.hypot(amplitude.degrees() * lift.liftError() / lift.liftSeconds(), doubts.degrees());
        double heardError = lift.heardError() * 1000;
        double decibels = SignalQuality.decibels(hearing.stack(0), times.dropSeconds(0));
        double rateError = Rate.SECONDS_PER_DAY * line.slopeError() / line.slope();
        return new SoundReading(
                found.beatRate(),
                found.score(),
                liftAngle,
                Measured.withStandardError(rate, rateError),
                Measured.withStandardError(amplitude.degrees(), amplitudeError),
                Measured.withStandardError(
                        swing.beatError(lift.liftSeconds(), lift.heardSeconds()).millis(), heardError),
                new LiftTime(
                        Measured.withStandardError(lift.liftSeconds() * 1000, lift.liftError() * 1000),
                        Measured.withStandardError(lift.heardSeconds() * 1000, heardError)),
                detected,
                missed,
                rejected,
                decibels,
                sound.seconds(),
                trend(found.beatRate(), times.numbers(), middles),
                SignalQuality.averagedBeat(hearing.stack(0), hearing.stack(1), chosen, times),
                beats(times, line),
                doubts.sentences(),
                remarks(noticed, times, amplitude, decibels));
    }

    private static List<String> remarks(List<String> noticed, BeatTimes times, Amplitude amplitude, double decibels) {
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

    /** A balance changes its swing by and by: lifts that jump were followed wrongly somewhere. */
    private static Optional<String> jumps(BeatTimes times) {
        return RobustLine.fit(times.numbers(), times.lifts()).steps().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        "The amplitude seems to jump, which no balance does: sounds may have been taken for one another");
    }

    private static Optional<String> lost(RobustLine line) {
        if (line.steps().isEmpty()) {
            return Optional.empty();
        }
        String sizes = line.steps().stream()
                .map(s -> "%+.1f ms".formatted(s.seconds() * 1000))
                .collect(Collectors.joining(", "));
        return Optional.of(
                "Sound was lost, or the watch jumped (%s): the rate is taken from what lies between".formatted(sizes));
    }

    private static List<SoundReading.Beat> beats(BeatTimes times, RobustLine line) {
        double[] middles = times.middles();
        double[] lifts = times.lifts();
        return IntStream.range(0, middles.length)
                .mapToObj(i -> new SoundReading.Beat(times.numbers()[i], middles[i], lifts[i] * 1000, !line.rejects(i)))
                .toList();
    }

    private static List<Double> trend(BeatRate nominal, int[] numbers, double[] middles) {
        List<Double> trend = new ArrayList<>();
        int n = numbers.length;
        for (int part = 0; part < TREND_PARTS; part++) {
            int from = part * n / TREND_PARTS;
            int to = (part + 1) * n / TREND_PARTS;
            RobustLine line =
                    RobustLine.fit(Arrays.copyOfRange(numbers, from, to), Arrays.copyOfRange(middles, from, to));
            if (line.slope() > 0) {
                trend.add(Rate.ofMeanBeat(nominal, line.slope()).secondsPerDay());
            }
        }
        return List.copyOf(trend);
    }
}
