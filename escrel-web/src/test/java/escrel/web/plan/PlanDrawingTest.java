package escrel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.web.plan.PlanDrawing.Drawn;
import escrel.web.plan.PlanDrawing.Screw;
import escrel.web.plan.PlanDrawing.State;
import escrel.web.storage.SheetJson;
import escrel.web.testing.BenchHand;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.core.io.ClassPathResource;

class PlanDrawingTest {
    private final CalibreSheet cv12 = sheet();

    private static CalibreSheet sheet() {
        try {
            return SheetJson.read(
                    new ClassPathResource("demo/calibres/cv-12.json").getContentAsString(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private PlanDrawing draw(Side side, Predicate<String> gone) {
        return PlanDrawing.of(
                cv12, side, new State(gone, Set.of("train-bridge"), "barrel-bridge", Set.of("crown-wheel")));
    }

    private static Drawn shape(PlanDrawing plan, String code) {
        return plan.shapes().stream()
                .filter(s -> s.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void wheelsHaveTheirTrueNumberOfTeeth() {
        String path = shape(draw(Side.TRAIN, c -> false), "centre-wheel").path();

        // four corners a tooth, then the openings between the spokes
        String rim = path.substring(0, path.indexOf('Z'));
        assertThat(rim.chars().filter(c -> c == 'L').count()).isEqualTo(80 * 4 - 1);
    }

    @Test
    void trainSideIsTheMirrorOfTheDialSide() {
        Screw seen = draw(Side.TRAIN, c -> false).screws().stream()
                .filter(Screw::left)
                .findFirst()
                .orElseThrow();

        // the crown wheel stands at x +7.6 seen from the dial, y +0.9 upwards
        double drawn = 2 * PlanDrawing.DRAWN_RADIUS / cv12.data().diameterMillimetres();
        assertThat(seen.x()).isCloseTo(-7.6 * drawn, within(1e-9));
        assertThat(seen.y()).isCloseTo(-0.9 * drawn, within(1e-9));
    }

    @Test
    void onlyTheCrownWheelScrewIsLeftHanded() {
        assertThat(draw(Side.TRAIN, c -> false).screws())
                .filteredOn(Screw::left)
                .hasSize(1);
        assertThat(draw(Side.TRAIN, c -> true).screws()).noneMatch(Screw::left);
    }

    @Test
    void statesAreTold() {
        PlanDrawing plan = draw(Side.TRAIN, c -> c.equals("balance-cock"));

        assertThat(shape(plan, "train-bridge").style()).contains("s-free");
        assertThat(shape(plan, "barrel-bridge").style()).contains("s-selected");
        assertThat(shape(plan, "balance-cock").style()).contains("s-gone");
        // the balance is gone with its cock
        assertThat(shape(plan, "balance").style()).contains("s-gone");
        assertThat(plan.flags()).hasSize(1);
    }

    @Test
    void dialHidesWhatLiesUnderIt() {
        assertThat(draw(Side.DIAL, c -> false).jewels()).isEmpty();
        assertThat(draw(Side.DIAL, c -> c.equals("dial")).jewels()).isNotEmpty();
    }

    @Test
    void whatComesOffLastLiesDeepest() {
        // the lowest lies first: the barrel under its bridge
        var codes =
                draw(Side.TRAIN, c -> false).shapes().stream().map(Drawn::code).toList();

        assertThat(codes).containsSubsequence("barrel", "barrel-bridge", "ratchet-wheel");
        assertThat(codes).containsSubsequence("third-wheel", "train-bridge");
    }

    @Test
    void smallMovementIsDrawnAsLargeAsAnother() {
        CalibreSheet small = BenchHand.demoSheet("p-8");
        PlanDrawing plan = PlanDrawing.of(small, Side.TRAIN, new State(c -> false, Set.of(), null, Set.of()));

        assertThat(plan.radius()).isEqualTo(PlanDrawing.DRAWN_RADIUS);
        assertThat(plan.jewels()).anyMatch(j -> Math.hypot(j.x(), j.y()) > 4);
    }

    @Test
    void ringsColumnsAdjustersAndPinsAreToldApart() {
        PlanDrawing chronograph = PlanDrawing.of(
                BenchHand.demoSheet("cv-33"), Side.TRAIN, new State(c -> false, Set.of(), null, Set.of()));
        PlanDrawing calendar = PlanDrawing.of(
                BenchHand.demoSheet("cv-24"),
                Side.DIAL,
                new State(c -> c.endsWith("hand") || c.equals("dial"), Set.of(), null, Set.of()));

        assertThat(shape(chronograph, "column-wheel").style()).contains("p-column-wheel");
        // six columns, each a closed sector
        assertThat(shape(chronograph, "column-wheel")
                        .detail()
                        .chars()
                        .filter(c -> c == 'Z')
                        .count())
                .isEqualTo(6);
        assertThat(shape(chronograph, "hammer-eccentric").style()).contains("p-eccentric");
        assertThat(chronograph.screws()).filteredOn(Screw::left).hasSize(2);
        // thirty-one teeth inside a date ring, two lines and an arc each
        assertThat(shape(calendar, "date-ring")
                        .path()
                        .chars()
                        .filter(c -> c == 'A')
                        .count())
                .isEqualTo(31);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "-0.001, 0", "3, 3", "-3.5, -3.5", "0.05, 0.05", "-0.05, -0.05", "12.345, 12.35", "100.999, 101"
    })
    void numbersAreShortAndRoundedToHundredths(double value, String text) {
        assertThat(Paths.n(value)).isEqualTo(text);
    }

    @Test
    void namesInTheMarkupCannotBeMarkup() {
        Part sly = Part.of("a\"b", "<script>wheel</script>", Group.TRAIN, Side.TRAIN)
                .withShape(new Shape(Shape.Kind.DISC, 1, 1, 2, 0, List.of()));
        CalibreSheet sheet = cv12.with(List.of(sly), List.of(), List.of());
        String markup = PlanDrawing.of(sheet, Side.TRAIN, new State(c -> false, Set.of(), null, Set.of()))
                .markup();

        assertThat(markup)
                .contains("&lt;script&gt;wheel", "data-part=\"a&quot;b\"")
                .doesNotContain("<script>");
    }
}
