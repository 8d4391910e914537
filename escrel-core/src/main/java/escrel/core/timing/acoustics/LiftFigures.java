package escrel.core.timing.acoustics;

import escrel.core.statistics.Robust;
import escrel.core.statistics.RobustLine;
import escrel.core.timing.beats.BeatSounds;
import escrel.core.timing.beats.BeatTimes;
import escrel.core.timing.beats.Rise;

/**
 * Lift time and beat error as heard, from the beginnings found in tick and tock. The lift takes equally long both ways
 * even out of beat, so the mean of both is taken, each weighed by how surely it was found. The beat error is heard equally
 * between unlockings and between drops, so both are weighed: a faint unlocking says little beside a sharp drop.
 *
 * @param liftSeconds mean over tick and tock
 * @param liftError standard error: scatter over the beats, and what picking the beginnings adds
 * @param heardSeconds beat error as heard, 0 or more
 * @param heardError standard error of it
 * @param unequal by how many standard errors tick and tock differ in length, which they should not
 */
record LiftFigures(double liftSeconds, double liftError, double heardSeconds, double heardError, double unequal) {
    // measured against trials with known truth: what picking the beginning of a sharp sound adds, and of a faint one
    private static final double SHARP_SECONDS = 18e-6;
    private static final double FAINT_SECONDS = 700e-6;
    // that tick and tock take equally long settles the beginnings of both: what is left of picking in the length, and
    // in
    // the beat error as heard, so that 95 to 96 of 100 trials lie within two standard errors; chosen on the trials from
    // 12, 16, 17, 19 and 21 million on
    private static final double SETTLED = 0.50;
    private static final double SETTLED_HEARD = 0.88;

    static LiftFigures of(BeatTimes times, BeatSounds.Chosen chosen, RobustLine line, int detected) {
        double first = Robust.mean(times.lifts(0));
        double second = Robust.mean(times.lifts(1));
        double unlock = Math.hypot(
                unlockError(chosen.tick().unlock()), unlockError(chosen.tock().unlock()));
        double drop = Math.hypot(SHARP_SECONDS, SHARP_SECONDS);
        double firstError = Math.hypot(unlockError(chosen.tick().unlock()), SHARP_SECONDS);
        double secondError = Math.hypot(unlockError(chosen.tock().unlock()), SHARP_SECONDS);
        double weight = secondError * secondError / (firstError * firstError + secondError * secondError);
        double picking = SETTLED * firstError * secondError / Math.hypot(firstError, secondError);
        double apart = Math.abs(first - second);
        // tick and tock disagree by more than picking explains: then the disagreement is the better measure of doubt
        double liftError = Math.hypot(Math.max(picking, apart / 2), Robust.standardErrorOfMean(times.lifts()));
        double byDrop = unlock * unlock / (unlock * unlock + drop * drop);
        double middle = line.intercept(1) - line.intercept(0);
        double heard = Math.abs(middle + (2 * byDrop - 1) * (second - first) / 2);
        double pickingHeard = SETTLED_HEARD * unlock * drop / Math.hypot(unlock, drop);
        double scatter = 2 * line.sigma() / Math.sqrt(Math.max(1, detected));
        return new LiftFigures(
                weight * first + (1 - weight) * second,
                liftError,
                heard,
                // where the lengths disagree, one beginning is wrong, and with it perhaps half the difference
                Math.hypot(Math.max(pickingHeard, apart > 3 * Math.hypot(unlock, drop) ? apart / 2 : 0), scatter),
                apart / Math.hypot(unlock, drop));
    }

    private static double unlockError(Rise unlock) {
        return Math.hypot(SHARP_SECONDS, FAINT_SECONDS / Math.max(1, unlock.certainty()));
    }
}
