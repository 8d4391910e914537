package escrel.web.job;

import escrel.web.storage.JobLineMapper;
import java.util.List;
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
            Thread thread = new Thread(this::make, "lines of jobs");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            thread.start();
        }
    }

    private void make() {
        try {
            for (List<Integer> some = mapper.missing(AT_ONCE); !some.isEmpty() && !closed; ) {
                some.forEach(this::make);
                some = mapper.missing(AT_ONCE);
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

    @Override
    public void close() {
        closed = true;
    }
}
