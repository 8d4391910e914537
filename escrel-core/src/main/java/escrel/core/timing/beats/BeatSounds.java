package escrel.core.timing.beats;

import escrel.core.quantity.Amplitude;
import escrel.core.timing.readings.Swing;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Picks unlocking and drop among the rises of tick and tock. The drop is the last loud sound of a beat, unlocking the
 * first one a credible lift time before; tick and tock last equally long, which tells true sounds from echoes.
 */
public final class BeatSounds {
    private static final double LOUD = 0.06;
    private static final double SAME_LENGTH_SECONDS = 0.00020;
    // the impulse comes roughly a third of the way from unlocking to drop
    private static final double IMPULSE_AT = 0.33;
    private static final double IMPULSE_SPREAD = 0.07;
    private static final double IMPULSE_WORTH = 1.5;
    // lifts further apart than this are another reading, not the same picked otherwise
    private static final double ELSE = 0.05;
    private static final double AS_LOUD = 0.4;
    private static final double HINT = 1.5;
    private static final double SHARP = 0.5;
    // in silence two rises of 4 standard errors at the same place are chance
    private static final double CERTAIN_TOGETHER = 9;
    private static final double LOWEST_AMPLITUDE = 90;
    private static final double HIGHEST_AMPLITUDE = 350;

    private BeatSounds() {}

    /**
     * Unlocking and drop of one half.
     *
     * @param impulse the sound of the impulse between them, nothing when none was heard
     * @param worth how much speaks for this pair
     */
    public record Pair(Rise unlock, @Nullable Rise impulse, Rise drop, double worth) {
        double liftSeconds() {
            return drop.seconds() - unlock.seconds();
        }
    }

    /**
     * Unlocking and drop of both halves.
     *
     * @param rival the best that is clearly something else, nothing when there is none
     * @param lead by how much this is better than the rival
     */
    public record Chosen(Pair tick, Pair tock, @Nullable Rival rival, double lead) {}

    /**
     * Another pair of sounds that might be unlocking and drop.
     *
     * @param liftSeconds its lift time
     */
    public record Rival(double liftSeconds) {}

    private record Scored(Pair tick, Pair tock, double score) {
        boolean isElse(Scored other) {
            return Math.abs(tick.liftSeconds() - other.tick.liftSeconds()) > ELSE * tick.liftSeconds()
                    || Math.abs(tick.drop().seconds() - other.tick.drop().seconds()) > SAME_LENGTH_SECONDS
                    || Math.abs(tock.drop().seconds() - other.tock.drop().seconds()) > SAME_LENGTH_SECONDS;
        }
    }

    /** The unlocking and the drop of tick and tock; nothing when no pair of rises fits a swing. */
    public static Optional<Chosen> choose(Rises tick, Rises tock, Swing swing) {
        List<Pair> sureTicks = pairs(tick.all(), swing);
        List<Pair> sureTocks = pairs(tock.all(), swing);
        List<Pair> ticks = withHints(sureTicks, tick, sureTocks, swing);
        List<Pair> tocks = withHints(sureTocks, tock, sureTicks, swing);
        List<Scored> all = new ArrayList<>();
        for (Pair a : ticks) {
            for (Pair b : tocks) {
                if (a.unlock().certainty() + b.unlock().certainty() < CERTAIN_TOGETHER) {
                    continue;
                }
                double apart = (a.liftSeconds() - b.liftSeconds()) / SAME_LENGTH_SECONDS;
                all.add(new Scored(a, b, a.worth() + b.worth() - 0.5 * Math.min(apart * apart, 40)));
            }
        }
        return all.stream().max(Comparator.comparingDouble(Scored::score)).map(best -> chosen(best, all));
    }

    private static Chosen chosen(Scored best, List<Scored> all) {
        return all.stream()
                .filter(best::isElse)
                .max(Comparator.comparingDouble(Scored::score))
                .map(second -> new Chosen(
                        best.tick(),
                        best.tock(),
                        new Rival((second.tick().liftSeconds() + second.tock().liftSeconds()) / 2),
                        best.score() - second.score()))
                .orElseGet(() -> new Chosen(best.tick(), best.tock(), null, Double.MAX_VALUE));
    }

    /** An unlocking too faint to be certain is taken where the other half says it must be. */
    private static List<Pair> withHints(List<Pair> sure, Rises rises, List<Pair> others, Swing swing) {
        double longest = swing.liftSeconds(Amplitude.ofDegrees(LOWEST_AMPLITUDE));
        List<Pair> all = new ArrayList<>(sure);
        for (Rise drop : rises.all()) {
            for (Pair other : others) {
                if (isDrop(drop) && sure.stream().noneMatch(p -> p.drop() == drop && alike(p, other))) {
                    rises.near(drop.seconds() - other.liftSeconds(), SAME_LENGTH_SECONDS)
                            .filter(r -> r.certainty() > HINT)
                            .ifPresent(r -> all.add(pair(r, drop, rises.all(), longest)));
                }
            }
        }
        return all;
    }

    /** A ripple in the dying of another sound comes back as surely as a sound, but never as sharply as a drop. */
    private static boolean isDrop(Rise rise) {
        return rise.level() >= LOUD && rise.sharpness() >= SHARP;
    }

    private static boolean alike(Pair a, Pair b) {
        return Math.abs(a.liftSeconds() - b.liftSeconds()) < 2 * SAME_LENGTH_SECONDS;
    }

    private static List<Pair> pairs(List<Rise> rises, Swing swing) {
        double shortest = swing.liftSeconds(Amplitude.ofDegrees(HIGHEST_AMPLITUDE));
        double longest = swing.liftSeconds(Amplitude.ofDegrees(LOWEST_AMPLITUDE));
        List<Pair> pairs = new ArrayList<>();
        for (Rise unlock : rises) {
            for (Rise drop : rises) {
                double lift = drop.seconds() - unlock.seconds();
                if (isDrop(drop) && lift >= shortest && lift <= longest) {
                    pairs.add(pair(unlock, drop, rises, longest));
                }
            }
        }
        return pairs;
    }

    /**
     * What speaks for a pair: sharp beginnings, a loud drop, an impulse about a third of the way. Against it: a sharp
     * loud sound after the drop, any sound before unlocking.
     */
    private static Pair pair(Rise unlock, Rise drop, List<Rise> all, double longestLift) {
        double lift = drop.seconds() - unlock.seconds();
        double worth =
                1.5 * Math.min(drop.sharpness(), 4) + unlock.strength() + 2 * Math.sqrt(Math.max(0, drop.level()));
        double best = 0;
        Rise impulse = null;
        for (Rise other : all) {
            if (other.seconds() > drop.seconds() + 0.002 && other.level() > LOUD) {
                // the echo of a loud drop is no drop
                worth -= Math.min(other.sharpness(), 3) * Math.min(1, other.level() / drop.level() / AS_LOUD);
            }
            double ahead = unlock.seconds() - other.seconds();
            if (ahead > 0.0005 && ahead < longestLift) {
                worth -= 0.8 * other.strength();
            }
            double off = (-ahead / lift - IMPULSE_AT) / IMPULSE_SPREAD;
            double impulsive = other.strength() / 3 * Math.exp(-off * off / 2);
            if (impulsive > best) {
                best = impulsive;
                impulse = other;
            }
        }
        return new Pair(unlock, best > 0.1 ? impulse : null, drop, worth + IMPULSE_WORTH * best);
    }
}
