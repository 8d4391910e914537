package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.condition.Place;
import escrel.core.parts.PlacesOfPart;
import escrel.web.testing.BenchHand;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where the jewels of a demo calibre sit: the upper ones in their bridge, the lower ones in the main plate. */
class PlacesOfDemoCalibresTest {
    private static final CalibreSheet SHEET = BenchHand.demoSheet("cv-12");

    private static List<String> names(List<PlacesOfPart.Known> places) {
        return places.stream().map(k -> k.place().name()).toList();
    }

    @Test
    void trainBridgeHasTheUpperJewelsOfItsTrainAndThePlateTheLowerOnes() {
        List<PlacesOfPart.Known> bridge = PlacesOfPart.of(SHEET, SHEET.requirePart("train-bridge"));
        List<PlacesOfPart.Known> plate = PlacesOfPart.ofThePlate(SHEET);

        assertThat(names(bridge)).contains("Third wheel", "Fourth wheel", "Escape wheel");
        assertThat(bridge).allMatch(k -> k.side() == Side.TRAIN && k.place().kind() == Place.Kind.JEWEL);
        assertThat(names(plate)).contains("Third wheel", "Fourth wheel", "Escape wheel");
        assertThat(plate).allMatch(k -> k.side() == Side.DIAL);
        assertThat(plate).doesNotContainAnyElementsOf(bridge);
    }
}
