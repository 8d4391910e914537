package escrel.web.upkeep;

import escrel.core.MendableException;
import escrel.web.ground.Ground;
import escrel.web.media.MediaStore;
import escrel.web.storage.MediaMapper;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Does every few minutes what is due: a backup, a new base when the journal has grown, the clean-up of media. */
@Component
public class Upkeep implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);
    private static final long LARGEST_JOURNAL = 4 << 20;
    private static final Duration UNTOUCHED = Duration.ofDays(1);

    private final Ground ground;
    private final DataSource data;
    private final Backups backups;
    private final MediaStore media;
    private final MediaMapper inUse;
    private final boolean wanted;
    private final ScheduledExecutorService later = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "upkeep");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    Upkeep(
            Ground ground,
            DataSource data,
            Backups backups,
            MediaStore media,
            MediaMapper inUse,
            @Value("${escrel.upkeep:true}") boolean wanted) {
        this.ground = ground;
        this.data = data;
        this.backups = backups;
        this.media = media;
        this.inUse = inUse;
        this.wanted = wanted;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (wanted) {
            later.scheduleWithFixedDelay(this::once, 1, 10, TimeUnit.MINUTES);
        }
    }

    private void once() {
        try {
            look();
        } catch (IOException | SQLException | RuntimeException e) {
            // what failed is tried again next time; a backup's fault stands on the first page
            LOG.warn("upkeep could not be done to its end", e);
        }
    }

    /** Does what is due now. */
    void look() throws IOException, SQLException {
        if (ground.ledger().sinceBase() > LARGEST_JOURNAL) {
            try (Connection connection = data.getConnection()) {
                ground.ledger().makeBase(connection);
            }
        }
        if (backups.isDue()) {
            try {
                backups.make();
            } catch (MendableException e) {
                LOG.info("{}", e.whatHappened());
            }
        }
        sweep(Instant.now().minus(UNTOUCHED));
    }

    /** Deletes media that no row names and that were not touched since a moment. */
    int sweep(Instant untouchedSince) throws IOException {
        Set<String> needed = new HashSet<>(inUse.inUse());
        return media.sweep(needed::contains, untouchedSince);
    }

    @Override
    public void close() {
        later.shutdownNow();
    }
}
