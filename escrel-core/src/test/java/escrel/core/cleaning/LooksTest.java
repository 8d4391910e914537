package escrel.core.cleaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.job.Job;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Judged;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Looked at dirty and again clean. Source: craft 2.9. */
class LooksTest {
    private static Job job(Step... steps) {
        List<Step> all = new ArrayList<>(List.of(steps));
        all.add(0, WorkAgreed.today(WorkAgreed.Work.SERVICE, ""));
        return Jobs.of(Calibres.small(), all.toArray(Step[]::new));
    }

    private static List<String> owed(Job job) {
        return job.looks().owed().stream().map(Part::code).toList();
    }

    private static FindingRaised found(String part, Grade grade, Place place) {
        return new FindingRaised(part, grade, Defect.CRACKED, Origin.WEAR, "a line", place);
    }

    @Test
    void firstLookGoesThroughEveryHomeAndLeavesOutWhatTheBenchJudged() {
        assertThat(owed(job())).contains("back", "dial", "wheel").doesNotContain("power");
        Job begun = job(PartOff.plain("back"), new Judged(List.of("dial"), Grade.WORN));

        assertThat(owed(begun)).doesNotContain("back", "dial").contains("wheel");
        assertThat(begun.looks().isSecond()).isFalse();
        assertThat(begun.looks().dirty("dial")).isEqualTo(Grade.WORN);
        assertThat(begun.looks().dirty("wheel")).isNull();
    }

    @Test
    void cleanPartsAreASecondLookAndWhatCouldNotBeToldComesFirst() {
        Job washed = job(
                PartOff.plain("back"),
                PartOff.plain("dial"),
                new Judged(List.of("dial"), Grade.NOT_JUDGED),
                new Washed(List.of("back", "dial"), Wash.BY_HAND, ""));

        assertThat(washed.looks().isSecond()).isTrue();
        assertThat(owed(washed)).containsExactly("dial", "back");
        assertThat(washed.looks().clean("back")).isNull();

        Job looked = job(
                PartOff.plain("back"),
                PartOff.plain("dial"),
                new Judged(List.of("dial"), Grade.NOT_JUDGED),
                new Washed(List.of("back", "dial"), Wash.BY_HAND, ""),
                new Judged(List.of("dial"), Grade.GOOD),
                found("back", Grade.BROKEN, null));
        assertThat(looked.cleaning().toLookAt()).isEmpty();
        assertThat(looked.looks().dirty("back")).isEqualTo(Grade.GOOD);
        assertThat(looked.looks().clean("back")).isEqualTo(Grade.BROKEN);
        assertThat(looked.looks().sawClean(7)).isTrue();
        assertThat(job(found("dial", Grade.WORN, null)).looks().sawClean(2)).isFalse();
    }

    @Test
    void worstOfOneLookStandsWhateverCameFirst() {
        Step jewel = found("bridge", Grade.MEND, new Place(Place.Kind.JEWEL, "third wheel"));
        Step good = new Judged(List.of("bridge"), Grade.GOOD);

        assertThat(job(jewel, good).looks().dirty("bridge")).isEqualTo(Grade.MEND);
        assertThat(job(good, jewel).looks().dirty("bridge")).isEqualTo(Grade.MEND);
        assertThat(job(new Judged(List.of("bridge"), Grade.NOT_JUDGED), good)
                        .looks()
                        .dirty("bridge"))
                .isEqualTo(Grade.GOOD);
    }

    @Test
    void anotherCopyIsCleanAndOwesALookOfItsOwn() {
        Job seen = job(PartOff.plain("back"), new Judged(List.of("back"), Grade.WORN));
        assertThat(seen.looks().isClean("back")).isFalse();

        Job another = job(
                PartOff.plain("back"),
                new Judged(List.of("back"), Grade.WORN),
                new CopyAtHand("back", CopyAtHand.Origin.DONOR, "", ""));
        assertThat(another.looks().isClean("back")).isTrue();
        assertThat(another.looks().clean("back")).isNull();
    }

    @Test
    void offAgainItIsLookedAtAnewAndATakenBackJudgementIsOwedAgain() {
        Job again = job(
                PartOff.plain("back"),
                new Washed(List.of("back"), Wash.WATER_BATH, ""),
                new Judged(List.of("back"), Grade.GOOD),
                PartOn.plain("back"),
                PartOff.plain("back"));
        assertThat(again.looks().clean("back")).isNull();
        assertThat(again.looks().isClean("back")).isFalse();

        assertThat(owed(job(new Judged(List.of("dial"), Grade.GOOD), new TakenBack(2))))
                .contains("dial");
    }

    @Test
    void whatIsToBeMendedIsAFindingNotAJudgement() {
        assertThatThrownBy(() -> new Judged(List.of("dial"), Grade.MEND)).hasMessageContaining("say what was found");
        assertThatThrownBy(() -> new Judged(List.of(), Grade.GOOD)).hasMessageContaining("at least one part");
    }
}
