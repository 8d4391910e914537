package escrel.core.assembly;

import static escrel.core.calibre.Calibres.hold;
import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.assembly.AssemblyPlan.Line;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.EarlyIn;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.lubrication.OilSkipped;
import escrel.core.order.Constraint;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.LeftOut;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AssemblyPlanTest {
    /** Bridge over wheel and screw; the wheel's pivot is oiled before the cock, the train tried before it too. */
    private static CalibreSheet sheet() {
        CalibreSheet base = Calibres.of(
                List.of(
                        Part.of("cock", "Cock", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN),
                        Part.of("bridge", "Bridge", Group.TRAIN, Side.TRAIN),
                        Part.of("wheel", "Wheel", Group.TRAIN, Side.TRAIN),
                        Part.of("lever", "Setting lever", Group.KEYLESS, Side.DIAL),
                        Part.of("screw", "Setting-lever screw", Group.KEYLESS, Side.TRAIN)),
                List.of(hold("bridge", "cock"), hold("wheel", "bridge"), hold("screw", "bridge")));
        return new CalibreSheet(
                base.id(),
                base.name(),
                base.data(),
                null,
                base.parts(),
                List.of(),
                base.holds(),
                List.of(new EarlyIn("screw", "lever", "drawn onto the screw")),
                List.of(new OilPoint(
                        "o-wheel",
                        "Wheel, upper pivot",
                        "wheel",
                        Side.TRAIN,
                        LubricantClass.FINE_OIL,
                        "",
                        "bridge",
                        "cock",
                        0,
                        0,
                        "")),
                List.of(new AssemblyTest("t-train", "Train runs", Side.TRAIN, "bridge", "cock", "")),
                List.of(),
                null,
                List.of());
    }

    private final List<RecordedStep> steps = new ArrayList<>();

    private void record(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH, step));
    }

    private AssemblyPlan plan(CalibreSheet sheet) {
        return Jobs.of(sheet, JobHistory.of(steps)).wayUp();
    }

    private List<Constraint> broken(String part) {
        AssemblyPlan plan = plan(sheet());
        return plan.brokenBy(plan.find(AssemblyPlan.Kind.PART, part).orElseThrow());
    }

    private void stripAll(CalibreSheet sheet) {
        TeardownOrder.from(TeardownState.of(sheet, JobHistory.empty()), Schools.DEFAULT)
                .remaining()
                .forEach(p -> record(PartOff.plain(p.code())));
    }

    private List<String> codes(CalibreSheet sheet) {
        return plan(sheet).lines().stream().map(Line::code).toList();
    }

    @Test
    void partsOilAndTestsStandInTheirWindows() {
        stripAll(sheet());

        List<String> codes = codes(sheet());

        assertThat(codes).containsSubsequence("wheel", "bridge", "o-wheel", "cock");
        assertThat(codes).containsSubsequence("bridge", "t-train", "cock");
        assertThat(codes).containsSubsequence("screw", "lever");
    }

    @Test
    void closingOverSomethingIsNamedWithItsReason() {
        stripAll(sheet());

        assertThat(broken("bridge")).extracting(c -> c.first().code()).contains("wheel", "screw");
        assertThat(broken("cock")).extracting(Constraint::why).anyMatch(w -> w.contains("can be oiled no longer"));
    }

    @Test
    void skippedPointAndLeftOutPartAreNoLongerOpen() {
        stripAll(sheet());
        record(new LeftOut("screw", "worn thread, lever pinned"));
        record(PartOn.plain("wheel"));
        record(PartOn.plain("bridge"));
        record(new OilSkipped("o-wheel", "coated, dry by the sheet"));

        assertThat(codes(sheet())).doesNotContain("screw", "o-wheel", "wheel").contains("t-train", "cock");
    }

    @Test
    void failedTestStaysOpen() {
        stripAll(sheet());
        record(PartOn.plain("wheel"));
        record(new TestMade("t-train", TestMade.Outcome.FAILED, "binds"));
        assertThat(plan(sheet()).find(AssemblyPlan.Kind.TEST, "t-train")).isPresent();

        record(new TestMade("t-train", TestMade.Outcome.PASSED, ""));
        assertThat(plan(sheet()).find(AssemblyPlan.Kind.TEST, "t-train")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void wayUpReadBackwardsIsALegalWayDownAndTheOtherWayRound(long seed) {
        CalibreSheet sheet = Calibres.random(seed, 60);
        stripAll(sheet);

        List<String> up = codes(sheet);
        List<String> down = steps.stream().map(s -> ((PartOff) s.step()).part()).toList();

        assertThat(up).hasSize(60);
        assertThat(sheet.holds()).allSatisfy(h -> {
            // what is held goes on before what holds it
            assertThat(up.indexOf(h.part())).as("up, seed %d", seed).isLessThan(up.indexOf(h.by()));
            // and the way down, read backwards, does so too
            assertThat(down.size() - down.indexOf(h.part())).isLessThan(down.size() - down.indexOf(h.by()));
        });
    }
}
