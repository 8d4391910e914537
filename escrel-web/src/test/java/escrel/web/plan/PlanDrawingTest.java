package escrel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.web.plan.PlanDrawing.Drawn;
import escrel.web.plan.PlanDrawing.Screw;
import escrel.web.plan.PlanDrawing.State;
import escrel.web.storage.SheetJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
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
        assertThat(seen.x()).isEqualTo(-7.6);
        assertThat(seen.y()).isEqualTo(-0.9);
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
}
