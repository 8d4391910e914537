package escrel.web.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.job.Job;
import escrel.web.job.Workshop;
import escrel.web.ladder.Ladder.Mark;
import escrel.web.ladder.Ladder.Rung;
import escrel.web.testing.EscrelServer;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Many oil points at one height do not run over the ladder: a class is one mark that counts its points. */
class LadderMarksTest {

    @Test
    void pointsOfOneClassAreOneMarkThatCountsThem() {
        Job job = EscrelServer.demo().bean(Workshop.class).load(1).job();
        List<OilPoint> fine = job.sheet().oilPoints().stream()
                .filter(p -> Objects.requireNonNullElse(p.after(), p.part()).equals("three-quarter-plate"))
                .filter(p -> p.lubricant() == LubricantClass.FINE_OIL)
                .toList();
        assertThat(fine).hasSizeGreaterThan(3);

        Rung plate = Ladder.of(job, Ladder.order(job), "three-quarter-plate").rungs().stream()
                .filter(r -> r.code().equals("three-quarter-plate"))
                .findFirst()
                .orElseThrow();

        assertThat(plate.marks()).extracting(Mark::letter).doesNotHaveDuplicates();
        Mark mark = plate.marks().stream()
                .filter(m -> m.letter().equals("F"))
                .findFirst()
                .orElseThrow();
        assertThat(mark.names())
                .containsExactlyElementsOf(fine.stream().map(OilPoint::name).toList());
        // job 1 is finished: everything is settled, so the whole number stands there
        assertThat(mark.done()).isTrue();
        assertThat(mark.counted()).isEqualTo(String.valueOf(fine.size()));
        assertThat(new Mark("F", 1, List.of("a", "b", "c")).counted()).isEqualTo("1/3");
        assertThat(new Mark("F", 0, List.of("a")).counted()).isEmpty();
    }
}
