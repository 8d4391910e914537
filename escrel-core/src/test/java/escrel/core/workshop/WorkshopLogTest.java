package escrel.core.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockStarted;
import escrel.core.clock.Timed;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.supply.DonorGone;
import escrel.core.supply.DonorKept;
import escrel.core.supply.StockCame;
import escrel.core.supply.StockCounted;
import escrel.core.supply.StockDropped;
import escrel.core.supply.StockKept;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WorkshopLogTest {
    private static WorkshopLog log(Step... acts) {
        return log(List.of(acts));
    }

    private static WorkshopLog log(List<Step> acts) {
        List<RecordedStep> recorded = new ArrayList<>();
        acts.forEach(act -> recorded.add(new RecordedStep(recorded.size() + 1, Instant.EPOCH, act)));
        return WorkshopLog.of(recorded);
    }

    private static ClockCalibrated clock(double ppm) {
        return new ClockCalibrated("line in", ppm, 2, "one pulse a second");
    }

    @Test
    void lastCalibrationOfADeviceHolds() {
        WorkshopLog log = log(clock(50), new ClockCalibrated("other", 7, 1, "typed"), clock(40));

        assertThat(log.clockOf("line in").ppm()).isEqualTo(40);
        assertThat(log.clockOf("line in").doubtSecondsPerDay()).isCloseTo(0.1728, within(1e-9));
        assertThat(log.clocks()).hasSize(2);
    }

    @Test
    void takenBackItLetsTheOneBeforeHoldAgainAndStaysOnRecord() {
        WorkshopLog log = log(clock(50), clock(4_000), new TakenBack(2));

        assertThat(log.clockOf("line in").ppm()).isEqualTo(50);
        assertThat(log.acts().recorded()).hasSize(3);
        assertThat(log.acts().revocable(2)).isEmpty();
        assertThat(log.acts().revocable(1)).isPresent();
    }

    @Test
    void forgottenAndTheForgettingTakenBack() {
        assertThat(log(clock(50), new ClockForgotten("line in"))
                        .clockOf("line in")
                        .calibrated())
                .isFalse();
        assertThat(log(clock(50), new ClockForgotten("line in"), new TakenBack(2))
                        .clockOf("line in")
                        .ppm())
                .isEqualTo(50);
        assertThat(log(clock(50), new ClockForgotten("line in"), clock(30))
                        .clockOf("line in")
                        .ppm())
                .isEqualTo(30);
    }

    @Test
    void takingBackAnyActLeavesTheLogAsIfItHadNotBeenRecorded() {
        Random random = new Random(5);
        for (int trial = 0; trial < 200; trial++) {
            List<Step> acts = new ArrayList<>();
            int length = 1 + random.nextInt(8);
            for (int i = 0; i < length; i++) {
                String device = "device " + random.nextInt(3);
                acts.add(
                        random.nextInt(4) == 0
                                ? new ClockForgotten(device)
                                : new ClockCalibrated(device, random.nextInt(100), 1, "typed"));
            }
            int gone = random.nextInt(length);
            List<Step> without = new ArrayList<>(acts);
            without.remove(gone);
            acts.add(new TakenBack(gone + 1));

            assertThat(log(acts).clocks())
                    .extracting(WorkshopLog.KnownClock::calibrated)
                    .containsExactlyElementsOf(log(without).clocks().stream()
                            .map(WorkshopLog.KnownClock::calibrated)
                            .toList());
        }
    }

    @Test
    void gapOrAnActTakenBackBeforeItWasDoneIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> WorkshopLog.of(List.of(new RecordedStep(2, Instant.EPOCH, clock(1)))));
        assertThatIllegalArgumentException().isThrownBy(() -> log(new TakenBack(1)));
    }

    @Test
    void everyActHasItsNameAndItsWords() {
        assertThat(WorkshopSteps.kindOf(clock(-12)).name()).isEqualTo("clock-calibrated");
        assertThat(WorkshopSteps.words(clock(-12)))
                .isEqualTo("clock of “line in” runs 12.0 ± 2.0 ppm slow (one pulse a second)");
        assertThat(WorkshopSteps.words(new ClockForgotten("line in"))).contains("forgotten");
        assertThat(WorkshopSteps.named("no such act")).isEmpty();
    }

    /** "3 counted in stock" says nothing: of what, by the name it had then. */
    @Test
    void actSaysByNameWhatItIsAbout() {
        WorkshopLog log = log(
                new StockKept("s-1", StockKept.Kind.GASKET, "Crown gasket", "1.6 × 0.6 mm", "drawer 2", 3),
                new StockCounted("s-1", 3),
                new StockKept("s-1", StockKept.Kind.GASKET, "Crown seal", "1.6 × 0.6 mm", "drawer 2", 3),
                new StockCame("s-1", 5),
                new StockDropped("s-1"),
                new StockCounted("s-9", 2),
                new DonorKept("d-1", "a CV-28 with a broken plate", "cv-28", List.of(), ""),
                new DonorGone("d-1"),
                new ClockStarted("c-1", "seal dries", null, List.of(new Timed.Stretch("dry", 1200))),
                new ClockEnded("c-1", true));

        assertThat(log.acts().recorded().stream().map(log::words))
                .containsExactly(
                        "in stock: Crown gasket 1.6 × 0.6 mm",
                        "3 counted in stock: Crown gasket 1.6 × 0.6 mm",
                        "in stock: Crown seal 1.6 × 0.6 mm",
                        "5 came into stock: Crown seal 1.6 × 0.6 mm",
                        "kept in stock no more: Crown seal 1.6 × 0.6 mm",
                        "2 counted in stock",
                        "donor “a CV-28 with a broken plate” kept, 0 parts lacking",
                        "donor gone: “a CV-28 with a broken plate”",
                        "clock: seal dries",
                        "clock seen to: seal dries");
    }
}
