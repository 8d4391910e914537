package escrel.web.job;

import escrel.core.MendableException;
import escrel.core.job.Acts;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.comparison.RunIn;
import escrel.web.storage.JobMapper;
import escrel.web.storage.JobRow;
import escrel.web.storage.Numbers;
import escrel.web.storage.SentActMapper;
import escrel.web.storage.StepJson;
import escrel.web.storage.StepRow;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Opens jobs, loads them, and appends steps. An appended step is in the file before the call returns. */
@Component
public class Workshop {
    private static final int LONGEST_WATCH = 200;
    // a number from a file far beyond ours would leave no room for the next ones
    private static final int HIGHEST_WANTED = 1_000_000;

    private final JobMapper jobs;
    private final KeptJobs kept;
    private final JobLines lines;
    private final SentActMapper sent;
    private final Numbers numbers;
    private final Clock clock;

    Workshop(JobMapper jobs, KeptJobs kept, JobLines lines, SentActMapper sent, Numbers numbers, Clock clock) {
        this.sent = sent;
        this.lines = lines;
        this.numbers = numbers;
        this.jobs = jobs;
        this.kept = kept;
        this.clock = clock;
    }

    /**
     * Opens a job with the watch as it arrived and what is to be done, and returns its number. The same watch under the same
     * identity is the same job: a form sent twice opens one.
     *
     * @param identity made with the form; one that another watch came under is not taken again
     * @param further what else is known on arrival
     */
    @Transactional
    public int open(String identity, Arrival arrival, WorkAgreed agreed, List<? extends Step> further) {
        Optional<Integer> known = jobs.called(identity);
        if (known.isPresent()
                && load(known.get()).recorded().all(Arrival.class).findFirst().equals(Optional.of(arrival))) {
            return known.get();
        }
        Instant now = now();
        List<RecordedStep> steps =
                new ArrayList<>(List.of(new RecordedStep(1, now, arrival), new RecordedStep(2, now, agreed)));
        further.forEach(step -> steps.add(new RecordedStep(steps.size() + 1, now, step)));
        return known.isPresent() ? keep(0, now, steps) : keep(0, identity, now, steps);
    }

    /**
     * Keeps a whole job, as imported.
     *
     * @param wantedNumber taken when free, else the next free number
     */
    @Transactional
    public int keep(int wantedNumber, Instant openedAt, List<RecordedStep> steps) {
        return keep(wantedNumber, UUID.randomUUID().toString(), openedAt, steps);
    }

    /** Keeps a whole job, as imported, under the identity it has wherever it goes. */
    @Transactional
    public int keep(int wantedNumber, String identity, Instant openedAt, List<RecordedStep> steps) {
        boolean free = wantedNumber >= 1
                && wantedNumber <= HIGHEST_WANTED
                && jobs.find(wantedNumber).isEmpty();
        int number = free ? wantedNumber : numbers.next(Numbers.JOB);
        numbers.taken(Numbers.JOB, number);
        OpenJob job = kept.made(number, at(openedAt), JobHistory.of(steps), null);
        jobs.insert(row(job, identity));
        insert(job, steps);
        lines.add(job);
        return number;
    }

    /** Loads a job with everything recorded of it. */
    @Transactional(readOnly = true)
    public OpenJob load(int number) {
        return kept.load(jobs.find(number).orElseThrow(() -> new NoSuchJobException(number)));
    }

    /** Loads a job, and nobody else records anything of it before this transaction ends. */
    @Transactional
    public OpenJob hold(int number) {
        return kept.load(jobs.hold(number).orElseThrow(() -> new NoSuchJobException(number)));
    }

    /**
     * Appends steps to a job, all or none.
     *
     * @param expectedSequence what the page was made from; when the job has moved on since (by more than photos and notes,
     *     which stand for themselves), nothing is recorded and a {@link RecordedElsewhereException} says so
     */
    @Transactional
    public void append(int number, int expectedSequence, List<? extends Step> steps) {
        JobRow before = jobs.find(number).orElseThrow(() -> new NoSuchJobException(number));
        OpenJob known = kept.load(before);
        boolean moved =
                before.lastSequence() != expectedSequence && !known.recorded().onlyAddedTo(expectedSequence);
        if (moved || known.sequence() != before.lastSequence()) {
            // on another page, or between the two looks
            throw new RecordedElsewhereException(number);
        }
        Instant at = after(known);
        List<RecordedStep> recorded = new ArrayList<>();
        for (Step step : steps) {
            recorded.add(new RecordedStep(known.sequence() + recorded.size() + 1, at, step));
        }
        moveOn(before, known, recorded);
        SentAct.take().ifPresent(identity -> sent.insert(identity, number));
    }

