package escrel.core.calibre;

/**
 * A part that has to be in before another goes on, although nothing holds it there on the way down (a shouldered screw,
 * a cap that is oiled on the bare plate).
 *
 * @param part code of the part that goes in early
 * @param before code of the part that must wait for it
 * @param why in words
 */
public record EarlyIn(String part, String before, String why) {
    public EarlyIn {
        why = Copies.text(why);
    }
}
