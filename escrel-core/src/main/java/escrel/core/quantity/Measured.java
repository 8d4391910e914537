package escrel.core.quantity;

/**
 * A number with its doubt: either a value with a standard error, or a range somebody read off, of which middle and half
 * width are kept. Its unit is that of the field that holds it.
 *
 * @param value the value, or the middle of the range
 * @param doubt one standard error, or the half width of the range; 0 when only the number was read
 * @param kind which of the two it is
 */
public record Measured(double value, double doubt, Kind kind) {
    /** What the doubt stands for. */
    public enum Kind {
        /** One standard error, worked out from a sound. */
        STANDARD_ERROR,
        /** Half the width of a typed range from – to. */
        HALF_WIDTH,
        /** A single number read off; how sure it is, nobody said. */
        UNSTATED
    }

    public Measured {
        Finite.require("measured value", value);
        Finite.requireNotNegative("doubt", doubt);
    }

    /** A value with one standard error, 0 or more. */
    public static Measured withStandardError(double value, double standardError) {
        return new Measured(value, standardError, Kind.STANDARD_ERROR);
    }

    /** A range as it was read; the ends may come in either order. Between −12 and −4 gives −8, half width 4. */
    public static Measured ofRange(double oneEnd, double otherEnd) {
        return new Measured((oneEnd + otherEnd) / 2, Math.abs(otherEnd - oneEnd) / 2, Kind.HALF_WIDTH);
    }

    /** A single number without any statement of doubt. */
    public static Measured single(double value) {
        return new Measured(value, 0, Kind.UNSTATED);
    }

    /** The lower end: value less doubt. */
    public double low() {
        return value - doubt;
    }

    /** The upper end: value and doubt. */
    public double high() {
        return value + doubt;
    }

    /** Whether both ends of a range were read. */
    public boolean isRange() {
        return kind == Kind.HALF_WIDTH;
    }
}
