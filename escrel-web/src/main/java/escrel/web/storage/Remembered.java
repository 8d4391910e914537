package escrel.web.storage;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Versions of sheets as they were read: a version never changes, so each is read once. What is read within a transaction may
 * have been written by it: it is remembered only when that holds.
 */
final class Remembered<T> {
    private final Cache<String, T> read;

    Remembered(int most) {
        read = Caffeine.newBuilder().maximumSize(most).build();
    }

    /** The version, read when it is not known yet; nothing where there is none. */
    Optional<T> find(String id, int version, Supplier<Optional<T>> reading) {
        String key = id + "#" + version;
        T known = read.getIfPresent(key);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<T> found = reading.get();
        found.ifPresent(sheet -> remember(key, sheet));
        return found;
    }

    private void remember(String key, T sheet) {
        if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            read.put(key, sheet);
            return;
        }
        AfterTransaction.ifCommitted(() -> read.put(key, sheet));
    }
}
