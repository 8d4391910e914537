package escrel.simulator.proving;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.sound.Sound;
import escrel.simulator.chance.OneHandRandom;
import java.util.Random;

/**
 * Makes trials: each number a movement, its six sounds, a room, a recorder and mostly something that makes reading hard, all
 * drawn from that number alone.
 */
public final class Trials {
    private static final double[] SAMPLE_RATES = {22_050, 32_000, 44_100, 44_100, 48_000, 48_000, 96_000};
    private static final double FAINTEST_UNLOCKING = 0.1;

    private final double lowestDecibels;
    private final double highestDecibels;
    private final double shortestSeconds;

    /**
     * Trials with a signal-to-noise ratio from {@code lowestDecibels} to {@code highestDecibels}.
     *
     * @param shortestSeconds the shortest recording; the longest is twice as long
     */
    public Trials(double lowestDecibels, double highestDecibels, double shortestSeconds) {
        this.lowestDecibels = lowestDecibels;
        this.highestDecibels = highestDecibels;
        this.shortestSeconds = shortestSeconds;
    }

    /** The trial of a number; equal numbers give equal samples. */
    public Trial make(long number) {
        return make(number, Difficulty.of(number));
    }

    /** The trial of a number under a difficulty. */
    public Trial make(long number, Difficulty difficulty) {
        return make(number, difficulty, number);
    }

    /** The same watch with the same sounds, heard again: other noise, other scatter from beat to beat. */
    public Trial again(long number, Difficulty difficulty, long time) {
        return make(number, difficulty, number + 1_000_003 * (time + 1));
    }

    private Trial make(long number, Difficulty difficulty, long noise) {
        Random random = new OneHandRandom(number * 7_919 + 17);
        double rate = SAMPLE_RATES[random.nextInt(SAMPLE_RATES.length)];
        BeatRate beatRate = BeatRate.USUAL.get(random.nextInt(BeatRate.USUAL.size()));
        double lift = 42 + 13 * random.nextDouble();
        Movement movement = new Movement(random, beatRate, lift, difficulty);
        double seconds = shortestSeconds * (1 + random.nextDouble());
        double unlock = FAINTEST_UNLOCKING * Math.pow(6, random.nextDouble());
        double impulse = 0.2 + 0.9 * random.nextDouble();
        double echoes = difficulty == Difficulty.ECHOES ? 0.7 : random.nextInt(3) == 0 ? 0.45 : 0.15;
        Voice[][] voices = voices(random, rate, unlock, impulse, echoes, difficulty);
        double decibels = lowestDecibels + (highestDecibels - lowestDecibels) * random.nextDouble();
        Random spoiling = new OneHandRandom(noise * 31 + 7);
        float[] out = new float[(int) (seconds * rate)];
        Movement.Truth truth = movement.run(out, rate, voices, spoiling);
        String words = Spoiling.add(difficulty, out, rate, truth.dropTimes(), spoiling);
        // a pick-up that slips leaves the room as loud as it was; a recorder that levels does not
        boolean slips = spoiling.nextBoolean();
        words += slips ? Spoiling.jump(difficulty, out, spoiling) : "";
        words += RoomNoise.add(out, rate, truth.dropTimes(), decibels, spoiling);
        words += slips ? "" : Spoiling.jump(difficulty, out, spoiling);
        words += Recorder.spoil(out, rate, spoiling);
        float[] heard = difficulty == Difficulty.LOST_SAMPLES ? Spoiling.lose(out, rate, spoiling) : out;
        return new Trial(
                number,
                difficulty,
                Spoiling.channels(difficulty, new Sound(heard, rate), spoiling),
                beatRate,
                LiftAngle.known(lift),
                truth.figures().rate(),
                truth.figures().amplitude(),
                truth.figures().beatError(),
                decibels,
                truth.exactListener(),
                "%s, %.0f dB, unlocking %.2f, impulse %.2f, echoes %.2f, %.0f Hz%s"
                        .formatted(difficulty, decibels, unlock, impulse, echoes, rate, words));
    }

    private static Voice[][] voices(
            Random random, double rate, double unlock, double impulse, double echoes, Difficulty difficulty) {
        Voice[][] voices = new Voice[2][3];
        for (int half = 0; half < 2; half++) {
            double uneven = 0.7 + 0.6 * random.nextDouble();
            voices[half][0] = new Voice(random, unlock * uneven, rate, echoes, difficulty);
            voices[half][1] = new Voice(random, impulse * (0.7 + 0.6 * random.nextDouble()), rate, echoes, difficulty);
            voices[half][2] = new Voice(random, 0.8 + 0.4 * random.nextDouble(), rate, echoes, difficulty);
        }
        return voices;
    }

    /** The sound of a watch alone, for laying it under another: {@code seconds} at a sample rate, no room. */
    static float[] alone(Random random, double rate, double seconds, BeatRate beatRate) {
        Movement movement = new Movement(random, beatRate, 42 + 13 * random.nextDouble(), Difficulty.PLAIN);
        Voice[][] voices = voices(random, rate, 0.3, 0.6, 0.15, Difficulty.PLAIN);
        float[] out = new float[(int) (seconds * rate)];
        movement.run(out, rate, voices, random);
        return out;
    }
}
