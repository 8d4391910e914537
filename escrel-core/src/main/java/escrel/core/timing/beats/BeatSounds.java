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
    private static final double CERTAIN_THOUGH_WANDERING = 7;
    private static final double LOWEST_AMPLITUDE = 90;
    private static final double HIGHEST_AMPLITUDE = 350;

    private static final double FAR_FAINTER = 0.3;
    // impulses are louder than unlockings; what has a tenth of its level is a ripple in its dying
    private static final double A_RIPPLE = 0.1;
    // impulses reach one and a third of their drop
    private static final double FAR_LOUDER = 2;
    // of the lift: in trials impulses of ticks and tocks come within 0.03 of each other where they are rightly heard
    private static final double SAME_PLACE = 0.045;
    // four tenths louder than what comes before: of thirteen below it that nothing else spoke against five were off by
    // more than 3°, two of them by far; of 1 175 above it four (trials from 22, 23 and 24 million on)
    private static final double HARDLY_SHARP = 0.35;
    private static final double LOUD_UNLOCKING = 0.2;
    private static final double FAINT_CERTAINTY = 4;

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

        /** An unlocking nearly as loud as the drop, and an impulse far fainter: more likely an impulse, and its echo. */
        public boolean hasNoImpulse() {
            return impulse == null
                    || impulse.level() < A_RIPPLE * unlock.level()
                    || impulse.level() < FAR_FAINTER * unlock.level() && unlock.level() > LOUD_UNLOCKING * drop.level();
        }

        private boolean hasAFaintDrop() {
            return impulse != null && impulse.level() > FAR_LOUDER * drop.level();
        }

        /** Where in the lift the impulse comes, 0 to 1; outside of it where none was heard. */
        private double impulseAt() {
            return impulse == null ? -1 : (impulse.seconds() - unlock.seconds()) / liftSeconds();
        }

        /** With what was taken for the unlocking as the impulse, and the unlocking so much before it. */
        private Pair unlockingEarlier(double seconds) {
            Rise faint = new Rise(unlock.seconds() - seconds, 0, 0, FAINT_CERTAINTY);
            return new Pair(faint, unlock, drop, worth);
        }
    }

    /**
     * Unlocking and drop of both halves.
     *
     * @param rival the best that is clearly something else, nothing when there is none
     * @param lead by how much this is better than the rival
     * @param score how much speaks for it
     */
    public record Chosen(Pair tick, Pair tock, @Nullable Rival rival, double lead, double score) {
        /** Whether neither tick nor tock has an impulse between unlocking and drop. */
        public boolean hasNoImpulse() {
            return tick.hasNoImpulse() && tock.hasNoImpulse();
        }

        /**
         * Whether a drop is far fainter than the sound before it, and that does not come where it comes in the other half, as
         * impulses do: then it may be the drop itself.
         */
        public boolean hasAnOddDrop() {
            return (tick.hasAFaintDrop() || tock.hasAFaintDrop())
                    && Math.abs(tick.impulseAt() - tock.impulseAt()) > SAME_PLACE;
        }

        /** Whether an unlocking hardly rises above what comes before it: then it may begin elsewhere, or be none. */
        public boolean hasAnUnlockingThatHardlyRises() {
            return Math.min(tick.unlock.sharpness(), tock.unlock.sharpness()) < HARDLY_SHARP;
        }

        /** The rival in its place, and this for its rival; itself where there is none. */
        Chosen rivalFirst() {
            return rival == null
                    ? this
                    : new Chosen(rival.tick, rival.tock, new Rival(tick, tock, score), -lead, rival.score);
        }

        /** With the unlocking before what was taken for it; that stays a rival, and a close one, since only the mean wave tells. */
        Chosen unlockingEarlier(double seconds) {
            return new Chosen(
                    tick.unlockingEarlier(seconds),
                    tock.unlockingEarlier(seconds),
                    new Rival(tick, tock, score),
                    0,
                    score);
        }
    }

    /**
     * Rises of one half, in which unlocking is looked for, and in which the drop: where the amplitude changes they move apart,
     * so that no stack shows both sharply.
     */
    record Half(Rises unlocks, Rises drops) {
        /** Level from which on a rise may be the drop: where two drops differ, none is as loud as the stack's loudest. */
        double loud() {
            return LOUD
                    * Math.min(
                            1,
                            drops.all().stream().mapToDouble(Rise::level).max().orElse(1));
        }
    }

    /** Other sounds that might be unlocking and drop. */
    public record Rival(Pair tick, Pair tock, double score) {
        /** Their lift time. */
        public double liftSeconds() {
            return (tick.liftSeconds() + tock.liftSeconds()) / 2;
        }
    }

    private record Scored(Pair tick, Pair tock, double score) {
        boolean isElse(Scored other) {
            return Math.abs(tick.liftSeconds() - other.tick.liftSeconds()) > ELSE * tick.liftSeconds()
                    || Math.abs(tick.drop().seconds() - other.tick.drop().seconds()) > SAME_LENGTH_SECONDS
                    || Math.abs(tock.drop().seconds() - other.tock.drop().seconds()) > SAME_LENGTH_SECONDS;
        }
    }

    /** The unlocking and the drop of tick and tock; nothing when no pair of rises fits a swing. */
    static Optional<Chosen> choose(Half tick, Half tock, Swing swing) {
        return choose(tick, tock, swing, CERTAIN_TOGETHER);
    }

    /** The same among sounds that wander: what moves to and fro under them is less certain in any one place. */
    static Optional<Chosen> chooseWandering(Half tick, Half tock, Swing swing) {
        return choose(tick, tock, swing, CERTAIN_THOUGH_WANDERING);
    }

    private static Optional<Chosen> choose(Half tick, Half tock, Swing swing, double certain) {
        List<Pair> sureTicks = pairs(tick, swing);
        List<Pair> sureTocks = pairs(tock, swing);
        List<Pair> ticks = withHints(sureTicks, tick, sureTocks, swing);
        List<Pair> tocks = withHints(sureTocks, tock, sureTicks, swing);
        List<Scored> all = new ArrayList<>();
        for (Pair a : ticks) {
            for (Pair b : tocks) {
                if (a.unlock().certainty() + b.unlock().certainty() < certain) {
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
                        new Rival(second.tick(), second.tock(), second.score()),
                        best.score() - second.score(),
                        best.score()))
                .orElseGet(() -> new Chosen(best.tick(), best.tock(), null, Double.MAX_VALUE, best.score()));
    }

    /** An unlocking too faint to be certain is taken where the other half says it must be. */
    private static List<Pair> withHints(List<Pair> sure, Half half, List<Pair> others, Swing swing) {
        double longest = swing.liftSeconds(Amplitude.ofDegrees(LOWEST_AMPLITUDE));
        List<Pair> all = new ArrayList<>(sure);
        for (Rise drop : half.drops().all()) {
            for (Pair other : others) {
                if (isDrop(drop, half) && sure.stream().noneMatch(p -> p.drop() == drop && alike(p, other))) {
                    half.unlocks()
                            .near(drop.seconds() - other.liftSeconds(), SAME_LENGTH_SECONDS)
                            .filter(r -> r.certainty() > HINT)
                            .ifPresent(r -> all.add(pair(r, drop, half, longest)));
                }
            }
        }
        return all;
    }

    /** A ripple in the dying of another sound comes back as surely as a sound, but never as sharply as a drop. */
    private static boolean isDrop(Rise rise, Half half) {
        return rise.level() >= half.loud() && rise.sharpness() >= SHARP;
    }

    private static boolean alike(Pair a, Pair b) {
        return Math.abs(a.liftSeconds() - b.liftSeconds()) < 2 * SAME_LENGTH_SECONDS;
    }

    private static List<Pair> pairs(Half half, Swing swing) {
        double shortest = swing.liftSeconds(Amplitude.ofDegrees(HIGHEST_AMPLITUDE));
        double longest = swing.liftSeconds(Amplitude.ofDegrees(LOWEST_AMPLITUDE));
        List<Pair> pairs = new ArrayList<>();
        for (Rise unlock : half.unlocks().all()) {
            for (Rise drop : half.drops().all()) {
                double lift = drop.seconds() - unlock.seconds();
                if (isDrop(drop, half) && lift >= shortest && lift <= longest) {
                    pairs.add(pair(unlock, drop, half, longest));
                }
            }
        }
        return pairs;
    }

    /**
     * What speaks for a pair: sharp beginnings, a loud drop, an impulse about a third of the way. Against it: a sharp
     * loud sound after the drop, any sound before unlocking.
     */
    private static Pair pair(Rise unlock, Rise drop, Half half, double longestLift) {
        double lift = drop.seconds() - unlock.seconds();
        double worth =
                1.5 * Math.min(drop.sharpness(), 4) + unlock.strength() + 2 * Math.sqrt(Math.max(0, drop.level()));
        for (Rise other : half.drops().all()) {
            if (other.seconds() > drop.seconds() + 0.002 && other.level() > LOUD) {
                // the echo of a loud drop is no drop, and never as sharp as the drop itself
                worth -= Math.min(other.sharpness(), 3)
                        * Math.min(1, other.level() / drop.level() / AS_LOUD)
                        * Math.min(1, other.sharpness() / drop.sharpness());
            }
        }
        double best = 0;
        Rise impulse = null;
        for (Rise other : half.unlocks().all()) {
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
