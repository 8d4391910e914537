package escrel.core.timing.beats;

/**
 * A sudden rise of loudness that comes back beat after beat: a candidate for one of the three sounds.
 *
 * @param seconds relative to the beat's time
 * @param sharpness logarithm of the energy after against before
 * @param level energy after, above the quiet, as a part of the loudest in the stack
 * @param certainty mean rise over the beats in its own standard errors: how sure it is that there is one at all
 */
public record Rise(double seconds, double sharpness, double level, double certainty) {
    /** From 0 to 3: how much this rise speaks for a sound, be it sharp or faint but always there. */
    public double strength() {
        return 3 * Math.min(1, Math.max(sharpness / 3, (certainty - CHANCE) / SURE));
    }

    // a stretch of silence some 800 places long seldom shows a rise of more by chance
    private static final double CHANCE = 3;
    private static final double SURE = 6;
}
