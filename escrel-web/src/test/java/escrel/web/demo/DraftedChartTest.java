package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.learning.DraftChart;
import escrel.web.testing.BenchHand;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drafted charts against those made by hand, which stood in the sheets long before the rules did. */
class DraftedChartTest {
    private static final List<String> CALIBRES = List.of("cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h");
    private static final Path LISTED = Path.of("../docs/drafted-charts.md");

    /** How one chart stands to the other: what both have, what only one has. */
    private record Compared(String calibre, int agree, List<String> onlyByHand, List<String> onlyDrafted) {
        static Compared of(String calibre) {
            CalibreSheet sheet = BenchHand.demoSheet(calibre);
            Map<String, Integer> hand = new TreeMap<>();
            for (OilPoint point : sheet.oilPoints()) {
                hand.merge(key(point.part(), point.lubricant()), 1, Integer::sum);
            }
            Map<String, Integer> draft = new TreeMap<>();
            for (DraftChart.Drafted point : DraftChart.of(sheet)) {
                draft.merge(key(point.part().code(), point.lubricant()), 1, Integer::sum);
            }
            int agree = 0;
            List<String> onlyByHand = new ArrayList<>();
            List<String> onlyDrafted = new ArrayList<>();
            for (Map.Entry<String, Integer> point : hand.entrySet()) {
                int both = Math.min(point.getValue(), draft.getOrDefault(point.getKey(), 0));
                agree += both;
                if (both < point.getValue()) {
                    onlyByHand.add(point.getKey());
                }
            }
            for (Map.Entry<String, Integer> point : draft.entrySet()) {
                if (hand.getOrDefault(point.getKey(), 0) < point.getValue()) {
                    onlyDrafted.add(point.getKey());
                }
            }
            return new Compared(calibre, agree, onlyByHand, onlyDrafted);
        }

        private static String key(String part, LubricantClass lubricant) {
            return part + ": " + lubricant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        /** Of all points that either has. */
        double share() {
            return agree / (double) (agree + onlyByHand.size() + onlyDrafted.size());
        }

        String row() {
            return "| %s | %d | %.0f %% | %s | %s |"
                    .formatted(
                            calibre,
                            agree,
                            100 * share(),
                            onlyByHand.isEmpty() ? "–" : String.join("; ", onlyByHand),
                            onlyDrafted.isEmpty() ? "–" : String.join("; ", onlyDrafted));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8"})
    void draftedChartAgreesWithTheOneMadeByHand(String calibre) {
        Compared compared = Compared.of(calibre);
        assertThat(compared.share()).as(compared.row()).isGreaterThanOrEqualTo(0.9);
    }

    /** Its chart was learnt in one service and is not whole: what stands there is drafted too, and more. */
    @Test
    void chartOfTheUnknownMovementIsFilledUp() {
        assertThat(Compared.of("m-7h").onlyByHand()).isEmpty();
        assertThat(Compared.of("m-7h").agree())
                .isEqualTo(BenchHand.demoSheet("m-7h").oilPoints().size());
    }

    @Test
    void differencesStandInTheDocs() throws IOException {
        List<String> lines = Files.readAllLines(LISTED);
        assertThat(CALIBRES)
                .allSatisfy(c -> assertThat(lines).contains(Compared.of(c).row()));
    }
}
