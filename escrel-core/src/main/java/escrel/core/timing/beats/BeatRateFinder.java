package escrel.core.timing.beats;

import escrel.core.quantity.BeatRate;
import java.util.List;
import java.util.Optional;

/**
 * Finds the beat rate and the exact full period in an envelope. A movement is like itself after a full swing, nearly so
 * after half a swing (tock for tick, the beat error between), and unlike itself after a quarter; that tells a beat rate
 * from its half and its double.
 */
public final class BeatRateFinder {
    /** Rates up to ±900 s/d are looked for: 1.05 %, and a little room. */
    public static final double REACH = 0.0125;

    private static final double CREDIBLE = 0.10;
    private static final int COMB = 6;
    // no tooth in the longest lags, of which the fewest pairs are left
    private static final double COMB_SHARE = 5.0 / 6;
    private static final double LARGEST_BEAT_ERROR_SECONDS = 0.010;

    private final Autocorrelation likeness;

    /** Looks in the loudness of a sound of two periods at least. */
    public BeatRateFinder(Envelope envelope) {
        this.likeness = Autocorrelation.of(envelope);
    }

    /**
     * A beat rate with the full period found for it.
     *
     * @param score how clearly the sound beats at this rate: 2 at best, 0 for noise
     */
    public record Found(BeatRate beatRate, double periodSeconds, double score) {
        /** Whether the sound beats clearly enough at this rate to be believed. */
        public boolean credible() {
            return score > CREDIBLE;
        }
    }

    /** The best of the usual beat rates. */
    public Optional<Found> among(List<BeatRate> candidates) {
        return candidates.stream()
                .map(this::at)
                .max((a, b) -> Double.compare(a.score(), b.score()))
                .filter(Found::credible);
    }

    /** What the sound says of one beat rate. */
    public Found at(BeatRate beatRate) {
        double period = refine(beatRate.periodSeconds());
        double full = 0;
        double half = 0;
        double quarter = 0;
        int teeth = 0;
        for (int k = 1; k <= COMB && k * period < COMB_SHARE * likeness.longestLagSeconds(); k++) {
            teeth++;
            full += likeness.at(k * period);
            double error = Math.min(2 * LARGEST_BEAT_ERROR_SECONDS, 0.2 * period);
            half += likeness.at(likeness.peakNear((k - 0.5) * period, error));
            quarter += Math.max(
                    likeness.at(likeness.peakNear((k - 0.75) * period, 0.02 * period)),
                    likeness.at(likeness.peakNear((k - 0.25) * period, 0.02 * period)));
        }
        double score = teeth == 0 ? 0 : Math.min(full, (full + half) / 2) / teeth - Math.max(0, quarter / teeth);
        return new Found(beatRate, period, score);
    }

    /** The period nearest the nominal one at which the sound is most like itself, from ever longer lags. */
    private double refine(double nominal) {
        double period = nominal;
        double reach = REACH * nominal;
        for (int swings = 1; swings * nominal < likeness.longestLagSeconds(); swings *= 2) {
            period = likeness.peakNear(swings * period, Math.max(reach, 2 * Envelope.BLOCK_SECONDS)) / swings;
            // what is left is at most about two blocks over this many swings; the next lag is twice as long
            reach = 4 * Envelope.BLOCK_SECONDS;
        }
        return period;
    }
}
