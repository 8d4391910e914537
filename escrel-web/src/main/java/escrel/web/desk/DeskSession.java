package escrel.web.desk;

import escrel.core.MendableException;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.DriftStrip;
import escrel.core.timing.acoustics.Settling;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.sound.Level;
import escrel.core.timing.sound.LiveSound;
import escrel.core.timing.sound.Sound;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One live listening: sound comes in piece by piece and what is known so far goes out with every piece. Only the last
 * {@link #KEPT_SECONDS} are kept, whatever the length of the session.
 */
final class DeskSession {
    static final double KEPT_SECONDS = 40;
    private static final double ANALYSED_SECONDS = 24;
    // every piece of 150 ms gives new figures, also one that comes a little early
    private static final long LEAST_PAUSE_NANOS = 100_000_000;
    // figures older than 300 ms are felt as lagging: a slow computer listens to less at once, as far as a reading can
    // still settle
    private static final double ANALYSIS_NANOS = 80e6;
    private static final int LEVELS = 25;
    private static final double HANDLING_DECIBELS = 14;
    private static final double NEVER_SETTLES_SECONDS = 60;
    private static final int PATIENCE = 3;
    private static final double LONG_ENOUGH_SECONDS = 8;

    final int job;
    final DeviceClock clock;
    final boolean simulated;
    private final BeatAnalyser analyser;
    private final int escapeTeeth;
    private final LiveSound sound;
    private final Agreement agreement = new Agreement();
    private final double[] levels = new double[LEVELS];
    private int pieces;
    private int loudPieces;
    private Level level = Level.of(new float[0]);
    private @Nullable DriftStrip strip;
    private @Nullable SoundReading reading;
    private Settling settling = new Settling(false, "");
    private String quality = "";
    private double listenedTo;
    private double affordable = ANALYSED_SECONDS;
    private long nextAnalysis;
    private int refusals;
    private boolean shorter;

    DeskSession(
            int job, DeviceClock clock, boolean simulated, BeatAnalyser analyser, int escapeTeeth, double sampleRate) {
        this.job = job;
        this.clock = clock;
        this.simulated = simulated;
        this.analyser = analyser;
        this.escapeTeeth = escapeTeeth;
        this.sound = new LiveSound(sampleRate, KEPT_SECONDS);
    }

    /** Takes a piece of sound and answers with what is known now. */
    synchronized DeskState hear(float[] piece, long nowNanos) {
        sound.add(piece);
        level = Level.of(piece);
        watchForHandling();
        if (nowNanos >= nextAnalysis) {
            long began = System.nanoTime();
            analyse();
            // a slow computer listens as often as it can and still has time for the rest
            nextAnalysis = nowNanos + Math.max(LEAST_PAUSE_NANOS, System.nanoTime() - began);
        }
        return state();
    }

    /** The watch lies otherwise: what was heard before does not count. */
    synchronized void startAgain() {
        sound.startAgain();
        reading = null;
        strip = null;
        pieces = 0;
        loudPieces = 0;
        refusals = 0;
        shorter = false;
        agreement.interrupted();
        listenedTo = 0;
        settling = new Settling(false, "");
        quality = "";
        nextAnalysis = 0;
    }

    private void watchForHandling() {
        double[] sorted = Arrays.copyOf(levels, Math.min(pieces, LEVELS));
        Arrays.sort(sorted);
        boolean loud = sorted.length == LEVELS && level.rmsDecibels() > sorted[LEVELS / 2] + HANDLING_DECIBELS;
        loudPieces = loud ? loudPieces + 1 : 0;
        levels[pieces++ % LEVELS] = level.rmsDecibels();
        if (loudPieces >= 2) {
            startAgain();
            quality = "the watch was moved or knocked: listening again";
        }
    }

    private void analyse() {
        if (sound.seconds() < BeatAnalyser.SHORTEST_SECONDS) {
            return;
        }
        double turn =
                reading == null ? 0 : Settling.turnSeconds(reading.beatRate().beatSeconds(), escapeTeeth);
        // what does not settle over the whole stretch may have settled since: the latest part of it is tried by turns
        double least = Math.max(Settling.LEAST_SECONDS, Settling.TURNS * turn) + 0.1;
        double most = shorter ? least : Math.max(least, Math.min(ANALYSED_SECONDS, affordable));
        double available = Math.min(sound.seconds(), most);
        double seconds = turn > 0 ? Settling.wholeTurns(available, turn) : available;
        if (seconds < BeatAnalyser.SHORTEST_SECONDS) {
            seconds = available;
        }
        Sound latest = sound.latest(seconds);
        long began = System.nanoTime();
        try {
            reading = analyser.analyse(latest);
            listenedTo = sound.seconds();
            affordable = seconds / (System.nanoTime() - began) * ANALYSIS_NANOS;
        } catch (NoCredibleBeatException e) {
            refused(e);
            return;
        }
        refusals = 0;
        if (strip == null) {
            strip = new DriftStrip(reading.beatRate().beatSeconds());
        }
        strip.add(reading, sound.secondsBefore(seconds));
        settling = Settling.of(reading, Settling.turnSeconds(reading.beatRate().beatSeconds(), escapeTeeth));
        boolean agreed = agreement.with(reading.amplitudeDegrees().value());
        if (settling.settled() && !agreed) {
            settling = new Settling(false, "heard once more, to be sure");
        }
        shorter = !settling.settled() && !shorter;
        quality = Stream.concat(reading.doubts().stream(), reading.remarks().stream())
                .collect(Collectors.joining(". "));
    }

    /** A drop-out or a shift in the sound would spoil the whole stretch: better to begin anew than to wait it out. */
    private void refused(NoCredibleBeatException e) {
        String why = e.whatHappened();
        if (++refusals >= PATIENCE && sound.seconds() > LONG_ENOUGH_SECONDS) {
            startAgain();
        }
        reading = null;
        agreement.interrupted();
        settling = new Settling(false, "no steady beat yet");
        quality = why;
    }

    private DeskState state() {
        boolean never = !settling.settled() && sound.seconds() > NEVER_SETTLES_SECONDS;
        return DeskState.of(level, sound.seconds(), listenedTo, reading, settling, never, quality, strip, clock);
    }

    /**
     * What is to be taken now, with the sound it was heard in.
     *
     * @throws MendableException while there is no reading
     */
    synchronized Taken take() {
        if (reading == null) {
            throw new MendableException(
                    "There is no reading to take yet" + (quality.isEmpty() ? "" : ": " + quality),
                    "Nothing was recorded; earlier readings are as they were.",
                    "Wait until the watch is heard steadily, or press the pick-up to the crown.");
        }
        return new Taken(reading, sound.latest(reading.seconds()));
    }

    /** A reading with its sound. */
    record Taken(SoundReading reading, Sound sound) {}
}
