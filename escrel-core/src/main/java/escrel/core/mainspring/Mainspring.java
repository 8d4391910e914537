package escrel.core.mainspring;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A mainspring. Source: M12.
 *
 * @param width height of the strip, mm
 * @param thickness mm
 * @param length mm
 * @param end how it holds on to the wall, in words; may be empty
 */
public record Mainspring(double width, double thickness, double length, String end) {
    private static final Pattern THREE_MEASURES = Pattern.compile(
            "(\\d{1,4}(?:\\.\\d{1,4})?)\\s*[×xX*]\\s*(\\d{1,4}(?:\\.\\d{1,4})?)\\s*[×xX*]\\s*(\\d{1,4}(?:\\.\\d{1,4})?)\\s*(?:mm)?");

    public Mainspring {
        requireWithin("width", width, 0.1, 10);
        requireWithin("thickness", thickness, 0.01, 1);
        requireWithin("length", length, 20, 2000);
        end = end == null ? "" : end.strip();
    }

    private static void requireWithin(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(
                    "The " + what + " of a mainspring lies between " + low + " and " + high + " mm, was " + value);
        }
    }

    /**
     * Reads a size such as "1.20 × 0.10 × 360 mm", in whatever order: the longest of the three is the length, the thinnest the
     * thickness.
     *
     * @return nothing where these are no three measures of a mainspring
     */
    public static Optional<Mainspring> ofSize(String size) {
        Matcher three = THREE_MEASURES.matcher(size.replace(',', '.').strip());
        if (!three.matches()) {
            return Optional.empty();
        }
        double[] all = IntStream.rangeClosed(1, 3)
                .mapToDouble(i -> Double.parseDouble(three.group(i)))
                .sorted()
                .toArray();
        try {
            return Optional.of(new Mainspring(all[1], all[0], all[2], ""));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Width, thickness and length as they are said: "1.5 × 0.1 × 360". */
    public String size() {
        return plain(width) + " × " + plain(thickness) + " × " + plain(length);
    }

    private static String plain(double millimetres) {
        return BigDecimal.valueOf(millimetres).stripTrailingZeros().toPlainString();
    }

    /** Area of the strip seen from above, mm². */
    private double area() {
        return length * thickness;
    }

    /** How much of the drum it fills: best near one half. Source: M12. */
    public double fill(Drum drum) {
        return area() / drum.area();
    }

    /** Whether it goes into the drum at all. */
    public boolean fits(Drum drum) {
        return fill(drum) < 1;
    }

    /** Where it begins when it is let down and lies at the wall, mm from the centre. */
    public double letDownRadius(Drum drum) {
        requireFitting(drum);
        return Math.sqrt(drum.radius() * drum.radius() - area() / Math.PI);
    }

    /** Where it ends when it is wound round the arbor, mm from the centre. */
    public double woundRadius(Drum drum) {
        requireFitting(drum);
        return Math.sqrt(drum.arborRadius() * drum.arborRadius() + area() / Math.PI);
    }

    /** Turns of the drum from wound to let down. Source: M12. */
    public double turns(Drum drum) {
        double wound = (woundRadius(drum) - drum.arborRadius()) / thickness;
        double letDown = (drum.radius() - letDownRadius(drum)) / thickness;
        return wound - letDown;
    }

    /** Its torque against another's: width · thickness³ / length. Source: M12. */
    public double torqueAgainst(Mainspring other) {
        return stiffness() / other.stiffness();
    }

    private double stiffness() {
        return width * Math.pow(thickness, 3) / length;
    }

    private void requireFitting(Drum drum) {
        if (!fits(drum)) {
            throw new IllegalArgumentException("The spring is longer than the drum can hold");
        }
    }
}
