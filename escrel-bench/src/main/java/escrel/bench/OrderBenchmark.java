package escrel.bench;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.WatchClass;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The full order of a movement of 300 parts, rules and schools included; wanted: 20 ms at most. */
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

    private TeardownState whole;
    private Schools schools;

    @Setup
    public void movement() {
        Random random = new Random(7);
        List<Part> parts = new ArrayList<>();
        List<Hold> holds = new ArrayList<>();
        for (int i = 0; i < PARTS; i++) {
            Side side = random.nextInt(10) == 0 ? Side.IN_HAND : random.nextBoolean() ? Side.DIAL : Side.TRAIN;
            Group group = Group.values()[random.nextInt(Group.values().length)];
            Part part = Part.of("p" + i, "Part " + i, group, side);
            parts.add(i < Role.values().length ? part.withRole(Role.values()[i]) : part);
            for (int h = 0; h < 2 && i > 0; h++) {
                holds.add(new Hold("p" + i, "p" + random.nextInt(i), "under it", Hold.Basis.STATED));
            }
        }
        CalibreData data = new CalibreData(
                30,
                18_000,
                50.0,
                17,
                CalibreData.Setting.NONE,
                CalibreData.Stud.FIXED,
                WatchClass.VINTAGE_NO_SHOCK_SETTING,
                "");
        CalibreSheet sheet = new CalibreSheet(
                "bench", "Bench", data, null, parts, List.of(), holds, List.of(), List.of(), List.of(), List.of(), null,
                List.of());
        whole = TeardownState.of(sheet, JobHistory.empty());
        schools = Schools.DEFAULT.with(firstSide);
    }

    @Benchmark
    public TeardownOrder fullOrder() {
        return TeardownOrder.from(whole, schools);
    }
}
