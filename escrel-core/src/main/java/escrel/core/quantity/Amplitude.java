package escrel.core.quantity;

/**
 * How far the balance swings from rest to its turning point.
 *
 * @param degrees finite and not negative; whether it is believable is {@link #credible()}
 */
public record Amplitude(double degrees) {
    public Amplitude {
        Finite.requireNotNegative("amplitude in degrees", degrees);
    }

    /** An amplitude from degrees, 0 or more. */
    public static Amplitude ofDegrees(double degrees) {
        return new Amplitude(degrees);
    }

    /** Whether it lies between 60° and 360°, both left out; else lift angle, beat rate or sound are wrong. Source: M3. */
    public boolean credible() {
        return degrees > 60 && degrees < 360;
    }
}
