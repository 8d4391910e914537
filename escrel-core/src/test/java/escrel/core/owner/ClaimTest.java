package escrel.core.owner;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.FindingRaised;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import org.junit.jupiter.api.Test;

/** Craft 2.1, 2.9: a claim is held against what is found. */
class ClaimTest {
    private static final Step SAID = new ClaimSaid("serviced last spring on the mainland");

    private static Claim claim(Step... steps) {
        return Jobs.of(Calibres.small(), steps).claim().orElseThrow();
    }

    @Test
    void nothingSeenSpeaksNeitherWay() {
        assertThat(claim(SAID).told())
                .isEqualTo("Said to have been done before: serviced last spring on the mainland."
                        + " Nothing that was seen speaks for it or against it.");
    }

    @Test
    void gummedPartsAndUntouchedScrewsSpeakAgainstAMarkSpeaksFor() {
        Claim claim = claim(
                SAID,
                new MarkSeen(MarkSeen.On.CASE, "back", MarkSeen.Kind.REPAIRER, "H. 3/98"),
                new PartOff("wheel", Grade.GOOD, ScrewsFound.AS_FACTORY_LEFT, PartOff.Plan.KEEP, "", ""),
                new FindingRaised("wheel", Grade.WORN, Defect.GUMMED, Origin.WEAR, ""));

        assertThat(claim.signsFor()).containsExactly("a repairer's mark: H. 3/98");
        assertThat(claim.signsAgainst())
                .containsExactly("screws as the factory left them: Third wheel", "dry, gummed or dirty: Third wheel");
    }

    @Test
    void claimTakenBackInWordsIsNone() {
        assertThat(Jobs.of(Calibres.small(), SAID, new ClaimSaid(" ")).claim()).isEmpty();
    }
}
