package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.Felt;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Gauged;
import escrel.core.parts.Suspected;
import escrel.core.service.Corrected;
import escrel.core.service.Noted;
import escrel.core.service.PowerNoted;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.timing.readings.StoppedAfter;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StepFieldsTest {
    private static Step with(Step step, String... said) {
        Map<String, String> map =
                said.length == 2 ? Map.of(said[0], said[1]) : Map.of(said[0], said[1], said[2], said[3]);
        return StepFields.with(step, map);
    }

    @Test
    void partsChoicesNumbersAndWordsAreSaidOtherwise() {
        assertThat(with(new Felt("barrel", Felt.Play.END_SHAKE, Felt.Feel.NONE), "feel", "RIGHT"))
                .isEqualTo(new Felt("barrel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT));
        assertThat(with(new Gauged("barrel", Gauged.What.END_SHAKE, 0.3), "millimetres", "0,03", "part", "third-wheel"))
                .isEqualTo(new Gauged("third-wheel", Gauged.What.END_SHAKE, 0.03));
        assertThat(with(new Oiled("o-third", LubricantClass.FINE_OIL, ""), "lubricant", "MEDIUM_OIL"))
                .isEqualTo(new Oiled("o-third", LubricantClass.MEDIUM_OIL, ""));
        assertThat(with(new TestMade("train-free", TestMade.Outcome.PASSED, ""), "words", " by hand "))
                .isEqualTo(new TestMade("train-free", TestMade.Outcome.PASSED, "by hand"));
        assertThat(with(new StoppedAfter(38), "hours", "41.5")).isEqualTo(new StoppedAfter(41.5));
    }

    @Test
    void partOfWhatWasWashedTogetherIsTakenOutAndNoOtherComesIn() {
        Washed washed = new Washed(List.of("barrel", "dial", "click"), Wash.MACHINE, "");

        assertThat(with(washed, "parts", "barrel click stranger"))
                .isEqualTo(new Washed(List.of("barrel", "click"), Wash.MACHINE, ""));
        assertThatThrownBy(() -> with(washed, "parts", "stranger")).hasMessageContaining("At least one part stays");
    }

    @Test
    void placeWithinAPartComesAndGoes() {
        FindingRaised whole = new FindingRaised("barrel", Grade.MEND, Defect.CRACKED, Origin.WEAR, "a line");
        Place place = new Place(Place.Kind.WALL, "near the lid");
        FindingRaised placed = new FindingRaised("barrel", Grade.MEND, Defect.CRACKED, Origin.WEAR, "a line", place);

        assertThat(with(whole, "place.kind", "WALL", "place.name", "near the lid"))
                .isEqualTo(placed);
        assertThat(with(placed, "place.kind", "")).isEqualTo(whole);
    }

    @Test
    void whatCannotBeSoIsRefusedInWords() {
        assertThatThrownBy(() -> with(new Gauged("barrel", Gauged.What.OTHER, 1), "millimetres", "-2"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("above 0");
        assertThatThrownBy(() -> with(new Gauged("barrel", Gauged.What.OTHER, 1), "millimetres", "NaN"))
                .hasMessageContaining("is no number");
        assertThatThrownBy(() -> with(new Felt("barrel", Felt.Play.END_SHAKE, Felt.Feel.NONE), "feel", "WOBBLY"))
                .hasMessageContaining("none of the choices");
        assertThatThrownBy(() -> with(new Noted(null, "rust"), "words", " ")).hasMessageContaining("says nothing");
        assertThatThrownBy(() -> with(new Suspected(null, "rust"), "words", "x".repeat(1001)))
                .hasMessageContaining("1000");
    }

    @Test
    void tiesToOtherStepsAreNoFields() {
        assertThat(StepFields.of(new Corrected(1, new Noted(null, "x")))).isEmpty();
        assertThat(StepFields.of(new TakenBack(1))).isEmpty();
        assertThat(StepFields.of(new PowerNoted(PowerNoted.What.LET_GO_NOW, "barrel", "")))
                .extracting(StepField::path)
                .contains("what", "words");
    }
}
