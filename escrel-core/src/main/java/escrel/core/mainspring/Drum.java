package escrel.core.mainspring;

/**
 * The inside of a barrel. Source: M12.
 *
 * @param radius inner, mm, above the arbor's, at most {@value #LARGEST}
 * @param arborRadius mm, above 0
 */
public record Drum(double radius, double arborRadius) {
    /** No watch has a larger one, mm. */
    public static final double LARGEST = 30;

    public Drum {
        if (!(arborRadius > 0 && radius > arborRadius && radius <= LARGEST)) {
            throw new IllegalArgumentException("A drum is larger than its arbor and at most " + LARGEST
                    + " mm in radius: was " + radius + " around " + arborRadius);
        }
    }

    /** From diameters, as they are measured. */
    public static Drum ofDiameters(double inside, double arbor) {
        return new Drum(inside / 2, arbor / 2);
    }

    /** Area between arbor and wall, mm². */
    public double area() {
        return Math.PI * (radius * radius - arborRadius * arborRadius);
    }

    /** Length of a spring of this thickness that fills one half, mm: with that the drum turns most. Source: M12. */
    public double bestLength(double thickness) {
        return area() / 2 / thickness;
    }
}
