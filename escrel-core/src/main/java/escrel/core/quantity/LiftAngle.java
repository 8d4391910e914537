package escrel.core.quantity;

/**
 * The arc through which the balance is in touch with the fork: from unlocking to drop, in degrees.
 *
 * @param degrees above 0 and below 120; 38 to 60 in practice
 * @param basis whether somebody knows it or it was taken for granted; carried to every figure and report
 */
public record LiftAngle(double degrees, Basis basis) {
    /** Where a lift angle comes from. */
    public enum Basis {
        /** From the calibre's sheet or a measurement. */
        KNOWN,
        /** Nobody knows it; the default stands in. */
        ASSUMED
    }

    /** The default where no sheet gives one: 52°, assumed. Source: M3. */
    public static final LiftAngle ASSUMED_52 = new LiftAngle(52, Basis.ASSUMED);

    public LiftAngle {
        Finite.requirePositive("lift angle in degrees", degrees);
        if (degrees >= 120) {
            throw new IllegalArgumentException("lift angle must be below 120 degrees, was " + degrees);
        }
    }

    /** A lift angle that is known, in degrees. */
    public static LiftAngle known(double degrees) {
        return new LiftAngle(degrees, Basis.KNOWN);
    }

    /** Whether the default stands in for an unknown lift angle. */
    public boolean assumed() {
        return basis == Basis.ASSUMED;
    }
}
