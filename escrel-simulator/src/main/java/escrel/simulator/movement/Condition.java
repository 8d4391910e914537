package escrel.simulator.movement;

import escrel.core.timing.readings.Position;
import org.hipparchus.special.BesselJ;

/**
 * The state of a simulated movement, from which its swing follows.
 *
 * @param lyingAmplitude amplitude in degrees at full wind, dial up
 * @param verticalDrop how much lower it swings on edge, degrees
 * @param dialDownDrop how much lower dial down than dial up, degrees
 * @param baseRate rate in s/d at rest of all other influences, lying
 * @param verticalShift what hanging adds to the rate, s/d
 * @param poiseSize size q of a heavy spot on the balance, s/d as in M7
 * @param poiseDegrees where the heavy spot lies, degrees clockwise from 12 seen from the dial
 * @param jewelOffset how far the impulse jewel rests off the line of centres, degrees
 * @param wander slow wander of the rate from beat to beat, s/d (dirt, magnetism)
 * @param noise loudness of the room against the drop, 0 to 1
 */
public record Condition(
        double lyingAmplitude,
        double verticalDrop,
        double dialDownDrop,
        double baseRate,
        double verticalShift,
        double poiseSize,
        double poiseDegrees,
        double jewelOffset,
        double wander,
        double noise) {
    /** The amplitude in a position, degrees. */
    public double amplitude(Position position) {
        if (position.isHorizontal()) {
            return lyingAmplitude - (position == Position.DIAL_DOWN ? dialDownDrop : 0);
        }
        // gravity does not pull equally on a worn pivot all round: a few degrees between the edges
        double uneven = switch (position) {
            case CROWN_UP -> 1;
            case CROWN_DOWN -> -3;
            case CROWN_LEFT -> 2;
            default -> -1;
        };
        return lyingAmplitude - verticalDrop + uneven;
    }

    /**
     * The rate in a position, s/d: the base, and on edge the heavy spot's pull
     * {@code q · J₁(A)/A · cos(φ₀ − g)} (M7).
     *
     * @param crownDegrees direction of the crown, 90 for a crown at 3, 0 for a pendant at 12
     */
    public double rate(Position position, double crownDegrees) {
        if (position.isHorizontal()) {
            return baseRate + (position == Position.DIAL_DOWN ? -1.2 : 0);
        }
        double gravity = crownDegrees
                + switch (position) {
                    case CROWN_UP -> 180;
                    case CROWN_DOWN -> 0;
                    case CROWN_LEFT -> -90;
                    default -> 90;
                };
        double radians = Math.toRadians(amplitude(position));
        double pull = BesselJ.value(1, radians) / radians;
        return baseRate + verticalShift + poiseSize * pull * Math.cos(Math.toRadians(poiseDegrees - gravity));
    }
}
