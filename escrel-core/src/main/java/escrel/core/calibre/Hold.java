package escrel.core.calibre;

/**
 * A part that cannot come off while another is still on: {@code by} comes off before {@code part}.
 *
 * @param part code of the part that is held
 * @param by code of the part that holds or covers it
 * @param why in words, as it is said to the restorer: "under the train bridge"
 * @param basis whether somebody stated it or it was only ever seen so
 */
public record Hold(String part, String by, String why, Basis basis) {
    /** How a hold is known. Source: M16. */
    public enum Basis {
        STATED,
        SEEN
    }

    public Hold {
        why = Copies.text(why);
        basis = basis == null ? Basis.STATED : basis;
    }
}
