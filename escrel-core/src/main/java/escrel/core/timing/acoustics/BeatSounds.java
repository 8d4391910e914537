package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
import escrel.core.timing.acoustics.Onsets.Rise;
import escrel.core.timing.readings.Swing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Picks unlocking and drop among the rises of tick and tock. The drop is the last loud sound of a beat, unlocking the
 * first one a credible lift time before; tick and tock last equally long, which tells true sounds from echoes.
 */
final class BeatSounds {
    private static final double LOUD = 0.06;
    private static final double SAME_LENGTH_SECONDS = 0.00020;
    private static final double LOWEST_AMPLITUDE = 90;
    private static final double HIGHEST_AMPLITUDE = 350;

    private BeatSounds() {}

    /** Unlocking and drop of one half. */
    record Pair(Rise unlock, Rise drop) {
        double liftSeconds() {
            return drop.seconds() - unlock.seconds();
        }
    }

    /** Unlocking and drop of both halves. */
    record Chosen(Pair tick, Pair tock) {}

    static Optional<Chosen> choose(List<Rise> tick, List<Rise> tock, Swing swing) {
        List<Pair> ticks = pairs(tick, swing);
        List<Pair> tocks = pairs(tock, swing);
        Chosen best = null;
        double bestScore = Double.NEGATIVE_INFINITY;
        for (Pair a : ticks) {
            for (Pair b : tocks) {
                double apart = (a.liftSeconds() - b.liftSeconds()) / SAME_LENGTH_SECONDS;
                double score = worth(a, tick) + worth(b, tock) - 0.5 * Math.min(apart * apart, 40);
                if (score > bestScore) {
                    bestScore = score;
                    best = new Chosen(a, b);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<Pair> pairs(List<Rise> rises, Swing swing) {
        double shortest = swing.liftSeconds(Amplitude.ofDegrees(HIGHEST_AMPLITUDE));
        double longest = swing.liftSeconds(Amplitude.ofDegrees(LOWEST_AMPLITUDE));
        List<Pair> pairs = new ArrayList<>();
        for (Rise unlock : rises) {
            for (Rise drop : rises) {
                double lift = drop.seconds() - unlock.seconds();
                if (drop.level() >= LOUD && lift >= shortest && lift <= longest) {
                    pairs.add(new Pair(unlock, drop));
                }
            }
        }
        return pairs;
    }

    /** Sharp beginnings speak for a pair; a sharp loud sound after the drop, or any sound before unlocking, against. */
    private static double worth(Pair pair, List<Rise> all) {
        double worth = 1.5 * Math.min(pair.drop().sharpness(), 4)
                + Math.min(pair.unlock().sharpness(), 3)
                + 2 * Math.sqrt(Math.max(0, pair.drop().level()));
        for (Rise other : all) {
            if (other.seconds() > pair.drop().seconds() + 0.002 && other.level() > LOUD) {
                worth -= Math.min(other.sharpness(), 3);
            }
            double ahead = pair.unlock().seconds() - other.seconds();
            if (ahead > 0.0005 && ahead < 0.012 && other.level() > 0) {
                worth -= 0.8 * Math.min(other.sharpness(), 3);
            }
        }
        return worth;
    }
}
