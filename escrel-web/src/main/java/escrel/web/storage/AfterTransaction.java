package escrel.web.storage;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is done once the transaction at hand is over; at once where there is none. */
public final class AfterTransaction {
    private AfterTransaction() {}

    /** However it ended. */
    public static void run(Runnable act) {
        with(act, new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                act.run();
            }
        });
    }

    /** Only when what it wrote holds. */
    public static void ifCommitted(Runnable act) {
        with(act, new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                act.run();
            }
        });
    }

    private static void with(Runnable act, TransactionSynchronization then) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(then);
        } else {
            act.run();
        }
    }
}