    /**
     * Adds what stands for itself, whatever else was recorded meanwhile: a note, a photo. Others may go on at the bench while
     * somebody takes pictures.
     */
    @Transactional
    public void add(int number, Step step) {
        JobRow now = jobs.hold(number).orElseThrow(() -> new NoSuchJobException(number));
        append(number, now.lastSequence(), List.of(step));
    }

    /** Adds steps that were recorded elsewhere, with the times they have. */
    @Transactional
    public void goOn(int number, List<RecordedStep> steps) {
        JobRow before = jobs.find(number).orElseThrow(() -> new NoSuchJobException(number));
        moveOn(before, kept.load(before), steps);
    }

    private void moveOn(JobRow before, OpenJob known, List<RecordedStep> steps) {
        OpenJob job =
                kept.made(before.number(), before.openedAt(), known.recorded().and(steps), known);
        if (jobs.moveOn(row(job, before.identity()), before.lastSequence()) == 0) {
            throw new RecordedElsewhereException(before.number());
        }
        insert(job, steps);
        lines.write(known, job);
    }

    /** Appends one step. */
    @Transactional
    public void append(int number, int expectedSequence, Step step) {
        append(number, expectedSequence, List.of(step));
    }

    /**
     * Takes the newest act of a room back; its steps stay on record.
     *
     * @return what was taken back, in words
     */
    @Transactional
    public String takeBack(int number, int expectedSequence, String room) {
        Acts acts = Acts.of(load(number).job());
        Acts.Act last = acts.toTakeBack(room).orElseThrow(() -> none("There is nothing here to take back"));
        acts.requireNothingStandsOn(last, room);
        append(number, expectedSequence, last.takenBack());
        return acts.words(last);
    }

    /**
     * Does again what was just taken back in a room.
     *
     * @return what was done again, in words
     */
    @Transactional
    public String doAgain(int number, int expectedSequence, String room) {
        Acts acts = Acts.of(load(number).job());
        Acts.Act last = acts.toDoAgain(room)
                .orElseThrow(() -> none("Nothing was taken back just now that could be done again"));
        append(number, expectedSequence, last.takenBack());
        return acts.words(last);
    }

    private static MendableException none(String what) {
        return new MendableException(what, "Nothing was changed.", "Go on with the next step.");
    }

    private void insert(OpenJob job, List<RecordedStep> steps) {
        long characters = 0;
        for (RecordedStep step : steps) {
            String body = StepJson.write(step.step());
            characters += body.length();
            jobs.insertStep(
                    new StepRow(job.number(), step.sequence(), at(step.at()), StepJson.kindOf(step.step()), body));
        }
        kept.recorded(job, characters);
    }

    private static JobRow row(OpenJob job, String identity) {
        JobHistory history = job.recorded();
        Arrival arrival = history.last(Arrival.class)
                .orElseThrow(() -> new IllegalArgumentException("a job begins with an arrival"));
        Optional<CalibreBound> bound = history.last(CalibreBound.class);
        Optional<RunIn.Due> due = job.job().nextReading();
        return new JobRow(
                job.number(),
                job.openedAt(),
                at(history.recorded().get(history.recorded().size() - 1).at()),
                history.lastSequence(),
                shorten(arrival.watch()),
                shorten(arrival.owner()),
                bound.map(CalibreBound::calibre).orElse(null),
                bound.map(CalibreBound::version).orElse(null),
                job.stage().name(),
                job.job().nextAct(),
                due.map(d -> at(d.at())).orElse(null),
                due.map(RunIn.Due::words).orElse(null),
                identity);
    }

    static String shorten(String text) {
        return text.length() <= LONGEST_WATCH ? text : text.substring(0, LONGEST_WATCH);
    }

    /** The instant of an act: now, and none that an earlier act bears. */
    private Instant after(OpenJob known) {
        List<RecordedStep> recorded = known.recorded().recorded();
        Instant last = recorded.get(recorded.size() - 1).at();
        Instant now = now();
        return now.equals(last) ? now.plus(1, ChronoUnit.MICROS) : now;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atZone(ZoneId.systemDefault()).toOffsetDateTime();
    }
}
