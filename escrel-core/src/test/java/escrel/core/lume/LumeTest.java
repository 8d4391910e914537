package escrel.core.lume;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.lume.Lume.Verdict;
import escrel.core.lume.LumeCounted.Unit;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Luminous paint. Test values: M19. */
class LumeTest {
    private static LumeCounted counts(LumeItem item, double gross, double minutes, double back, double backMinutes) {
        return new LumeCounted(item, Unit.COUNTS, gross, minutes, back, backMinutes, false);
    }

    private static Lume lume(Step... steps) {
        return Lume.of(Histories.of(steps), part -> part.equals("dial") || part.equals("hour-hand"));
    }

    @ParameterizedTest
    @CsvSource({"412, 5, 150, 5, 52.4, 4.7, true", "165, 5, 150, 5, 3.0, 3.5, false", "5200, 2, 310, 10, 2569, 36, true"
    })
    void netAndItsDoubtAreThoseOfTheHandbook(
            double gross, double minutes, double back, double backMinutes, double net, double doubt, boolean above) {
        LumeCounted counted = counts(LumeItem.DIAL, gross, minutes, back, backMinutes);

        assertThat(counted.net()).isCloseTo(net, within(0.05));
        assertThat(counted.doubt()).isCloseTo(doubt, within(doubt > 10 ? 0.5 : 0.06));
        assertThat(counted.isAbove()).isEqualTo(above);
    }

    @Test
    void rateAveragedOverMinutesIsWorthTheCountsBehindIt() {
        LumeCounted counted = new LumeCounted(LumeItem.DIAL, Unit.COUNTS_PER_MINUTE, 82.4, 5, 30, 5, false);

        assertThat(counted.net()).isCloseTo(52.4, within(1e-9));
        assertThat(counted.doubt())
                .isCloseTo(counts(LumeItem.DIAL, 412, 5, 150, 5).doubt(), within(1e-9));
    }

    @Test
    void whatWasNotCountedOrOnlyAsADoseRateIsNotKnown() {
        assertThat(lume(new LumeSeen(List.of(LumeItem.DIAL))).items())
                .extracting(Lume.Item::verdict)
                .containsExactly(Verdict.UNKNOWN);
        Lume dose = lume(new LumeCounted(LumeItem.DIAL, Unit.DOSE_RATE, 0.9, 1, 0.1, 1, false));
        assertThat(dose.items()).extracting(Lume.Item::verdict).containsExactly(Verdict.UNKNOWN);
        assertThat(dose.told().get(0)).contains("doubt not known", "treated as radioactive");
        assertThat(dose.wantsCare()).isTrue();
    }

    @Test
    void itemsDifferAndTheLatestCountOfEachStands() {
        Lume lume = lume(
                counts(LumeItem.DIAL, 165, 5, 150, 5),
                counts(LumeItem.HOUR_HAND, 165, 5, 150, 5),
                counts(LumeItem.DIAL, 412, 5, 150, 5));

        assertThat(lume.items()).extracting(Lume.Item::verdict).containsExactly(Verdict.ABOVE, Verdict.NOT_SHOWN);
        assertThat(lume.mark()).isEqualTo("Luminous paint, above background: dial");
        assertThat(lume.told())
                .containsExactly(
                        "dial: 52.4 ± 4.7 counts per minute, above background",
                        "hour hand: 3.0 ± 3.5 counts per minute, not shown to be above background, which is not the same as safe");
    }

    @Test
    void pointsOfCareAreAskedOneByOneAndOnlyWhereTheyBelong() {
        Step above = counts(LumeItem.DIAL, 412, 5, 150, 5);
        assertThat(lume(above).left()).containsExactly(LumePoint.Point.values());
        Lume begun = lume(
                above,
                new LumePoint(LumePoint.Point.MASK, true),
                new LumePoint(LumePoint.Point.GLOVES, true),
                new LumePoint(LumePoint.Point.GLOVES, false));
        assertThat(begun.left()).doesNotContain(LumePoint.Point.MASK).contains(LumePoint.Point.GLOVES);

        assertThat(lume(counts(LumeItem.DIAL, 165, 5, 150, 5)).left()).isEmpty();
        assertThat(lume(above, new TakenBack(1)).wantsCare()).isFalse();
    }

    @Test
    void pointsAreDueAgainWhenDialAndHandsGoOnAndWhenTheyComeOffOnceMore() {
        Step above = counts(LumeItem.DIAL, 412, 5, 150, 5);
        Step mask = new LumePoint(LumePoint.Point.MASK, true);
        Step[] off = {above, mask, PartOff.plain("hour-hand"), PartOff.plain("dial"), PartOff.plain("barrel")};
        assertThat(lume(off).done()).as("seen to before, for taking off").containsExactly(LumePoint.Point.MASK);

        Step[] on = {above, mask, PartOff.plain("dial"), PartOn.plain("barrel"), PartOn.plain("dial")};
        assertThat(lume(on).done()).isEmpty();
        assertThat(lume(above, mask, PartOff.plain("dial"), PartOn.plain("dial"), mask, PartOn.plain("hour-hand"))
                        .done())
                .as("the hand belongs to the same handling")
                .containsExactly(LumePoint.Point.MASK);
        assertThat(lume(above, mask, PartOff.plain("dial"), PartOn.plain("dial"), mask, PartOff.plain("dial"))
                        .left())
                .contains(LumePoint.Point.MASK);
    }

    @Test
    void nothingSaidIsNotTheSameAsNoneSeen() {
        assertThat(lume().isSaid()).isFalse();
        Lume none = lume(new LumeSeen(List.of(LumeItem.DIAL)), new LumeSeen(List.of()));
        assertThat(none.isSaid()).isTrue();
        assertThat(none.wantsCare()).isFalse();
        assertThat(none.mark()).isEmpty();
    }

    @Test
    void negativeAndEndlessCountsAreRefused() {
        assertThatThrownBy(() -> counts(LumeItem.DIAL, -1, 5, 150, 5)).hasMessageContaining("the counts");
        assertThatThrownBy(() -> counts(LumeItem.DIAL, 1, 0, 150, 5)).hasMessageContaining("the minutes");
        assertThatThrownBy(() -> counts(LumeItem.DIAL, Double.NaN, 5, 150, 5)).hasMessageContaining("the counts");
        assertThatThrownBy(() -> counts(LumeItem.DIAL, 1, 5, 150, 99_999)).hasMessageContaining("of the background");
    }
}
