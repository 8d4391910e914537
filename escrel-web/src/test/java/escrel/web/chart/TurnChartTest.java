package escrel.web.chart;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.timing.comparison.Repeatability;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import java.util.List;
import org.junit.jupiter.api.Test;

class TurnChartTest {
    private final OpenJob job = EscrelServer.demo().bean(Workshop.class).load(1);
    private final TurnView view = TurnView.of(job, Repeatability.DEFAULT);

    @Test
    void labelsNeverCoverEachOther() {
        for (TurnChart chart : List.of(view.rate(), view.amplitude(), view.beatError())) {
            List<Double> heights =
                    chart.pairs().stream().map(TurnChart.Pair::labelY).sorted().toList();
            for (int i = 1; i < heights.size(); i++) {
                assertThat(heights.get(i) - heights.get(i - 1)).isGreaterThanOrEqualTo(18.9);
            }
        }
    }

    @Test
    void everyPointLiesOnTheScaleWithItsWhiskerAroundIt() {
        assertThat(view.rate().pairs()).hasSize(6).allSatisfy(p -> {
            assertThat(p.before().y()).isBetween(p.before().high(), p.before().low());
            assertThat(p.after().high()).isBetween(35.0, 485.0);
            assertThat(p.after().low()).isBetween(35.0, 485.0);
        });
    }

    @Test
    void sentencesSayWhatIsBeyondTheNoise() {
        assertThat(view.rows()).extracting(TurnView.Row::sentence).anyMatch(s -> s.contains("better beyond the noise"));
        assertThat(view.notes()).anyMatch(n -> n.startsWith("Simulated"));
    }

    @Test
    void jobWithOneSideOnlyHasNoTurn() {
        assertThat(TurnView.of(EscrelServer.demo().bean(Workshop.class).load(5), Repeatability.DEFAULT))
                .isNull();
    }
}
