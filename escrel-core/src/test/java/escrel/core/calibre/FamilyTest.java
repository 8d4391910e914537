package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class FamilyTest {
    private static CalibreSheet sheet(String id, String family, List<String> traps, List<Lore.WeakPoint> weak) {
        CalibreSheet small = Calibres.small();
        Lore lore = new Lore(family, List.of(), weak, List.of(), "", List.of(), List.of(), List.of(), null, "");
        return small.called(id, id.toUpperCase(), small.data(), List.of())
                .withRest(small.oilPoints(), small.tests(), traps)
                .withLore(lore);
    }

    @Test
    void whatSiblingsKnowIsOfferedAndTakenOver() {
        String part = Calibres.small().parts().get(0).code();
        CalibreSheet own = sheet("own", "f", List.of("both know it"), List.of());
        CalibreSheet sibling = sheet(
                        "sib",
                        "f",
                        List.of("both know it", "its screw is left-hand"),
                        List.of(new Lore.WeakPoint(part, "scored"), new Lore.WeakPoint("none-such", "bent")))
                .withFigures(own.data(), new StemRelease("button", "pushed in", "pegwood", "", "never pressed hard"));
        CalibreSheet stranger = sheet("other", "g", List.of("of no concern"), List.of());

        Family family = Family.of(own, List.of(own, sibling, stranger));
        assertThat(family.lines())
                .extracting(Family.Line::words)
                .hasSize(own.stemRelease() == null ? 3 : 2)
                .contains("trap: its screw is left-hand");

        CalibreSheet taken =
                family.taking(family.lines().stream().map(Family.Line::key).toList());
        assertThat(taken.traps()).containsExactly("both know it", "its screw is left-hand");
        assertThat(taken.lore().weakPoints()).containsExactly(new Lore.WeakPoint(part, "scored"));
        assertThat(Family.of(taken, List.of(sibling)).lines()).isEmpty();
        assertThat(family.taking(List.of("TRAP:never heard of"))).isEqualTo(own);
        assertThat(Family.of(sheet("lone", "", List.of(), List.of()), List.of(sibling))
                        .lines())
                .isEmpty();
    }
}
