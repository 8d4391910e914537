package escrel.core.timing.acoustics;

import escrel.core.quantity.BeatRate;
import escrel.core.timing.beats.BeatRateFinder;
import escrel.core.timing.beats.Envelope;
import java.util.Arrays;
import java.util.Optional;

/** Listens between the beats of a watch for another one: with the beats cut out, nothing may beat any more. */
final class SecondWatch {
    private static final double BEFORE_SECONDS = 0.003;
    // echoes of the case have died away by then
    private static final double AFTER_SECONDS = 0.022;
    private static final double CREDIBLE = 0.2;

    private SecondWatch() {}

    /** The beat that is left when these beats are cut out; nothing when what is left does not beat. */
    static Optional<BeatRateFinder.Found> behind(Envelope envelope, double[] unlocks, double[] drops) {
        double block = 2 * envelope.blockSeconds();
        double[] rest = envelope.inPairs();
        boolean[] cut = new boolean[rest.length];
        for (int k = 0; k < unlocks.length; k++) {
            int from = (int) Math.floor((unlocks[k] - BEFORE_SECONDS) / block);
            int to = (int) Math.ceil((drops[k] + AFTER_SECONDS) / block);
            if (from < to && to > 0 && from < rest.length) {
                Arrays.fill(cut, Math.max(0, from), Math.min(rest.length, to), true);
            }
        }
        double sum = 0;
        int count = 0;
        for (int i = 0; i < rest.length; i++) {
            if (!cut[i]) {
                sum += rest[i];
                count++;
            }
        }
        double mean = count == 0 ? 0 : sum / count;
        for (int i = 0; i < rest.length; i++) {
            rest[i] = cut[i] ? mean : rest[i];
        }
        return new BeatRateFinder(new Envelope(rest, block))
                .among(BeatRate.USUAL)
                .filter(f -> f.score() > CREDIBLE);
    }
}
