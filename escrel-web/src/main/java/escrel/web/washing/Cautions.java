package escrel.web.washing;

import escrel.core.calibre.Wash;

/** What stands next to each way of cleaning. Sources: craft 2.11, 8. */
final class Cautions {
    private Cautions() {}

    static String of(Wash way) {
        return switch (way) {
            case MACHINE, ULTRASONIC ->
                "Solvents are flammable and give off vapour: ventilate, no flame, no heated or ultrasonic bath with"
                        + " flammable liquid unless the machine is made for it; gloves. The maker's data sheets and"
                        + " local rules decide.";
            case DIP ->
                "Quick solvent evaporates at once: ventilate, no flame, gloves. Never alcohol or heat on a fork:"
                        + " shellac softens. Data sheets and local rules decide.";
            case SOLVENT, PEGGED ->
                "Petroleum solvent is flammable: ventilate, no flame, gloves; let it dry in the air, away from heat."
                        + " Data sheets and local rules decide.";
            case WATER_BATH ->
                "Without crystal and movement, never the movement's jars; rinsed and dried at once. Hands out of an"
                        + " ultrasonic bath while it runs; plated cases by the maker's data sheets.";
            case BY_HAND -> "Ammoniated cleaners: ventilate, shield the eyes, never with chlorine. Local rules decide.";
            case STANCE ->
                "Lume of unknown age is treated as radioactive until measured: no scraping, no brushing. Storage and"
                        + " disposal follow local rules.";
            case PUTTY -> "";
        };
    }

    /** A way in the words of the bench. */
    static String words(Wash way) {
        return switch (way) {
            case MACHINE -> "through the machine";
            case DIP -> "dipped by hand";
            case BY_HAND -> "by hand, apart";
            case WATER_BATH -> "in the water bath";
            case STANCE -> "as far as the stance allows";
            case SOLVENT -> "rinsed in petroleum solvent, dried in the air";
            case PEGGED -> "pegged and brushed";
            case PUTTY -> "pressed into putty";
            case ULTRASONIC -> "pre-cleaned in ultrasound";
        };
    }
}
