package escrel.web.job;

import escrel.web.storage.JobLineMapper;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes the lines that are missing, after an upgrade or when all are asked for anew ({@code --escrel.lines=anew}): beside the
 * work, a few at a time.
 */
@Component
class MissingLines implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(MissingLines.class);
    private static final int AT_ONCE = 20;

    private final JobLineMapper mapper;
    private final JobLines lines;
    private final Workshop workshop;
    private final TransactionTemplate transaction;
    private final boolean anew;
    private volatile boolean closed;
    private @Nullable Thread thread;

    MissingLines(
            JobLineMapper mapper,
            JobLines lines,
            Workshop workshop,
            TransactionTemplate transaction,
            @Value("${escrel.lines:}") String wanted) {
        this.mapper = mapper;
        this.lines = lines;
        this.workshop = workshop;
        this.transaction = transaction;
        this.anew = wanted.equals("anew");
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (anew) {
            transaction.executeWithoutResult(t -> lines.clear());
        }
        if (mapper.countMissing() > 0) {
            Thread making = new Thread(this::make, "lines of jobs");
            making.setDaemon(true);
            making.setPriority(Thread.MIN_PRIORITY);
            making.start();
            thread = making;
        }
    }

    private void make() {
        try {
            for (List<Integer> some = mapper.missing(AT_ONCE); !some.isEmpty() && !closed; ) {
                for (int i = 0; i < some.size() && !closed; i++) {
                    make(some.get(i));
                }
                some = closed ? some : mapper.missing(AT_ONCE);
            }
        } catch (RuntimeException e) {
            // the search says how many are missing; the next start tries again
            LOG.warn("the lines of some jobs could not be made", e);
        }
    }

    /** Nobody records a step of the job meanwhile: its line would be older than that. */
    private void make(int job) {
        try {
            transaction.executeWithoutResult(t -> lines.add(workshop.hold(job)));
        } catch (DataIntegrityViolationException e) {
            LOG.debug("job {} has its line by now", job);
        }
    }

    boolean isAtWork() {
        return thread != null && thread.isAlive();
    }

    /** The job at hand is finished first: journal and database close after this. */
    @Override
    public void close() {
        closed = true;
        try {
            if (thread != null) {
                thread.join();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
