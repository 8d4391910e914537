package escrel.simulator.watch;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.readings.CompassTried.Follows;
import escrel.core.timing.readings.Position;
import escrel.simulator.movement.Condition;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.Swinging;

/** Watches to learn and to test with; each is a condition that somebody at the bench meets. */
public enum SimulatedWatch {
    HEALTHY("freshly serviced", new Condition(282, 28, 2, 3, -2, 50, 200, 0.6, 0.3, 0.03)),
    DRY("dry, ten years since its last service", new Condition(212, 42, 6, -14, 4, 120, 70, 1.2, 3, 0.04)),
    MAGNETISED("magnetised", new Condition(236, 30, 3, 140, 3, 60, 20, 0.9, 22, 0.03)),
    OUT_OF_BEAT("out of beat by a slipped collet", new Condition(262, 30, 2, 2, -1, 60, 150, 5.2, 0.5, 0.03)),
    HEAVY_SPOT("balance out of poise, swinging low", new Condition(196, 12, 2, 4, 0, 230, 120, 0.8, 0.5, 0.03)),
    WORN_PIVOT("worn balance pivot", new Condition(268, 72, 24, 6, -9, 80, 300, 1.0, 1.5, 0.04)),
    FAINT("fresh, but heard badly in a noisy room", new Condition(270, 28, 2, 3, -2, 50, 200, 0.6, 0.3, 0.24));

    // what a mainspring of usual length gives up over a day
    private static final double DEGREES_PER_DAY = 42;
    private static final double SECONDS_PER_DEGREE = 0.05;
    private static final double SETTLING_DEGREES = 14;

    private final String words;
    private final Condition condition;

    SimulatedWatch(String words, Condition condition) {
        this.words = words;
        this.condition = condition;
    }

    /** As it is offered. */
    public String words() {
        return words;
    }

    /**
     * How it swings in a position, some hours after it was fully wound.
     *
     * @param crownDegrees 90 for a crown at 3, 0 for a pendant at 12
     */
    public Swinging swinging(
            BeatRate beatRate, LiftAngle liftAngle, Position position, double crownDegrees, double hoursSinceWound) {
        double lost = DEGREES_PER_DAY * hoursSinceWound / 24;
        return new Swinging(
                beatRate,
                liftAngle,
                condition.rate(position, crownDegrees) + SECONDS_PER_DEGREE * lost,
                Math.max(100, condition.amplitude(position) - lost),
                condition.jewelOffset(),
                condition.wander(),
                SETTLING_DEGREES);
    }

    /** The room it is heard in. */
    public Room room() {
        return new Room(condition.noise(), 0, 0);
    }

    /** How far a simulated compass needle follows it. */
    public Follows compass() {
        return this == MAGNETISED ? Follows.STRONGLY : Follows.NOT;
    }
}
