package escrel.core.casework;

/** What is done for a plating, one upon another. Source: craft 2.16; only the gold bath's time is known, every other is the bath's. */
public enum Layer {
    CLEANED("cleaned", 0, "Electro-cleaning: silver reacts strongly; its residue is wiped off."),
    STRIPPED("stripped", 0, "Worn gold may be levelled by polishing instead."),
    ACTIVATED("activated", 0, "Acid: never near a bath that may hold cyanides."),
    NICKEL(
            "nickel",
            0,
            "Also on silver, whose tarnish otherwise comes through. Nickel beneath gold can trouble allergic skin: tell the owner."),
    BUFFED("buffed", 0, "At the motor: eyes, dust mask, no gloves or loose sleeves at the spindle."),
    ACTIVATED_AGAIN("activated again", 0, "Rinsed well before it comes near the gold."),
    GOLD("gold", 15, "It may hold cyanides: extraction, goggles, gloves; never near acids."),
    RINSED("rinsed", 0, "Waste labelled, to a licensed carrier.");

    private final String words;
    private final int minutes;
    private final String note;

    Layer(String words, int minutes, String note) {
        this.words = words;
        this.minutes = minutes;
        this.note = note;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** How long its bath usually takes; 0 where that is the bath's own. */
    public int minutes() {
        return minutes;
    }

    /** What to mind. */
    public String note() {
        return note;
    }

    /** Whether it stays on the piece. */
    public boolean isMetal() {
        return this == NICKEL || this == GOLD;
    }
}
