package escrel.web.storage;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Versions of sheets as they were read: a version never changes, so each is read once. What is read within a transaction may
 * have been written by it: the transaction remembers it for itself, and everybody once that holds.
 */
final class Remembered<T> {
    private final Cache<String, T> read;

    Remembered(int most) {
        read = Caffeine.newBuilder().maximumSize(most).build();
    }

    /** The version, read when it is not known yet; nothing where there is none. */
    Optional<T> find(String id, int version, Supplier<Optional<T>> reading) {
        String key = id + "#" + version;
        boolean mayHaveWritten = TransactionSynchronizationManager.isSynchronizationActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
        T known = read.getIfPresent(key);
        if (known == null && mayHaveWritten) {
            known = ofTransaction().get(key);
        }
        if (known != null) {
            return Optional.of(known);
        }
        Optional<T> found = reading.get();
        found.ifPresent(sheet -> {
            if (mayHaveWritten) {
                ofTransaction().put(key, sheet);
            } else {
                read.put(key, sheet);
            }
        });
        return found;
    }

    /** What this transaction has read; gone with it, and everybody's when it was committed. */
    @SuppressWarnings("unchecked")
    private Map<String, T> ofTransaction() {
        Object bound = TransactionSynchronizationManager.getResource(this);
        if (bound != null) {
            return (Map<String, T>) bound;
        }
        Map<String, T> own = new HashMap<>();
        TransactionSynchronizationManager.bindResource(this, own);
        AfterTransaction.ifCommitted(() -> read.putAll(own));
        AfterTransaction.run(() -> TransactionSynchronizationManager.unbindResourceIfPossible(this));
        return own;
    }
}
