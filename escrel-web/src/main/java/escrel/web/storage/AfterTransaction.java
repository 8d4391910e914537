package escrel.web.storage;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is done once the transaction at hand is over, however it ended; at once where there is none. */
public final class AfterTransaction {
    private AfterTransaction() {}

    public static void run(Runnable act) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            act.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                act.run();
            }
        });
    }
}
