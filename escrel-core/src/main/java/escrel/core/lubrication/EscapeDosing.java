package escrel.core.lubrication;

/**
 * How many doses the exit stone needs so that every tooth of the escape wheel takes its share: {@code ⌈z/k⌉}, walking k
 * teeth between. 15 teeth, 5 a dose → 3; 20 → 4; 21 → 5. Source: M13.
 *
 * @param teeth of the escape wheel, above 0
 * @param teethPerDose carried on by one dose, above 0; 5 by default
 */
public record EscapeDosing(int teeth, int teethPerDose) {
    /** Teeth carried by one dose where the workshop says nothing else. Source: M13. */
    public static final int DEFAULT_TEETH_PER_DOSE = 5;

    public EscapeDosing {
        if (teeth < 1 || teethPerDose < 1) {
            throw new IllegalArgumentException(
                    "teeth and teeth per dose must be above 0, were " + teeth + " and " + teethPerDose);
        }
    }

    /** Dosing for a wheel with the default of 5 teeth a dose. */
    public static EscapeDosing forTeeth(int teeth) {
        return new EscapeDosing(teeth, DEFAULT_TEETH_PER_DOSE);
    }

    /** Number of doses. */
    public int doses() {
        return (teeth + teethPerDose - 1) / teethPerDose;
    }

    /** In words: "15 teeth: 3 doses, walking 5 teeth between". */
    public String words() {
        return "%d teeth: %d doses, walking %d teeth between".formatted(teeth, doses(), teethPerDose);
    }
}
