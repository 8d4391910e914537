package escrel.core.cleaning;

import escrel.core.calibre.Wash;

/** What lies together in the wash, and what does not. Source: craft 2.11; how they are parted is ours. */
public enum Basket {
    PLATES(
            "plates and bridges",
            Wash.MACHINE,
            "Screws parked in their holes; the balance back on the bare plate, or apart. Nothing small beside them."),
    WHEELS("wheels and pinions", Wash.MACHINE, "Nothing heavier with them: a foot of a bridge dents a tooth."),
    ESCAPEMENT("fork and escape wheel", Wash.MACHINE, "Alone: fine pivots. Never alcohol or heat where shellac holds."),
    BARREL("barrel", Wash.MACHINE, "Opened, its arbor out; a spring that is kept is wiped, not left coiled in wet."),
    STEEL("levers, springs, clicks", Wash.MACHINE, "In a closed basket: what flies on the bench floats in a bath."),
    SETTINGS(
            "caps and settings",
            Wash.MACHINE,
            "The finest mesh. An empty shock spring is relatched at once; caps that are screwed on are taken off."),
    DIP("dipped by hand", Wash.DIP, "Seconds, not minutes."),
    SOLVENT("rinsed in petroleum solvent", Wash.SOLVENT, "Coated: never in the machine. Dried in the air."),
    BY_HAND("by hand, apart", Wash.BY_HAND, "Printed, glued, plastic, seals: into no bath."),
    WATER("case and bracelet", Wash.WATER_BATH, "A bath of their own, never the movement's jars."),
    STANCE("dial and hands", Wash.STANCE, "No further than was agreed; never into a bath.");

    private final String words;
    private final Wash way;
    private final String apart;

    Basket(String words, Wash way, String apart) {
        this.words = words;
        this.way = way;
        this.apart = apart;
    }

    static Basket of(Wash way) {
        return switch (way) {
            case DIP -> DIP;
            case SOLVENT -> SOLVENT;
            case WATER_BATH -> WATER;
            case STANCE -> STANCE;
            default -> BY_HAND;
        };
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** How what lies in it is cleaned. */
    public Wash way() {
        return way;
    }

    /** What may not lie with it, and what else to mind. */
    public String apart() {
        return apart;
    }
}
