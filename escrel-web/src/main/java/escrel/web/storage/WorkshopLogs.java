package escrel.web.storage;

import escrel.core.MendableException;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.service.TakenBack;
import escrel.core.workshop.WorkshopLog;
import escrel.core.workshop.WorkshopSteps;
import escrel.web.storage.WorkshopActMapper.ActRow;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Loads the log of the workshop and adds to it. Two pages never take one number. */
@Component
public class WorkshopLogs {
    private final WorkshopActMapper acts;
    private final Numbers numbers;
    private final Clock clock;
    private final AtomicInteger erasures = new AtomicInteger();
    private volatile @Nullable Kept kept;

    WorkshopLogs(WorkshopActMapper acts, Numbers numbers, Clock clock) {
        this.acts = acts;
        this.numbers = numbers;
        this.clock = clock;
    }

    /** The log up to an act, as it was read last. */
    private record Kept(String newest, int erasures, WorkshopLog log) {}

    /** Everything so far; read again only when something was added. */
    public WorkshopLog load() {
        int now = erasures.get();
        String newest = String.valueOf(acts.newest());
        Kept known = kept;
        if (known != null && known.newest().equals(newest) && known.erasures() == now) {
            return known.log();
        }
        WorkshopLog log = read();
        kept = new Kept(newest, now, log);
        return log;
    }

    /** Writes over what acts say of a person, where the law asks for it. */
    @Transactional
    public void writeOver(UnaryOperator<Step> without) {
        for (RecordedStep entry : load().acts().recorded()) {
            Step now = without.apply(entry.step());
            if (!now.equals(entry.step())) {
                acts.writeOver(entry.sequence(), Json.MAPPER.writeValueAsString(now));
            }
        }
        // whoever read it meanwhile kept what was there before: that counts no more
        erasures.incrementAndGet();
        AfterTransaction.run(erasures::incrementAndGet);
    }

    private WorkshopLog read() {
        return WorkshopLog.of(acts.all().stream()
                .map(r -> new RecordedStep(r.sequence(), r.recordedAt().toInstant(), read(r.kind(), r.body())))
                .toList());
    }

    /** Adds an act. */
    @Transactional
    public void append(Step act) {
        acts.insert(new ActRow(
                numbers.next(Numbers.ACT),
                OffsetDateTime.now(clock).truncatedTo(ChronoUnit.MICROS),
                WorkshopSteps.kindOf(act).name(),
                Json.MAPPER.writeValueAsString(act)));
    }

    /**
     * Takes an act back, whichever it is; it stays on record.
     *
     * @return what was taken back, in words
     */
    @Transactional
    public String takeBack(int sequence) {
        WorkshopLog log = load();
        RecordedStep act = log.acts()
                .revocable(sequence)
                .orElseThrow(() -> new MendableException(
                        "Entry " + sequence + " of the workshop's log does not count any more",
                        "Nothing was changed.",
                        "Look at the list as it is now."));
        append(new TakenBack(sequence));
        return log.words(act);
    }

    private static Step read(String kind, String body) {
        Class<? extends Step> type = WorkshopSteps.named(kind)
                .<Class<? extends Step>>map(StepKind::type)
                .orElseThrow(() -> new IllegalArgumentException("'" + kind + "' is no act we know"));
        return Json.MAPPER.readValue(body, type);
    }
}
