package escrel.core.timing.acoustics;

import escrel.core.timing.beats.Envelope;
import escrel.core.timing.beats.HighPass;
import escrel.core.timing.beats.Levelled;
import escrel.core.timing.sound.Sound;
import java.util.List;

/**
 * A sound made ready to be listened to: hum and thumps taken away, equally loud throughout.
 *
 * @param samples the sound itself
 * @param sampleRate of them in a second
 * @param coarse its envelope, for the beat rate
 * @param fine its envelope, for single beats
 * @param noticed what had to be done, in sentences
 */
record Prepared(float[] samples, double sampleRate, Envelope coarse, Envelope fine, List<String> noticed) {
    private static final int FINE_IN_COARSE = (int) Math.round(Envelope.BLOCK_SECONDS / Envelope.FINE_BLOCK_SECONDS);
    private static final String LEVELLED =
            "The loudness jumps, as when a pick-up slips or a recorder levels by itself: it was made"
                    + " even; fix the pick-up, and switch levelling off";

    /**
     * Makes a sound ready.
     *
     * @param lowestHertz what is lower is taken away
     * @throws escrel.core.timing.beats.NoCredibleBeatException when it is silent
     */
    static Prepared of(Sound sound, double lowestHertz) {
        double rate = sound.sampleRate();
        float[] samples = HighPass.apply(sound, lowestHertz);
        double[] energy = Envelope.energy(samples, rate, Envelope.FINE_BLOCK_SECONDS);
        double[] blocks = Envelope.together(energy, FINE_IN_COARSE);
        Credible.requireLife(blocks);
        boolean levelled = Levelled.level(samples, rate, blocks);
        if (levelled) {
            energy = Envelope.energy(samples, rate, Envelope.FINE_BLOCK_SECONDS);
            blocks = Envelope.together(energy, FINE_IN_COARSE);
        }
        return new Prepared(
                samples,
                rate,
                Envelope.ofEnergy(blocks, Envelope.BLOCK_SECONDS),
                Envelope.ofEnergy(energy, Envelope.FINE_BLOCK_SECONDS),
                levelled ? List.of(LEVELLED) : List.of());
    }

    /** Length in seconds. */
    double seconds() {
        return samples.length / sampleRate;
    }
}
