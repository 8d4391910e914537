package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

/** A version is read once, by a transaction that wrote it too; what was never committed is remembered by nobody. */
class RememberedTest {
    @Test
    void whatATransactionWroteItRemembersAndOthersOnceItHolds() {
        try (EscrelServer server = EscrelServer.on(EscrelServer.folder())) {
            Sheets sheets = server.bean(Sheets.class);
            TransactionTemplate transaction = server.bean(TransactionTemplate.class);
            CalibreSheet sheet = BenchHand.demoSheet("cv-12");

            transaction.executeWithoutResult(t -> {
                int version = sheets.keep(sheet);
                Optional<CalibreSheet> read = sheets.find(sheet.id(), version);
                assertThat(read).isPresent();
                assertThat(sheets.find(sheet.id(), version).orElseThrow()).isSameAs(read.orElseThrow());
                t.setRollbackOnly();
            });
            assertThat(sheets.latestVersion(sheet.id())).isZero();
            assertThat(sheets.find(sheet.id(), 1)).isEmpty();

            CalibreSheet read = Objects.requireNonNull(transaction.execute(
                    t -> sheets.find(sheet.id(), sheets.keep(sheet)).orElseThrow()));
            int version = sheets.latestVersion(sheet.id());
            assertThat(sheets.find(sheet.id(), version).orElseThrow()).isSameAs(read);
        }
    }
}
