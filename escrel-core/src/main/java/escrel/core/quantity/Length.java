package escrel.core.quantity;

/**
 * A length on the bench.
 *
 * @param millimetres 0 or more
 */
public record Length(double millimetres) {
    public Length {
        Finite.requireNotNegative("length in mm", millimetres);
    }

    /** A length from millimetres, 0 or more. */
    public static Length ofMillimetres(double millimetres) {
        return new Length(millimetres);
    }
}
