package escrel.core.cleaning;

import escrel.core.condition.Defect;
import escrel.core.parts.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * How dirty a movement is, from what was found: 1 as usual, more for old oil, rust and water. The weights are ours.
 *
 * @param score 1 to 4
 * @param why what speaks for more than 1; empty where nothing does
 */
public record Soil(int score, String why) {
    /** From here on a pre-clean saves the baths. */
    public static final int HEAVY = 3;

    private static final Set<Defect> OIL = Set.of(Defect.GUMMED, Defect.DIRTY);
    private static final Set<Defect> RUST = Set.of(Defect.RUSTED, Defect.CORRODED);
    private static final int SEVERAL = 3;

    /**
     * Of a movement with these findings.
     *
     * @param findings of this round: what an earlier one cleaned dirties no bath again
     * @param wet whether water or mould was seen inside
     */
    public static Soil of(List<Finding> findings, boolean wet) {
        List<String> why = new ArrayList<>();
        long oil = count(findings, OIL);
        long rust = count(findings, RUST);
        int score = 1;
        if (oil > 0) {
            score += oil >= SEVERAL ? 2 : 1;
            why.add("old oil or dirt on " + oil + (oil == 1 ? " part" : " parts"));
        }
        if (rust > 0) {
            score++;
            why.add("rust on " + rust + (rust == 1 ? " part" : " parts"));
        }
        if (wet) {
            score++;
            why.add("water or mould inside");
        }
        return new Soil(Math.min(4, score), String.join(", ", why));
    }

    private static long count(List<Finding> findings, Set<Defect> which) {
        return findings.stream()
                .filter(f -> which.contains(f.defect()))
                .map(Finding::part)
                .distinct()
                .count();
    }
}
