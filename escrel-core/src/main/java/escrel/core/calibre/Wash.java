package escrel.core.calibre;

/** How a part may be cleaned. */
public enum Wash {
    /** May go through the machine in its basket. */
    MACHINE,
    /** Short dip in solvent only, by hand. */
    DIP,
    /** Not into the machine and not into a bath: brushed, pegged or wiped. */
    BY_HAND,
    /** Case and bracelet: a water-based bath of their own, never the movement's jars. */
    WATER_BATH,
    /** Not cleaned beyond the agreed stance (dial, hands). */
    STANCE
}
