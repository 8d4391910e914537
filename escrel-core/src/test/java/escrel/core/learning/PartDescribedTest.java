package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is seen of a part as it comes off is known from then on, and offered to the sheet line by line. */
class PartDescribedTest {
    private static final Part JUMPER = Part.of("jumper", "Jumper", Group.CALENDAR, Side.DIAL);
    private static final Part WHEEL = Part.of("wheel", "Wheel", Group.CALENDAR, Side.DIAL);
    private static final CalibreSheet SHEET = Calibres.of(List.of(JUMPER, WHEEL), List.of());

    private static CalibreSheet learnt(CalibreSheet base, Step... steps) {
        return LearntSheet.of(base, Histories.of(steps));
    }

    private static PartDescribed said(Trait trait, String words) {
        return new PartDescribed("jumper", trait, words);
    }

    private static SheetDifference difference(CalibreSheet base, Step... steps) {
        var history = Histories.of(steps);
        CalibreSheet learnt = LearntSheet.of(base, history);
        return SheetDifference.between(base, learnt, SeenOrders.of(List.of(List.of())));
    }

    @Test
    void everyTraitIsKnownOfThePartFromThenOn() {
        Part part = learnt(
                        SHEET,
                        said(Trait.LIES, "marks up"),
                        said(Trait.LIFTS_FROM, "slot at 3"),
                        said(Trait.CLIP, "chamfer down, gap at 12"),
                        said(Trait.STATE_BEFORE, "crown at setting"),
                        said(Trait.FLIES, Trait.YES),
                        said(Trait.STAYS_WITH, "wheel"),
                        said(Trait.NOTE, "blade 0.8"))
                .requirePart("jumper");

        assertThat(part)
                .returns("marks up", Part::orientation)
                .returns("slot at 3", Part::liftFrom)
                .returns("chamfer down, gap at 12", Part::clip)
                .returns("crown at setting", Part::stateBefore)
                .returns(List.of(Hazard.FLIES), Part::hazards)
                .returns("wheel", Part::staysWith)
                .returns("blade 0.8", Part::note);
    }

    @Test
    void laterWordsCountAndEmptyOnesTakeItBack() {
        assertThat(learnt(SHEET, said(Trait.LIES, "marks up"), said(Trait.LIES, "marks down"))
                        .requirePart("jumper")
                        .orientation())
                .isEqualTo("marks down");
        assertThat(learnt(SHEET, said(Trait.FLIES, Trait.YES), said(Trait.FLIES, ""))
                        .requirePart("jumper")
                        .hazards())
                .isEmpty();
    }

    @Test
    void whatTheSheetDoesNotKnowIsProposedAndWhatItSaysOtherwiseIsNot() {
        CalibreSheet knows =
                SHEET.with(List.of(JUMPER.with(Trait.LIES, "marks down"), WHEEL), SHEET.screws(), SHEET.holds());
        SheetDifference difference =
                difference(knows, said(Trait.LIES, "marks up"), said(Trait.FLIES, Trait.YES), PartOff.plain("jumper"));

        assertThat(difference.lines())
                .extracting(SheetDifference.Line::words, SheetDifference.Line::accepted)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(
                                "Jumper lies: marks up; the sheet says “marks down”", false),
                        org.assertj.core.groups.Tuple.tuple("Jumper: flies", true));
        CalibreSheet merged = difference.apply(List.of("NEW_TRAIT:jumper/FLIES"));
        assertThat(merged.requirePart("jumper"))
                .returns("marks down", Part::orientation)
                .returns(List.of(Hazard.FLIES), Part::hazards);
    }

    @Test
    void mateIsReadUnderOtherCodesToo() {
        assertThat(said(Trait.STAYS_WITH, "wheel").withParts(c -> "x-" + c))
                .isEqualTo(new PartDescribed("x-jumper", Trait.STAYS_WITH, "x-wheel"));
        assertThatThrownBy(() -> said(Trait.LIES, "x".repeat(401))).hasMessageContaining("400");
    }
}
