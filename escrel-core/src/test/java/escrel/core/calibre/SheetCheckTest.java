package escrel.core.calibre;

import static escrel.core.calibre.Calibres.hold;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SheetCheckTest {
    private final CalibreSheet sound = Calibres.small();

    @Test
    void soundSheetHasNoFaults() {
        assertThat(SheetCheck.faultsOf(sound)).isEmpty();
    }

    @Test
    void ringIsNamedInOrderRoundIt() {
        CalibreSheet ring = Calibres.withHolds(sound, hold("ratchet", "wheel"));

        assertThat(SheetCheck.faultsOf(ring))
                .singleElement()
                .asString()
                .contains("ring")
                .containsAnyOf(
                        "ratchet → bridge → wheel → ratchet",
                        "bridge → wheel → ratchet → bridge",
                        "wheel → ratchet → bridge → wheel");
    }

    @Test
    void partThatHoldsItselfIsARing() {
        assertThat(SheetCheck.faultsOf(Calibres.withHolds(sound, hold("dial", "dial"))))
                .singleElement()
                .asString()
                .contains("dial → dial");
    }

    /** A way that only prepares cleans nothing, and the solvent follows from the coating. */
    @ParameterizedTest
    @EnumSource(
            value = Wash.class,
            names = {"PEGGED", "PUTTY", "ULTRASONIC", "SOLVENT"})
    void wayThatNoSheetSaysIsAFault(Wash way) {
        Part part = Part.of("w", "Wheel", Group.TRAIN, Side.TRAIN).withWash(way, "");
        assertThat(SheetCheck.faultsOf(Calibres.of(List.of(part), List.of())))
                .singleElement()
                .asString()
                .contains("'w' is washed in a way that no sheet says");
    }

    @Test
    void everyFaultIsNamedNotOnlyTheFirst() {
        CalibreSheet broken = Calibres.of(
                List.of(Part.of("a", "A", Group.TRAIN, Side.TRAIN), Part.of("a", "A again", Group.TRAIN, Side.TRAIN)),
                List.of(hold("a", "nowhere")));

        assertThat(SheetCheck.faultsOf(broken))
                .anyMatch(f -> f.contains("'a' stands twice"))
                .anyMatch(f -> f.contains("'nowhere'"));
    }

    @Test
    void partOutsideThePlateIsNamedWithItsReach() {
        Shape wheel = new Shape(Shape.Kind.WHEEL, 10, 0, 4, 60, List.of());
        Part outside = new Part(
                "w", "Wheel", Group.TRAIN, Side.TRAIN, null, null, List.of(), "", "", Wash.MACHINE, "", 0, "", wheel);

        assertThat(SheetCheck.faultsOf(Calibres.of(List.of(outside), List.of())))
                .singleElement()
                .asString()
                .contains("'w' reaches 14.00 mm");
    }

    @Test
    void trainMustGiveTheStatedBeat() {
        CalibreSheet base = Calibres.small();
        Train wrong = new Train(List.of(
                new Train.Mobile("ratchet", 72, 0),
                new Train.Mobile("wheel", 80, 12),
                new Train.Mobile("bridge", 15, 8)));
        CalibreSheet sheet = new CalibreSheet(
                "test",
                "Test",
                base.data(),
                null,
                base.parts(),
                List.of(),
                base.holds(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                wrong,
                List.of());

        // 2 · 15 · 80/8 = 300 beats an hour
        assertThat(SheetCheck.faultsOf(sheet)).singleElement().asString().contains("300.0", "18000.0");
    }

    @Test
    void windowsThatContradictTheHoldsAreARingOnTheWayUp() {
        CalibreSheet base = Calibres.small();
        CalibreSheet sheet = new CalibreSheet(
                "test",
                "Test",
                base.data(),
                null,
                base.parts(),
                List.of(),
                base.holds(),
                List.of(new EarlyIn("bridge", "wheel", "wrong way round")),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());

        assertThat(SheetCheck.faultsOf(sheet)).singleElement().asString().contains("On the way up", "bridge", "wheel");
    }
}
