package escrel.core.timing.beats;

import escrel.core.timing.beats.AlikeBeats.Comparing;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * One sound of the beat, unlocking or drop, followed through all ticks and tocks of a recording: first by its loudness, which
 * finds it from afar, then by its very wave, which a watch repeats from beat to beat and noise does not. Waves laid over each
 * other exactly leave the noise behind; where they are never alike, loudness alone must do.
 */
final class Followed {
    private static final double AFTER_SECONDS = 0.0013;
    private static final double LOUDNESS_BEFORE_SECONDS = 0.0006;
    private static final double LOUDNESS_REACH_SECONDS = 0.0012;
    private static final int LOUDNESS_ROUNDS = 3;
    private static final double WAVE_BEFORE_SECONDS = 0.0002;
    private static final double WAVE_REACH_SECONDS = 0.00025;
    private static final int TRIAL_ROUNDS = 2;
    private static final int WAVE_ROUNDS = 2;
    // what moves no more than this from round to round is found
    private static final double STILL_SECONDS = 12e-6;
    // from this likeness on no other course can be better by much
    private static final double SURELY = 0.88;
    // another course must make the beats more alike by so much: a freer one always does by a little
    private static final double CLEARLY = 0.02;

    // jitter and run-out of 20 to 60 µs from beat to beat, a swelling amplitude of up to 170 µs
    private static final Comparing BY_LOUDNESS = new Comparing(
            LOUDNESS_BEFORE_SECONDS,
            LOUDNESS_BEFORE_SECONDS + AFTER_SECONDS,
            LOUDNESS_REACH_SECONDS,
            true,
            25,
            new double[] {10e-6, 40e-6, 120e-6});
    private static final Comparing BY_WAVE = new Comparing(
            WAVE_BEFORE_SECONDS, WAVE_BEFORE_SECONDS + AFTER_SECONDS, WAVE_REACH_SECONDS, false, 50, new double[] {
                6e-6, 30e-6, 110e-6
            });

    private final float[] samples;
    private final double sampleRate;
    private final int[] numbers;
    private final double[] times;
    private final AlikeBeats beats;
    private final double[] shifts;
    private final Wave[] waves;
    private @Nullable Loudness coarse;

    /** A course of shifts in seconds, as the wave gave it, and how alike the beats are along it. */
    private record Course(double[] byWave, double alike) {}

    /**
     * Follows a sound.
     *
     * @param numbers of the beats, ascending; even for ticks
     * @param times about where it begins in each, in seconds
     * @param chained whether it may wander in a way nobody can guess
     */
    Followed(float[] samples, double sampleRate, int[] numbers, double[] times, boolean chained) {
        this.samples = samples;
        this.sampleRate = sampleRate;
        this.numbers = numbers;
        this.times = times;
        this.beats = new AlikeBeats(numbers);
        double[] course = first(chained).byWave;
        double moved = Double.MAX_VALUE;
        for (int round = 0; round < WAVE_ROUNDS && moved > STILL_SECONDS / 4; round++) {
            moved = beats.improve(samples, sampleRate, times, course, BY_WAVE);
        }
        beats.finish(samples, sampleRate, times, course, BY_WAVE);
        Wave[] together = together(course);
        if (alike(together) < Wave.ALIKE) {
            // never twice the same: following the wave was following noise
            Loudness fine = loudness(Loudness.FINE_SECONDS);
            course = byLoudness(fine, new double[times.length]);
            beats.finish(fine.values(), fine.rate(), times, course, BY_LOUDNESS);
            together = together(course);
        }
        this.shifts = course;
        this.waves = together;
    }

    /** The course to begin with: what wanders unknown is found by its loudness, what lies where it is expected by its wave. */
    private Course first(boolean chained) {
        Course best = tried(new double[times.length], chained);
        if (!chained && best.alike >= SURELY) {
            return best;
        }
        double[] other = chained
                ? beats.chained(coarse().values(), coarse().rate(), times, BY_LOUDNESS)
                : new double[times.length];
        Course second = tried(other, true);
        return second.alike > best.alike + CLEARLY ? second : best;
    }

    private Course tried(double[] from, boolean byLoudness) {
        double[] wave = byLoudness ? byLoudness(coarse(), from) : from.clone();
        for (int round = 0; round < TRIAL_ROUNDS; round++) {
            beats.improve(samples, sampleRate, times, wave, BY_WAVE);
        }
        return new Course(wave, alike(together(wave)));
    }

    /** The loudness from afar, for whom the wave alone does not do: what lies where it is expected asks for none. */
    private Loudness coarse() {
        Loudness known = coarse;
        if (known == null) {
            known = loudness(Loudness.COARSE_SECONDS);
            coarse = known;
        }
        return known;
    }

    private Loudness loudness(double hopSeconds) {
        // once the course found may lie a reach away, and is looked around for from there
        double reach = 3 * LOUDNESS_REACH_SECONDS;
        return Loudness.around(
                samples, sampleRate, hopSeconds, times, LOUDNESS_BEFORE_SECONDS + reach, AFTER_SECONDS + reach);
    }

    private double[] byLoudness(Loudness loudness, double[] from) {
        double[] course = from.clone();
        double moved = Double.MAX_VALUE;
        for (int round = 0; round < LOUDNESS_ROUNDS && moved > STILL_SECONDS; round++) {
            moved = beats.improve(loudness.values(), loudness.rate(), times, course, BY_LOUDNESS);
        }
        return course;
    }

    private static double alike(Wave[] waves) {
        return (waves[0].alike() + waves[1].alike()) / 2;
    }

    private Wave[] together(double[] course) {
        Wave[] out = new Wave[2];
        for (int half = 0; half < 2; half++) {
            double[] all = new double[times.length];
            int count = 0;
            for (int k = 0; k < times.length; k++) {
                if ((numbers[k] & 1) == half) {
                    all[count++] = times[k] + course[k];
                }
            }
            out[half] = Wave.of(samples, sampleRate, Arrays.copyOf(all, count));
        }
        return out;
    }

    /** By how many seconds each beat's sound lies later than expected. */
    double[] shifts() {
        return shifts;
    }

    /** Ticks (0) or tocks (1) laid over each other. */
    Wave wave(int half) {
        return waves[half];
    }
}
