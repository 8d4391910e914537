package escrel.core.calibre;

/**
 * How the stem is released: the commonest first damage.
 *
 * @param kind what to press or loosen
 * @param crownPosition where the crown must stand
 * @param tool tool and blade
 * @param turns how far, in words; empty when nothing is turned
 * @param warning what happens when it is overdone
 */
public record StemRelease(String kind, String crownPosition, String tool, String turns, String warning) {
    public StemRelease {
        turns = Copies.text(turns);
        warning = Copies.text(warning);
    }
}
