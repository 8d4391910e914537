package escrel.bench;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.parts.Looked;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * Every state of a job of 5 000 steps on a movement of 60 parts, opened again and again; wanted: 10 ms at most. Each
 * opening is stripped, looked at and refitted; the last one lies open, so that every list is full.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class JobBenchmark {
    private static final int PARTS = 60;
    private static final int STEPS = 5_000;

    private CalibreSheet sheet;
    private JobHistory history;

    @Setup
    public void services() {
        sheet = BenchMovement.ofParts(PARTS, 13);
        List<Step> steps = new ArrayList<>(List.of(new WorkAgreed(WorkAgreed.Work.SERVICE, "")));
        while (true) {
            for (int i = PARTS - 1; i >= 0; i--) {
                steps.add(new PartOff(
                        "p" + i, Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", "as it came to hand"));
            }
            for (int i = 0; i < PARTS; i++) {
                steps.add(new Looked(List.of("p" + i)));
            }
            if (steps.size() + 2 * PARTS > STEPS) {
                break;
            }
            for (int i = 0; i < PARTS; i++) {
                steps.add(new PartOn("p" + i, "", "as it came to hand"));
            }
            steps.add(new OpenedAgain(OpenedAgain.Reason.POOR_AMPLITUDE, "", ""));
        }
        List<RecordedStep> recorded = new ArrayList<>();
        steps.forEach(step -> recorded.add(new RecordedStep(recorded.size() + 1, Instant.EPOCH, step)));
        history = JobHistory.of(recorded);
    }

    /** Rounds, orders both ways, findings, searches, rinses, oil, tests, accounts, stage, next act. */
    @Benchmark
    public void allStates(Blackhole hole) {
        Job job = Job.of(history, sheet, Schools.DEFAULT);
        hole.consume(job.wayDown());
        hole.consume(job.wayUp());
        hole.consume(job.cleaning());
        hole.consume(job.accounts());
        hole.consume(job.readings());
        hole.consume(job.interventions());
        hole.consume(job.nextReading());
        hole.consume(job.nextAct());
    }
}
