package escrel.core.outside;

import escrel.core.condition.Defect;
import java.util.List;

/** A piece of the outside, in the order in which one looks at it, with what is usually wrong with it. Source: craft 2.1. */
public enum OutsidePiece {
    CRYSTAL("crystal", Defect.SCORED, Defect.CRACKED, Defect.CHIPPED, Defect.LOOSE, Defect.WRONG_PART),
    BEZEL("bezel", Defect.LOOSE, Defect.SCORED, Defect.PLATING_WORN, Defect.BENT, Defect.FADED),
    CASE("case", Defect.SCORED, Defect.BENT, Defect.PLATING_WORN, Defect.CORRODED, Defect.CRACKED),
    LUGS("lugs", Defect.SCORED, Defect.BENT, Defect.WORN, Defect.PLATING_WORN, Defect.BROKEN),
    CROWN("crown", Defect.WORN, Defect.LOOSE, Defect.BENT, Defect.WRONG_PART, Defect.CORRODED),
    PUSHERS("pushers", Defect.LOOSE, Defect.OVER_TIGHT, Defect.BENT, Defect.CORRODED, Defect.WRONG_PART),
    BACK("back", Defect.SCORED, Defect.LOOSE, Defect.BENT, Defect.CORRODED, Defect.PLATING_WORN),
    DIAL("dial", Defect.FADED, Defect.CORRODED, Defect.CRACKED, Defect.CHIPPED, Defect.ALTERED),
    HANDS("hands", Defect.BENT, Defect.CORRODED, Defect.LOOSE, Defect.FADED, Defect.WRONG_PART),
    STRAP("strap", Defect.WORN, Defect.BROKEN, Defect.DIRTY, Defect.CORRODED, Defect.WRONG_PART);

    private final String words;
    private final List<Defect> usual;

    OutsidePiece(String words, Defect... usual) {
        this.words = words;
        this.usual = List.of(usual);
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** Whether words begin with it, as those of a finding on it or of a photo that shows it do. */
    public boolean isNamedIn(String said) {
        return said.startsWith(words)
                && (said.length() == words.length() || !Character.isLetter(said.charAt(words.length())));
    }

    /** What is usually wrong with it, the commonest first. */
    public List<Defect> usual() {
        return usual;
    }

    /** Whether it keeps the inside dry and whole. */
    public boolean isOfTheCase() {
        return switch (this) {
            case CRYSTAL, BEZEL, CASE, LUGS, CROWN, PUSHERS, BACK -> true;
            default -> false;
        };
    }
}
