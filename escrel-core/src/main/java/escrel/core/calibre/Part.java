package escrel.core.calibre;

import java.util.ArrayList;
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
 * @param aliases names it had before somebody knew better
 * @param stateBefore state everything must be in before it is freed ("hammer in reset"), or empty
 * @param staysWith code of the part it is pressed to and not to be separated from, or nothing
 * @param clip how its clip lies: which face, where the gap; or empty
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
        @Nullable Shape shape,
        List<String> aliases,
        String stateBefore,
        @Nullable String staysWith,
        String clip) {
    public Part {
        aliases = Copies.list(aliases);
        stateBefore = Copies.text(stateBefore);
        clip = Copies.text(clip);
        hazards = Copies.list(hazards);
        liftFrom = Copies.text(liftFrom);
        orientation = Copies.text(orientation);
        washNote = Copies.text(washNote);
        note = Copies.text(note);
        wash = wash == null ? Wash.MACHINE : wash;
    }

    /** A part without aliases, state, mate or clip. */
    public Part(
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
        this(
                code,
                name,
                group,
                side,
                role,
                unit,
                hazards,
                liftFrom,
                orientation,
                wash,
                washNote,
                minutes,
                note,
                shape,
                List.of(),
                "",
                null,
                "");
    }

    /** A plain part without hazards, drawing or notes; for building sheets in code. */
    public static Part of(String code, String name, Group group, Side side) {
        return new Part(code, name, group, side, null, null, List.of(), "", "", Wash.MACHINE, "", 0, "", null);
    }

    /** The same part with a role. */
    public Part withRole(Role newRole) {
        return copy(name, side, newRole, unit, wash, washNote, shape, aliases);
    }

    /** The same part by another name; the old one stays as an alias. */
    public Part withName(String newName) {
        return copy(newName, side, role, unit, wash, washNote, shape, aliasesWith(newName));
    }

    /** The same part, never called otherwise. */
    public Part withoutAliases() {
        return copy(name, side, role, unit, wash, washNote, shape, List.of());
    }

    /** The same part drawn otherwise. */
    public Part withShape(@Nullable Shape newShape) {
        return copy(name, side, role, unit, wash, washNote, newShape, aliases);
    }

    /** The same part as one of a unit, parted from it in the hand; nothing takes it out of its unit. */
    public Part withUnit(@Nullable String newUnit) {
        return copy(name, newUnit == null ? side : Side.IN_HAND, role, newUnit, wash, washNote, shape, aliases);
    }

    /** The same part worked on from another side. */
    public Part withSide(Side newSide) {
        return copy(name, newSide, role, unit, wash, washNote, shape, aliases);
    }

    /** The same part cleaned in another way. */
    public Part withWash(Wash newWash, String why) {
        return copy(name, side, role, unit, newWash, why, shape, aliases);
    }

    /**
     * The same part with this known of it.
     *
     * @param words what is so; {@link Trait#YES} for a hazard that is there, empty for what is not so
     */
    public Part with(Trait trait, String words) {
        return new Part(
                code,
                name,
                group,
                side,
                role,
                unit,
                trait.hazards(this, !words.isEmpty()),
                trait == Trait.LIFTS_FROM ? words : liftFrom,
                trait == Trait.LIES ? words : orientation,
                wash,
                washNote,
                minutes,
                trait == Trait.NOTE ? words : note,
                shape,
                aliases,
                trait == Trait.STATE_BEFORE ? words : stateBefore,
                trait != Trait.STAYS_WITH ? staysWith : words.isEmpty() ? null : words,
                trait == Trait.CLIP ? words : clip);
    }

    private Part copy(
            String otherName,
            Side otherSide,
            @Nullable Role otherRole,
            @Nullable String otherUnit,
            Wash otherWash,
            String otherWashNote,
            @Nullable Shape otherShape,
            List<String> otherAliases) {
        return new Part(
                code,
                otherName,
                group,
                otherSide,
                otherRole,
                otherUnit,
                hazards,
                liftFrom,
                orientation,
                otherWash,
                otherWashNote,
                minutes,
                note,
                otherShape,
                otherAliases,
                stateBefore,
                staysWith,
                clip);
    }

    private List<String> aliasesWith(String newName) {
        if (newName.equals(name) || aliases.contains(name)) {
            return aliases;
        }
        List<String> more = new ArrayList<>(aliases);
        more.add(name);
        return more;
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
