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
    STANCE,
    /** Rinsed in petroleum solvent and dried in the air: what is coated. */
    SOLVENT,
    /** Jewel holes pegged and brushed in solvent; it prepares for another way. */
    PEGGED,
    /** Pressed into cleaning putty; it prepares for another way. */
    PUTTY,
    /** A pre-clean in ultrasound, so that the machine's baths last; it prepares for another way. */
    ULTRASONIC;

    /** Whether it only prepares: after it the part still owes its rinse. Source: craft 2.11. */
    public boolean isPreparation() {
        return this == PEGGED || this == PUTTY || this == ULTRASONIC;
    }

    /**
     * Whether a sheet may say it of a part. That what is coated is rinsed in petroleum solvent follows from its being coated, and
     * preparations are proposed where they are due.
     */
    public boolean isOfASheet() {
        return this != SOLVENT && !isPreparation();
    }
}
