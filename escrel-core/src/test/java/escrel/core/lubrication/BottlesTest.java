package escrel.core.lubrication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.calibre.LubricantClass;
import escrel.core.lubrication.Bottles.Stand;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BottlesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);
    private final List<RecordedStep> acts = new ArrayList<>();

    private BottlesTest then(Step act) {
        acts.add(new RecordedStep(acts.size() + 1, Instant.EPOCH.plusSeconds(acts.size()), act));
        return this;
    }

    private static BottleKept bottle(String id, LubricantClass lubricant, String name) {
        return new BottleKept(id, lubricant, name, "12", null, null);
    }

    @Test
    void theOneKeptLastOfAClassIsInUseUntilItIsGone() {
        then(bottle("a", LubricantClass.FINE_OIL, "fine A"))
                .then(bottle("b", LubricantClass.CONTACT_GREASE, "grease D"))
                .then(bottle("c", LubricantClass.FINE_OIL, "fine B"));
        assertThat(Bottles.of(acts).inUse(LubricantClass.FINE_OIL).orElseThrow().said())
                .isEqualTo("fine B, batch 12");
        then(new BottleGone("c"));
        assertThat(Bottles.of(acts).inUse(LubricantClass.FINE_OIL).orElseThrow().name())
                .isEqualTo("fine A");
        then(bottle("c", LubricantClass.FINE_OIL, "fine B")).then(bottle("a", LubricantClass.FINE_OIL, "fine A"));
        assertThat(Bottles.of(acts).all()).extracting(BottleKept::id).containsExactly("a", "c", "b");
        assertThat(Bottles.of(acts).inUse(LubricantClass.PALLET)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        ", 2026-05-03, OVER",
        ", 2026-05-04, SOON",
        ", 2026-06-03, SOON",
        ", 2026-06-04, GOOD",
        "2023-05-03, , SOON",
        "2023-05-04, , GOOD",
        ", , GOOD",
        "2020-01-01, 2026-05-03, OVER",
    })
    void warnsInTime(LocalDate opened, LocalDate useBy, Stand stand) {
        BottleKept bottle = new BottleKept("a", LubricantClass.FINE_OIL, "fine A", "", opened, useBy);
        assertThat(Bottles.stand(bottle, TODAY)).isEqualTo(stand);
        assertThat(Bottles.warning(bottle, TODAY).isEmpty()).isEqualTo(stand == Stand.GOOD);
    }

    @Test
    void whatIsNoBottleIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> bottle("a", LubricantClass.DRY, "dust"));
        assertThatIllegalArgumentException().isThrownBy(() -> bottle("a", LubricantClass.FINE_OIL, " "));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new BottleKept(
                        "a",
                        LubricantClass.FINE_OIL,
                        "fine A",
                        "",
                        LocalDate.of(2026, 2, 1),
                        LocalDate.of(2026, 1, 1)));
    }
}
