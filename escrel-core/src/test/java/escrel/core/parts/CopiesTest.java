package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class CopiesTest {
    private static final List<Step> REPLACED = List.of(
            PartOff.plain("wheel"),
            new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "", ""),
            PartOn.plain("wheel"),
            new OldPart("wheel", 0, OldPart.Fate.RETURNED));

    private static List<Copy> wheels(Step... further) {
        List<Step> all = new ArrayList<>(REPLACED);
        all.addAll(List.of(further));
        return Jobs.of(Calibres.small(), all.toArray(Step[]::new)).copies().of("wheel");
    }

    @Test
    void whatBecameOfTheOldOneIsSaidOfTheOldOneAlone() {
        assertThat(wheels()).extracting(Copy::fate).containsExactly(OldPart.Fate.RETURNED, null);
    }

    @Test
    void takenBackNothingIsSaidOfEither() {
        assertThat(wheels(new TakenBack(4))).extracting(Copy::fate).containsExactly(null, null);
    }

    @Test
    void saidAgainTheLaterWordCounts() {
        assertThat(wheels(new OldPart("wheel", 0, OldPart.Fate.SCRAPPED)))
                .extracting(Copy::fate)
                .containsExactly(OldPart.Fate.SCRAPPED, null);
    }
}
