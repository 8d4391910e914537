package escrel.core.quantity;

/**
 * A number with its doubt: a value with a standard error, a range somebody read off (middle and half width), a single
 * number, or a bound. Its unit is that of the field that holds it.
 *
 * @param value the value, or the middle of the range
 * @param doubt one standard error, or the half width of the range; 0 when only the number was read
 * @param kind which of these it is
 */
public record Measured(double value, double doubt, Kind kind) {
    /** What the doubt stands for. */
    public enum Kind {
        /** One standard error, worked out from a sound. */
        STANDARD_ERROR,
        /** Half the width of a typed range from – to. */
        HALF_WIDTH,
        /** A single number read off; how sure it is, nobody said. */
        UNSTATED,
        /** A lower bound: "above 300". */
        ABOVE,
        /** An upper bound: "below 1.0". */
        BELOW
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

    /** A lower bound: all that is known is that it lies above. */
    public static Measured above(double bound) {
        return new Measured(bound, 0, Kind.ABOVE);
    }

    /** An upper bound: all that is known is that it lies below. */
    public static Measured below(double bound) {
        return new Measured(bound, 0, Kind.BELOW);
    }

    /** Whether only a bound is known. */
    public boolean isBound() {
        return kind == Kind.ABOVE || kind == Kind.BELOW;
    }

    /**
     * One standard error of the value: of a range its half width over √3, since it holds the extremes seen; 0 where
     * nobody said. Source: M10.
     */
    public double standardError() {
        return kind == Kind.HALF_WIDTH ? doubt / Math.sqrt(3) : doubt;
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
