package escrel.core.calibre;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A rung of the ladder: something that comes off and goes on again, or the power-down, which has a place in the order
 * like any part.
 *
 * @param code short name used by holds, screws and steps; unique on the sheet
 * @param name what the restorer calls it
 * @param side from where it is worked on
 * @param role what it is to the ordering rules, or nothing
 * @param unit code of the part it travels with and is parted from in the hand, or nothing
 * @param liftFrom where the lifting slot is, or empty
 * @param orientation which face is up, which of two positions, or empty
 * @param washNote why it stays out of the machine, or empty
 * @param minutes usual time for taking it off, 0 when nobody knows
 * @param shape how it is drawn, or nothing
 */
public record Part(
        String code,
        String name,
        Group group,
        Side side,
        @Nullable Role role,
        @Nullable String unit,
        List<Hazard> hazards,
        String liftFrom,
        String orientation,
        Wash wash,
        String washNote,
        double minutes,
        String note,
        @Nullable Shape shape) {
    public Part {
        hazards = Copies.list(hazards);
        liftFrom = Copies.text(liftFrom);
        orientation = Copies.text(orientation);
        washNote = Copies.text(washNote);
        note = Copies.text(note);
        wash = wash == null ? Wash.MACHINE : wash;
    }

    /** A plain part without hazards, drawing or notes; for building sheets in code. */
    public static Part of(String code, String name, Group group, Side side) {
        return new Part(code, name, group, side, null, null, List.of(), "", "", Wash.MACHINE, "", 0, "", null);
    }

    /** The same part with a role. */
    public Part withRole(Role newRole) {
        return new Part(
                code,
                name,
                group,
                side,
                newRole,
                unit,
                hazards,
                liftFrom,
                orientation,
                wash,
                washNote,
                minutes,
                note,
                shape);
    }

    /** Whether it is the letting down of the power: an act with a place in the order, nothing that lies in the tray. */
    public boolean isPowerDown() {
        return role == Role.POWER_DOWN;
    }

    /** Whether the part carries this hazard. */
    public boolean has(Hazard hazard) {
        return hazards.contains(hazard);
    }
}
