package escrel.core.timing.beats;

import escrel.core.statistics.Robust;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.readings.Swing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Listens to the beats of a recording: which of their sounds are unlocking and drop, and when each of them begins in every beat.
 * The drop, the loudest, is followed first. Where it wanders more than jitter explains, the beats are laid over each other anew,
 * as they lie when the watch itself is early, when it is still, and when its amplitude changes: then unlocking goes the other
 * way than the drop. Unlocking is looked for in the one in which it stands out most.
 */
public final class Hearing {
    // more than jitter and run-out move a drop
    private static final double STEADY_SECONDS = 60e-6;
    private static final double CERTAINTY_WORTH = 0.2;
    private static final double OTHER_DROP_SECONDS = 0.001;
    private static final double SAME_LIFT = 0.1;
    private static final double CLOSE_RIVAL = 4;
    private static final double WELL_AGREED = 0.1;
    private static final int FEWEST_BEATS = 12;

    private final Energies sound;
    private final double windowSeconds;
    private final int[] numbers;
    private final double[] predicted;
    private final HalfBeat[] halves;
    private final BeatSounds.Chosen chosen;
    private final BeatTimes times;

    private Hearing(float[] samples, double sampleRate, BeatTracker tracker, Swing swing) {
        this.sound = new Energies(samples, sampleRate);
        this.windowSeconds = Math.min(tracker.halfWindowSeconds() * 1.3, 0.42 * tracker.periodSeconds() / 2);
        this.numbers =
                Arrays.stream(tracker.heard()).map(i -> tracker.numbers()[i]).toArray();
        this.predicted = Arrays.stream(tracker.heard())
                .mapToDouble(i -> tracker.predicted()[i])
                .toArray();
        this.halves = halves(predicted);
        Optional<BeatSounds.Chosen> first = BeatSounds.choose(half(halves, halves, 0), half(halves, halves, 1), swing);
        double[] drop =
                first.map(Hearing::drops).orElseGet(() -> new double[] {loudest(halves[0]), loudest(halves[1])});
        BeatTimes.Sound dropping = follow(plus(predicted, drop, 1), true);
        Taken taken = agreed(unlocking(first, dropping, swing), dropping, drop);
        this.chosen = taken.unlocking.chosen;
        this.times = taken.times;
    }

    /** Where the watch itself would have every drop if its beats were steady: the drop as it wanders, less where it begins. */
    private double[] still(BeatTimes.Sound dropping) {
        return plus(dropping.begun(dropping.alone()), dropping.alone(), -1);
    }

    /** The unlocking that goes with a drop: as it was chosen at first where the drop is steady, else looked for. */
    private Unlocking unlocking(Optional<BeatSounds.Chosen> first, BeatTimes.Sound dropping, Swing swing) {
        double[] wander =
                RobustLine.fit(numbers, dropping.begun(dropping.alone())).residuals();
        Unlocking clearest = first.isPresent() && Robust.deviation(wander) < STEADY_SECONDS
                ? new Unlocking(first.get(), still(dropping))
                : unlocking(first, still(dropping), wander, swing);
        return clearest.chosen.hasNoImpulse() ? fainter(clearest) : clearest;
    }

    private record Taken(Unlocking unlocking, BeatTimes times) {}

    /** Ticks and tocks of the sounds taken have to go together; where they do not, those of the rival pair perhaps do. */
    private Taken agreed(Unlocking taken, BeatTimes.Sound dropping, double[] followed) {
        BeatTimes own = times(taken, dropping, followed);
        if (own.agreement() < BeatTimes.AGREED && taken.chosen.lead() < CLOSE_RIVAL) {
            Unlocking rival = new Unlocking(taken.chosen.rivalFirst(), taken.beats);
            BeatTimes others = times(rival, dropping, followed);
            if (others.agreement() > WELL_AGREED) {
                return new Taken(rival, others);
            }
        }
        return new Taken(taken, own);
    }

    private BeatTimes times(Unlocking unlocking, BeatTimes.Sound dropping, double[] followed) {
        double[] drop = drops(unlocking.chosen);
        boolean another = Math.abs(drop[0] - followed[0]) + Math.abs(drop[1] - followed[1]) > OTHER_DROP_SECONDS;
        return new BeatTimes(
                numbers, unlocking.sound(this), another ? follow(plus(still(dropping), drop, 1), true) : dropping);
    }

    /** The sounds chosen, and where every beat lies by its unlocking. */
    private record Unlocking(BeatSounds.Chosen chosen, double[] beats) {
        BeatTimes.Sound sound(Hearing hearing) {
            double[] unlock = {
                chosen.tick().unlock().seconds(), chosen.tock().unlock().seconds()
            };
            return hearing.follow(hearing.plus(beats, unlock, 1), false);
        }

        double liftSeconds() {
            return (chosen.tick().liftSeconds() + chosen.tock().liftSeconds()) / 2;
        }
    }

