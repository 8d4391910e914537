package escrel.core.timing.acoustics;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.beats.BeatRateFinder;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.beats.BeatTracker;
import escrel.core.timing.beats.Envelope;
import escrel.core.timing.beats.Hearing;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.Swing;
import escrel.core.timing.sound.Sound;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    private static final double SAME_PERIOD = 2e-4;
    private static final double CLEARLY = 1.2;

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
        return analyse(prepared(sound));
    }

    /**
     * A sound made ready: who keeps it no longer than that leaves its memory to what follows.
     *
     * @throws NoCredibleBeatException when it is too short or silent
     */
    Prepared prepared(Sound sound) {
        if (sound.seconds() < SHORTEST_SECONDS) {
            throw new NoCredibleBeatException(
                    "The sound lasts %.1f s; at least %.0f s are needed".formatted(sound.seconds(), SHORTEST_SECONDS),
                    "Record for 20 seconds or more.");
        }
        return Prepared.of(sound, Math.min(lowestHertz, sound.sampleRate() / 8));
    }

    /** The reading of a sound made ready; refused as {@link #analyse(Sound)} refuses it. */
    SoundReading analyse(Prepared prepared) {
        BeatRateFinder.Found found = beatRate(prepared.coarse());
        BeatTracker tracker = new BeatTracker(prepared.coarse(), prepared.fine(), found.periodSeconds());
        Hearing hearing =
                Hearing.of(prepared.samples(), prepared.sampleRate(), tracker, new Swing(found.beatRate(), liftAngle));
        List<String> noticed = new ArrayList<>(prepared.noticed());
        requireAlone(prepared.coarse(), tracker, hearing.times()).ifPresent(noticed::add);
        return Figures.of(found, liftAngle, tracker, hearing).reading(prepared.seconds(), noticed);
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
}
