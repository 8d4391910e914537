package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.parts.Judged;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Which part is treated is a school; when, is after the wash and before the oil. Source: craft 2.12. */
class EpilameTest {
    private static final Part ESCAPE =
            Part.of("escape", "Escape wheel", Group.TRAIN, Side.TRAIN).withRole(Role.ESCAPE_WHEEL);
    private static final Part THIRD = Part.of("third", "Third wheel", Group.TRAIN, Side.TRAIN);
    private static final CalibreSheet SHEET = Calibres.of(List.of(ESCAPE, THIRD), List.of());
    private static final List<String> BOTH = List.of("escape", "third");

    private static Job job(Schools schools, Step... more) {
        List<Step> steps = new ArrayList<>(List.of(PartOff.plain("escape"), PartOff.plain("third")));
        steps.addAll(List.of(more));
        JobHistory history = Jobs.of(SHEET, steps.toArray(Step[]::new)).history();
        return Job.of(history, SHEET, schools);
    }

    private static final Schools ALL = Schools.DEFAULT.with(Choice.FILM_ALL);
    private static final Step WASHED = new Washed(BOTH, Wash.MACHINE, "");
    private static final Step LOOKED = new Judged(BOTH, Grade.GOOD);
    private static final Step FILMED = new EpilameApplied(List.of("escape"), EpilameApplied.How.DIPPED);

    @Test
    void onlyWhatTheSchoolSaysOnceItIsCleanAndWasLookedAt() {
        assertThat(job(ALL).epilame().due()).isEmpty();
        assertThat(job(ALL, WASHED).epilame().due()).isEmpty();
        assertThat(job(ALL, WASHED, LOOKED).epilame().due()).containsExactly(ESCAPE);
        assertThat(job(Schools.DEFAULT.with(Choice.FILM_NONE), WASHED, LOOKED)
                        .epilame()
                        .due())
                .isEmpty();
        assertThat(job(ALL, WASHED, LOOKED, FILMED).epilame().due()).isEmpty();
        assertThat(job(ALL, WASHED, LOOKED, FILMED).epilame().wantsPivotsCleaned(ESCAPE))
                .isTrue();
        assertThat(job(ALL, WASHED, LOOKED, FILMED).epilame().wantsPivotsCleaned(THIRD))
                .isFalse();
    }

    /** Washed once more, the film is gone. */
    @Test
    void aBathTakesTheFilmAway() {
        Job again = job(ALL, WASHED, LOOKED, FILMED, WASHED, LOOKED);
        assertThat(again.epilame().due()).containsExactly(ESCAPE);
        assertThat(again.epilame().wantsPivotsCleaned(ESCAPE)).isFalse();
    }
}
