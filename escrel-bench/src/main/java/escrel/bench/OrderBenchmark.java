package escrel.bench;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The full order of a movement of 300 parts both ways, rules and schools included; wanted: 20 ms at most. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class OrderBenchmark {
    private static final int PARTS = 300;

    /** The school that adds the fewest and the one that adds the most pairs. */
    @Param({"FEWEST_TURNS", "DIAL_SIDE_FIRST"})
    public Choice firstSide;

    private CalibreSheet sheet;
    private JobHistory whole;
    private JobHistory bare;
    private Schools schools;

    @Setup
    public void movement() {
        sheet = BenchMovement.ofParts(PARTS, 7);
        schools = Schools.DEFAULT.with(firstSide);
        whole = JobHistory.empty();
        bare = strippedBare();
    }

    private JobHistory strippedBare() {
        List<RecordedStep> steps = new ArrayList<>();
        for (Part part :
                TeardownOrder.from(TeardownState.of(sheet, whole), schools).remaining()) {
            steps.add(new RecordedStep(
                    steps.size() + 1,
                    Instant.EPOCH,
                    new PartOff(part.code(), Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", "")));
        }
        return JobHistory.of(steps);
    }

    /** From the whole movement down to the bare plate: rules produced and put in order. */
    @Benchmark
    public TeardownOrder wayDown() {
        return Job.of(whole, sheet, schools).wayDown();
    }

    /** From the bare plate up, with what 300 steps say folded first. */
    @Benchmark
    public AssemblyPlan wayUp() {
        return Job.of(bare, sheet, schools).wayUp();
    }
}
