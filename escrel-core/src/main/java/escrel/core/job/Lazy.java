package escrel.core.job;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A value worked out when it is first asked for, and kept. Two threads may work it out twice; both get the same. */
final class Lazy<T> {
    private final Supplier<T> source;
    private volatile @Nullable T value;

    Lazy(Supplier<T> source) {
        this.source = source;
    }

    T get() {
        T known = value;
        if (known == null) {
            known = source.get();
            value = known;
        }
        return known;
    }
}
