package escrel.core.timing.acoustics;

import escrel.core.quantity.Amplitude;
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
    // the impulse comes roughly a third of the way from unlocking to drop
    private static final double IMPULSE_AT = 0.33;
    private static final double IMPULSE_SPREAD = 0.07;
    private static final double IMPULSE_WORTH = 1.5;
    private static final double LOWEST_AMPLITUDE = 90;
    private static final double HIGHEST_AMPLITUDE = 350;

    private BeatSounds() {}

    /** Unlocking and drop of one half. */
    record Pair(Rise unlock, Rise drop, double worth) {
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
                double score = a.worth() + b.worth() - 0.5 * Math.min(apart * apart, 40);
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
                    pairs.add(new Pair(unlock, drop, worth(unlock, drop, rises, longest)));
                }
            }
        }
        return pairs;
    }

    /**
     * What speaks for a pair: sharp beginnings, a loud drop, an impulse about a third of the way. Against it: a sharp
     * loud sound after the drop, any sound before unlocking.
     */
    private static double worth(Rise unlock, Rise drop, List<Rise> all, double longestLift) {
        double lift = drop.seconds() - unlock.seconds();
        double worth = 1.5 * Math.min(drop.sharpness(), 4) + unlock.strength() + 2 * Math.sqrt(Math.max(0, drop.level()));
        double impulse = 0;
        for (Rise other : all) {
            if (other.seconds() > drop.seconds() + 0.002 && other.level() > LOUD) {
                worth -= Math.min(other.sharpness(), 3);
            }
            double ahead = unlock.seconds() - other.seconds();
            if (ahead > 0.0005 && ahead < longestLift) {
                worth -= 0.8 * other.strength();
            }
            double off = (-ahead / lift - IMPULSE_AT) / IMPULSE_SPREAD;
            impulse = Math.max(impulse, other.strength() / 3 * Math.exp(-off * off / 2));
        }
        return worth + IMPULSE_WORTH * impulse;
    }
}
