package escrel.bench;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.learning.HoldStated;
import escrel.core.learning.LearntSheet;
import escrel.core.learning.PartNamed;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
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

/** The sheet learnt from an unknown movement of 300 parts and 600 stated holds; wanted: 20 ms at most. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class LearntSheetBenchmark {
    private static final int PARTS = 300;

    private JobHistory history;

    /** Every part named, and under two of those named before it. */
    @Setup
    public void statements() {
        Random random = new Random(11);
        List<Step> said = new ArrayList<>();
        for (int i = 0; i < PARTS; i++) {
            Part part = Part.of("p" + i, "Part " + i, Group.TRAIN, Side.TRAIN);
            said.add(new PartNamed(part.code(), part.name(), part.group(), part.side(), null, List.of(), null));
        }
        for (int i = 2; i < PARTS; i++) {
            int first = random.nextInt(i);
            said.add(new HoldStated("p" + i, "p" + first, "was under"));
            said.add(new HoldStated("p" + i, "p" + (first + 1) % i, "was under"));
        }
        for (int i = 0; i < 4; i++) {
            said.add(new HoldStated("p" + (PARTS - 1), "p" + i, "was under"));
        }
        List<RecordedStep> steps = new ArrayList<>();
        said.forEach(step -> steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH, step)));
        history = JobHistory.of(steps);
    }

    /** The sheet with every hold that closes no ring. */
    @Benchmark
    public CalibreSheet learnt() {
        return LearntSheet.of(null, history);
    }
}
