package escrel.core.quantity;

/**
 * How far the beats are from even: half the difference of two successive intervals between dead-point crossings.
 *
 * @param millis 0 or more; a machine cannot tell the side
 */
public record BeatError(double millis) {
    public BeatError {
        Finite.requireNotNegative("beat error in ms", millis);
    }

    /** A beat error from milliseconds, 0 or more. */
    public static BeatError ofMillis(double millis) {
        return new BeatError(millis);
    }

    /** From two successive intervals in seconds: {@code e = |t₁ − t₂| / 2}. Source: M4. */
    public static BeatError ofIntervals(double firstSeconds, double secondSeconds) {
        return new BeatError(Math.abs(firstSeconds - secondSeconds) / 2 * 1000);
    }

    /** The beat error in seconds. */
    public double seconds() {
        return millis / 1000;
    }
}