    /** Unlocking looked for as it lies when the watch is early, when it is still, and when its amplitude changes. */
    private Unlocking unlocking(Optional<BeatSounds.Chosen> first, double[] still, double[] wander, Swing swing) {
        List<Unlocking> all = new ArrayList<>();
        first.ifPresent(c -> all.add(new Unlocking(c, predicted)));
        HalfBeat[] dropping = halves(still);
        for (int turned = 0; turned <= 2; turned++) {
            double[] turn = moved(still, wander, -turned);
            HalfBeat[] unlocks = turned == 0 ? dropping : halves(turn);
            BeatSounds.chooseWandering(half(unlocks, dropping, 0), half(unlocks, dropping, 1), swing)
                    .ifPresent(c -> all.add(new Unlocking(c, turn)));
        }
        Unlocking clearest = all.stream()
                .max(Comparator.comparingDouble(u -> standsOut(u.chosen)))
                .orElseThrow(() -> new NoCredibleBeatException(
                        "The sound beats, but unlocking and drop cannot be told apart",
                        "Press the pick-up to the crown, keep the room quiet and record again."));
        // the same sound may stand out alike in several; it comes back as the same wave in the right one alone
        return all.stream()
                .filter(u -> Math.abs(u.liftSeconds() / clearest.liftSeconds() - 1) < SAME_LIFT)
                .max(Comparator.comparingDouble(u -> u.sound(this).alike()))
                .orElse(clearest);
    }

    /** With the unlocking before what was taken for it, where one is heard. */
    private Unlocking fainter(Unlocking taken) {
        BeatSounds.Chosen chosen = taken.chosen;
        double[] unlock = {
            chosen.tick().unlock().seconds(), chosen.tock().unlock().seconds()
        };
        double[] at = plus(taken.beats, unlock, 1);
        OptionalDouble ahead = FaintUnlocking.ahead(
                sound.samples(), sound.sampleRate(), ofHalf(at, 0), ofHalf(at, 1), taken.liftSeconds());
        return ahead.isEmpty() ? taken : new Unlocking(chosen.unlockingEarlier(ahead.getAsDouble()), taken.beats);
    }

    private double[] ofHalf(double[] at, int half) {
        return IntStream.range(0, at.length)
                .filter(k -> (numbers[k] & 1) == half)
                .mapToDouble(k -> at[k])
                .toArray();
    }

    private BeatTimes.Sound follow(double[] about, boolean chained) {
        return BeatTimes.Sound.follow(sound.samples(), sound.sampleRate(), numbers, predicted, about, chained);
    }

    private static double[] drops(BeatSounds.Chosen chosen) {
        return new double[] {
            chosen.tick().drop().seconds(), chosen.tock().drop().seconds()
        };
    }

    /**
     * Listens to the beats that were heard.
     *
     * @param samples filtered
     * @throws NoCredibleBeatException when unlocking and drop cannot be told apart
     */
    public static Hearing of(float[] samples, double sampleRate, BeatTracker tracker, Swing swing) {
        if (tracker.heard().length < FEWEST_BEATS) {
            throw new NoCredibleBeatException(
                    "Of %d beats expected only %d lie where they should"
                            .formatted(tracker.numbers().length, tracker.heard().length),
                    "Keep the room quiet, press the pick-up to the crown and record again.");
        }
        return new Hearing(samples, sampleRate, tracker, swing);
    }

    private HalfBeat[] halves(double[] at) {
        HalfBeat[] halves = new HalfBeat[2];
        for (int half = 0; half < 2; half++) {
            halves[half] = HalfBeat.at(sound, ofHalf(at, half), windowSeconds);
        }
        return halves;
    }

    private static BeatSounds.Half half(HalfBeat[] unlocks, HalfBeat[] drops, int half) {
        return new BeatSounds.Half(unlocks[half].rises(), drops[half].rises());
    }

    private static double standsOut(BeatSounds.Chosen chosen) {
        return chosen.score()
                + CERTAINTY_WORTH
                        * (chosen.tick().unlock().certainty()
                                + chosen.tock().unlock().certainty());
    }

    private static double loudest(HalfBeat half) {
        return half.rises().all().stream()
                .max(Comparator.comparingDouble(Rise::level))
                .map(Rise::seconds)
                .orElse(0.0);
    }

    private double[] plus(double[] at, double[] byHalf, double factor) {
        double[] out = at.clone();
        for (int k = 0; k < out.length; k++) {
            out[k] += factor * byHalf[numbers[k] & 1];
        }
        return out;
    }

    private static double[] moved(double[] at, double[] by, double factor) {
        double[] out = at.clone();
        for (int k = 0; k < out.length; k++) {
            out[k] += factor * by[k];
        }
        return out;
    }

    /** Unlocking and drop, as they were chosen among the rises. */
    public BeatSounds.Chosen chosen() {
        return chosen;
    }

    /** When they begin in every beat. */
    public BeatTimes times() {
        return times;
    }

    /** Ticks (0) or tocks (1) laid over each other. */
    public Stack stack(int half) {
        return halves[half].stack();
    }
}
