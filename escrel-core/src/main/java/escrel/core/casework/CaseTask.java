package escrel.core.casework;

import escrel.core.service.Stance;

/** What can be done to case, crystal, dial and hands, each with its caution. Sources: craft 2.16, 8. */
public enum CaseTask {
    WASHED("case and bracelet washed", Bound.NONE, "In a water bath of their own, never the movement's jars."),
    POLISHED(
            "polished",
            Bound.METAL,
            "At the motor: eye protection, dust mask, no gloves or loose sleeves at the spindle. Its maker's instructions and"
                    + " local rules decide."),
    BRUSHED("brushed areas redone", Bound.METAL, "Along a straight edge, with fine paper."),
    CRYSTAL_POLISHED(
            "crystal polished",
            Bound.NONE,
            "No acids for crystals or steel here: what would need them goes to a licensed workshop."),
    CRYSTAL_PRESSED(
            "crystal pressed in",
            Bound.NONE,
            "Acrylic is compressed a few tenths of a millimetre into its groove; press square, eyes protected. The press's instructions decide."),
    CRYSTAL_GLUED(
            "crystal glued in",
            Bound.NONE,
            "Light-curing adhesive: gloves, shield the eyes, never look into the lamp. Its data sheet and local rules decide."),
    BEZEL_SPRING(
            "bezel spring bent",
            Bound.NONE,
            "A spring under tension: eyes protected, a hand over it. Local rules decide."),
    PLATED(
            "plated",
            Bound.AS_NEW,
            "Strong alkalis, nickel salts; gold baths may hold cyanides: never near acids, with extraction, goggles and"
                    + " gloves; waste labelled, to a licensed carrier. Nickel beneath gold can trouble allergic skin: tell the"
                    + " owner. Unsure means outwork; local rules and data sheets decide."),
    DIAL_CLEANED(
            "dial cleaned",
            Bound.DIAL,
            "A dial is never cleaned beyond the stance: what comes off does not come back."),
    HANDS_CLEANED("hands cleaned", Bound.DIAL, "Of blued hands only the rust is removed: the colour is a thin skin."),
    REPAINTED("marks repainted", Bound.AS_NEW, ""),
    RELUMED(
            "re-lumed",
            Bound.PAINT,
            "Never over or after scraping old luminous paint. Local rules and, where they ask for it, a licensed body decide."),
    GASKETS("new gaskets greased", Bound.NONE, "");

    /** What bounds a task. */
    private enum Bound {
        NONE,
        /** It takes metal away. */
        METAL,
        /** It makes new what was old. */
        AS_NEW,
        DIAL,
        PAINT
    }

    private final String words;
    private final Bound bound;
    private final String caution;

    CaseTask(String words, Bound bound, String caution) {
        this.words = words;
        this.bound = bound;
        this.caution = caution;
    }

    /** As it is said when it is done. */
    public String words() {
        return words;
    }

    /** What stands next to the act; may be empty. */
    public String caution() {
        return caution;
    }

    /** How far it may go. */
    public enum Leave {
        FREE,
        /** How far was agreed has to be said. */
        AS_AGREED,
        /** It goes against what was agreed: only with a reason. */
        AGAINST
    }

    /** How far a task may go here, and why. */
    public record Limit(Leave leave, String why) {}

    /**
     * How far it may go.
     *
     * @param paintWantsCare whether the luminous paint is above background, or not known
     */
    public Limit under(Stance stance, boolean paintWantsCare) {
        return switch (bound) {
            case NONE -> new Limit(Leave.FREE, "");
            case METAL ->
                switch (stance) {
                    case CONSERVE ->
                        new Limit(Leave.AGAINST, "conserve was agreed: dents and marks beside hallmarks stay");
                    case SYMPATHETIC ->
                        new Limit(
                                Leave.AS_AGREED, "it takes metal: how much is agreed, plating and hallmarks bound it");
                    case RENEW -> new Limit(Leave.AS_AGREED, "it takes metal: only as far as the hallmark can be kept");
                };
            case AS_NEW ->
                stance == Stance.RENEW
                        ? new Limit(Leave.AS_AGREED, "renew was agreed: which layers, which marks")
                        : new Limit(Leave.AGAINST, "renew was not agreed");
            case DIAL ->
                switch (stance) {
                    case CONSERVE -> new Limit(Leave.AGAINST, "conserve was agreed: its age stays");
                    case SYMPATHETIC -> new Limit(Leave.AS_AGREED, "as far as was agreed, and no further");
                    case RENEW -> new Limit(Leave.AS_AGREED, "renew was agreed: how");
                };
            case PAINT ->
                paintWantsCare
                        ? new Limit(Leave.AGAINST, "the luminous paint is above background, or nobody measured it")
                        : stance == Stance.RENEW
                                ? new Limit(Leave.AS_AGREED, "renew was agreed: which")
                                : new Limit(Leave.AGAINST, "renew was not agreed");
        };
    }
}
