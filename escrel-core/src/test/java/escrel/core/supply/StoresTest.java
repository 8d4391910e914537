package escrel.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.workshop.WorkshopLog;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StoresTest {
    private static final Instant BEGIN = Instant.parse("2027-03-01T08:00:00Z");
    private static final StockKept GASKET =
            new StockKept("g", StockKept.Kind.GASKET, "Crown gasket", "1.6 × 0.6", "drawer 1", 3);

    /** One act an hour. */
    private static Stores stores(Step... acts) {
        List<RecordedStep> log = new ArrayList<>();
        for (Step act : acts) {
            log.add(new RecordedStep(log.size() + 1, BEGIN.plusSeconds(3600L * log.size()), act));
        }
        return WorkshopLog.of(log).stores();
    }

    /** Counted 7, 5 came, 2 were taken since: 10 are left, whatever was taken before the count. */
    @Test
    void whatIsLeftIsCountedWithWhatCameLessWhatWasTakenSince() {
        Stores stores = stores(GASKET, new StockCounted("g", 7), new StockCame("g", 5));
        Stores.InStock item = stores.stock().get(0);

        int left = Stores.left(item, (source, since) -> {
            assertThat(source).isEqualTo("stock:g");
            assertThat(since).as("the instant of the count").isEqualTo(BEGIN.plusSeconds(3600));
            return 2;
        });

        assertThat(left).isEqualTo(10);
    }

    @Test
    void countSaidAgainTakesThePlaceOfAllBefore() {
        assertThat(stores(GASKET, new StockCounted("g", 7), new StockCame("g", 5), new StockCounted("g", 2))
                        .stock()
                        .get(0)
                        .counted())
                .isEqualTo(2);
    }

    @Test
    void anotherNameOrDrawerKeepsTheCount() {
        StockKept moved = new StockKept("g", StockKept.Kind.GASKET, "Crown gasket", "1.6 × 0.6", "drawer 9", 1);

        assertThat(stores(GASKET, new StockCounted("g", 7), moved).stock())
                .containsExactly(new Stores.InStock(moved, BEGIN.plusSeconds(3600), 7));
    }

    @Test
    void whatIsTakenBackNeverWas() {
        assertThat(stores(GASKET, new StockCounted("g", 7), new TakenBack(2))
                        .stock()
                        .get(0)
                        .counted())
                .isZero();
        assertThat(stores(GASKET, new StockDropped("g"), new TakenBack(2)).stock())
                .hasSize(1);
    }

    @Test
    void supplierIsTheSameInWhateverCaseItIsTyped() {
        Stores stores = stores(
                new SupplierKept("Stennay material store", SupplierKept.Trade.PARTS, "", ""),
                new SupplierKept("stennay Material Store", SupplierKept.Trade.BOTH, "by boat", ""));

        assertThat(stores.suppliers()).singleElement().satisfies(s -> {
            assertThat(s.name()).isEqualTo("stennay Material Store");
            assertThat(s.trade().does(Ordered.Kind.WORK)).isTrue();
        });
        assertThat(stores(new SupplierKept("Stennay", SupplierKept.Trade.PARTS, "", ""), new SupplierDropped("STENNAY"))
                        .suppliers())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {-1, 100_001})
    void numbersOfThingsAreNumbersOfThings(int count) {
        assertThatThrownBy(() -> new StockCounted("g", count)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new StockCame("g", count)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new StockKept("g", StockKept.Kind.STEM, "Stem", "", "", count))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
