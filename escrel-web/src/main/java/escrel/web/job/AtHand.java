package escrel.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Which part each job has at hand on the bench: the one its card showed last. Forgotten with a restart. */
@Component
public class AtHand {
    private static final int JOBS = 200;

    private final Cache<Integer, String> parts =
            Caffeine.newBuilder().maximumSize(JOBS).build();

    /** A card shows a part; nothing for an empty code. */
    public void shows(int job, String part) {
        if (part.isEmpty()) {
            parts.invalidate(job);
        } else {
            parts.put(job, part);
        }
    }

    /** Code of the part at hand, if a card showed one. */
    public Optional<String> of(int job) {
        return Optional.ofNullable(parts.getIfPresent(job));
    }
}
