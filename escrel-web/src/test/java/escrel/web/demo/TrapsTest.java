package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.AssemblyPlan.Kind;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.job.Job;
import escrel.core.order.Constraint;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.teardown.Caution;
import escrel.web.testing.BenchHand;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Three traps of each calibre that the way up catches; they stand in {@code docs/traps.md}. */
class TrapsTest {
    private static Job apart(CalibreSheet sheet) {
        List<RecordedStep> steps = new ArrayList<>();
        for (Part part :
                Job.of(JobHistory.empty(), sheet, Schools.DEFAULT).wayDown().remaining()) {
            steps.add(new RecordedStep(
                    steps.size() + 1, Instant.EPOCH.plusSeconds(steps.size()), PartOff.plain(part.code())));
        }
        return Job.of(JobHistory.of(steps), sheet, Schools.DEFAULT);
    }

    @ParameterizedTest
    @CsvSource({
        "cv-12, PART, setting-lever-screw, barrel-bridge",
        "cv-12, PART, ratchet-wheel, pallet-bridge",
        "cv-12, OIL, o-centre-low, cannon-pinion",
        "cv-24, OIL, o-wall, mainspring",
        "cv-24, OIL, o-clutch, yoke",
        "cv-24, PART, click, ratchet-wheel",
        "cv-28, OIL, o-wall, mainspring",
        "cv-28, PART, ratchet-wheel, pallet-bridge",
        "cv-28, OIL, o-clutch, yoke",
        "cv-33, PART, balance-cock, chrono-bridge",
        "cv-33, PART, setting-lever-screw, setting-lever",
        "cv-33, OIL, o-arbor-drum, barrel-lid",
        "l-43, PART, click, ratchet-wheel",
        "l-43, PART, three-quarter-plate, ratchet-wheel",
        "l-43, OIL, o-centre-low, cannon-pinion",
        "p-8, PART, setting-lever-screw, setting-lever",
        "p-8, PART, click, ratchet-wheel",
        "p-8, OIL, o-mainspring, barrel-arbor",
        "m-7h, PART, click, ratchet-wheel",
        "m-7h, PART, ratchet-wheel, pallet-bridge",
        "m-7h, OIL, o-mainspring, barrel-arbor",
    })
    void whatWouldBeTooLateIsProposedInTimeAndCaught(String calibre, Kind kind, String first, String then)
            throws IOException {
        AssemblyPlan plan = apart(BenchHand.demoSheet(calibre)).wayUp();
        AssemblyPlan.Line early = plan.find(kind, first).orElseThrow();
        AssemblyPlan.Line late = plan.find(Kind.PART, then).orElseThrow();
        assertThat(plan.lines().indexOf(early)).isLessThan(plan.lines().indexOf(late));
        assertThat(plan.brokenBy(late))
                .filteredOn(Constraint::wantsReason)
                .anyMatch(c -> c.first().equals(early.node()));
        assertThat(Files.readString(Path.of("../docs/traps.md"))).contains("`" + first + "` before `" + then + "`");
    }

    @ParameterizedTest
    @CsvSource({
        "cv-12, crown-wheel",
        "cv-24, crown-wheel",
        "cv-33, column-wheel",
        "cv-33, crown-wheel",
        "l-43, crown-wheel",
        "p-8, crown-wheel",
        "m-7h, crown-wheel",
    })
    void leftHandThreadAsksOnTheWayUp(String calibre, String part) {
        CalibreSheet sheet = BenchHand.demoSheet(calibre);
        assertThat(Caution.onTheWayUp(sheet, sheet.requirePart(part), Schools.DEFAULT))
                .anyMatch(c ->
                        c.kind() == Caution.Kind.ASKS && c.title().toLowerCase().contains("left"));
    }
}
