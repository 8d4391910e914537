package escrel.web.upkeep;

import escrel.core.MendableException;
import escrel.web.ground.Backup;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** The backup somebody asked for by hand, made beside the request: a large workshop keeps no page waiting. One at a time. */
@Component
public class BackupNow implements AutoCloseable {
    private final Supplier<Backup.Made> make;
    private final Clock clock;
    private final ExecutorService beside = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "backup");
        thread.setDaemon(true);
        return thread;
    });
    private @Nullable Future<Backup.Made> asked;
    private Instant since = Instant.EPOCH;

    @Autowired
    BackupNow(Backups backups, Clock clock) {
        this(backups::make, clock);
    }

    BackupNow(Supplier<Backup.Made> make, Clock clock) {
        this.make = make;
        this.clock = clock;
    }

    /** Begins one, unless one is being made. */
    public synchronized void begin() {
        if (asked == null || asked.isDone()) {
            since = clock.instant();
            asked = beside.submit(make::get);
        }
    }

    /** Since when one is being made; nothing when none is. */
    public synchronized Optional<Instant> runningSince() {
        return asked == null || asked.isDone() ? Optional.empty() : Optional.of(since);
    }

    /**
     * What was made, told once.
     *
     * @param patience how long to wait for it
     * @return nothing while it is being made, when it was told before, or when none was asked for
     * @throws MendableException when it could not be made
     */
    public Optional<Backup.Made> toTell(Duration patience) {
        Future<Backup.Made> waitedFor;
        synchronized (this) {
            waitedFor = asked;
        }
        if (waitedFor == null) {
            return Optional.empty();
        }
        try {
            Backup.Made made = waitedFor.get(patience.toMillis(), TimeUnit.MILLISECONDS);
            return told(waitedFor) ? Optional.of(made) : Optional.empty();
        } catch (TimeoutException e) {
            return Optional.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        } catch (ExecutionException e) {
            if (told(waitedFor) && e.getCause() instanceof RuntimeException why) {
                throw why;
            }
            return Optional.empty();
        }
    }

    private synchronized boolean told(Future<Backup.Made> one) {
        boolean first = asked == one;
        if (first) {
            asked = null;
        }
        return first;
    }

    @Override
    public void close() {
        beside.shutdownNow();
    }
}
