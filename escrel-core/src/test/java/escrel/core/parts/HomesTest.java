package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Grade;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** M17 by home: a part that was decided on, ordered or delivered is not a part that was fitted. */
class HomesTest {
    private final List<Step> steps = new ArrayList<>(List.of(
            new PartOff("wheel", Grade.WORN, ScrewsFound.AS_ON_SHEET, PartOff.Plan.REPLACE, "", ""),
            new Decided("1", Decision.REPLACE_NEW, "", "the drawer")));

    private String settled() {
        return Homes.tally(
                        Jobs.of(Calibres.small(), steps.toArray(Step[]::new)).lives(),
                        Jobs.of(Calibres.small(), steps.toArray(Step[]::new)).copies())
                .settled();
    }

    @Test
    void wheelThatLiesHereIsNotYetTheOneThatSitsThere() {
        steps.clear();
        steps.add(PartOff.plain("yoke"));
        steps.add(PartOn.plain("yoke"));
        steps.add(new CopyAtHand("yoke", CopyAtHand.Origin.NEW, "the drawer", ""));

        assertThat(settled())
                .as("a yoke lies here, the old one sits in its place")
                .contains("0 replaced");

        steps.add(PartOff.plain("yoke"));
        steps.add(PartOn.plain("yoke"));
        assertThat(settled()).contains("1 replaced");
    }

    @Test
    void replacedOnlyOnceItIsOn() {
        assertThat(settled()).contains("0 replaced");
        steps.add(new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "the drawer", ""));
        assertThat(settled()).contains("0 replaced");
        steps.add(PartOn.plain("wheel"));
        assertThat(settled()).contains("1 replaced");
    }
}
