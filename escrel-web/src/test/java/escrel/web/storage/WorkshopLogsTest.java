package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.workshop.OwnersMerged;
import escrel.web.testing.EscrelServer;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

/** The log as several read it at the same time. */
class WorkshopLogsTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final WorkshopLogs logs = SERVER.bean(WorkshopLogs.class);

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private boolean names(String owner) {
        return logs.load().acts().recorded().stream()
                .anyMatch(e -> e.step().toString().contains(owner));
    }

    /** Whoever began to read before an erasure and reads on after it may not bring back what was erased. */
    @Test
    void longReadingKeepsNothingOfWhatWasErasedMeanwhile() {
        logs.append(new OwnersMerged("Keeper, Grey Point", "Keeper, Gray Point"));
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(t -> {
            assertThat(names("Keeper")).isTrue();
            CompletableFuture.runAsync(
                            () -> logs.writeOver(act -> new OwnersMerged("erased, spelt otherwise", "erased")))
                    .join();
            assertThat(names("Keeper")).isFalse();
        });
        assertThat(names("Keeper")).isFalse();
    }
}
