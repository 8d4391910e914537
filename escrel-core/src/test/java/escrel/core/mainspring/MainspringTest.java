package escrel.core.mainspring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.mainspring.SpringChoice.Rank;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Springs in their drums. Test values: M12. */
class MainspringTest {
    private static final Drum DRUM = new Drum(5.0, 1.4);
    private static final Mainspring ORIGINAL = spring(1.5, 0.10, 360);

    private static Mainspring spring(double width, double thickness, double length) {
        return new Mainspring(width, thickness, length, "");
    }

    @ParameterizedTest
    @CsvSource({
        "5.0, 1.4, 0.10, 360, 0.4974, 9.430",
        "4.5, 1.25, 0.125, 300, 0.6387, 6.459",
        "2.6, 0.8, 0.06, 180, 0.5617, 7.367"
    })
    void fillAndTurnsAreThoseOfTheHandbook(
            double radius, double arbor, double thickness, double length, double fill, double turns) {
        Drum drum = new Drum(radius, arbor);

        assertThat(spring(1.5, thickness, length).fill(drum)).isCloseTo(fill, within(5e-5));
        assertThat(spring(1.5, thickness, length).turns(drum)).isCloseTo(turns, within(5e-4));
    }

    @Test
    void lengthForOneHalfIsThatOfTheHandbookAndTurnsMost() {
        double best = DRUM.bestLength(0.10);
        assertThat(best).isCloseTo(361.91, within(0.005));

        double most = spring(1.5, 0.10, best).turns(DRUM);
        Random random = new Random(12);
        for (int i = 0; i < 200; i++) {
            double length = 100 + 500 * random.nextDouble();
            assertThat(spring(1.5, 0.10, length).turns(DRUM)).isLessThanOrEqualTo(most + 1e-9);
        }
    }

    /** The strip keeps its area: wound or let down it takes as much room. */
    @Test
    void woundAndLetDownTakeTheSameRoom() {
        double wound = Math.PI * (Math.pow(ORIGINAL.woundRadius(DRUM), 2) - 1.4 * 1.4);
        double letDown = Math.PI * (25 - Math.pow(ORIGINAL.letDownRadius(DRUM), 2));

        assertThat(wound).isCloseTo(36, within(1e-9)).isCloseTo(letDown, within(1e-9));
    }

    @Test
    void fivePerCentThickerIsSixteenPerCentMoreTorque() {
        assertThat(spring(1.5, 0.105, 360).torqueAgainst(ORIGINAL)).isCloseTo(1.16, within(0.005));
        assertThat(spring(1.5, 0.10, 720).torqueAgainst(ORIGINAL)).isCloseTo(0.5, within(1e-12));
    }

    @Test
    void candidatesAreRankedByWidthThicknessAndFill() {
        Mainspring same = spring(1.45, 0.10, 362);
        Mainspring shorter = spring(1.5, 0.102, 300);
        Mainspring thicker = spring(1.5, 0.11, 330);
        Mainspring wide = spring(1.55, 0.10, 360);
        Mainspring narrow = spring(1.35, 0.10, 360);
        Mainspring endless = spring(1.5, 0.10, 800);

        List<SpringChoice> ranked =
                SpringChoice.among(DRUM, ORIGINAL, 6, List.of(endless, wide, thicker, narrow, shorter, same));

        assertThat(ranked)
                .extracting(SpringChoice::spring)
                .startsWith(same, shorter, thicker)
                .endsWith(endless);
        assertThat(ranked)
                .extracting(SpringChoice::rank)
                .containsExactly(
                        Rank.CLOSE,
                        Rank.CLOSE,
                        Rank.OTHER_THICKNESS,
                        Rank.WIDER_OR_NARROWER,
                        Rank.WIDER_OR_NARROWER,
                        Rank.DOES_NOT_FIT);
        assertThat(ranked.get(0).reserveHours()).isCloseTo(ranked.get(0).turns() * 6, within(1e-9));
        assertThat(same.size()).isEqualTo("1.45 × 0.1 × 362");
        assertThat(ranked.get(1).words()).contains("close to the original");
        assertThat(ranked.get(2).words()).contains("may knock");
        assertThat(ranked.get(5).words()).isEqualTo("does not go into the drum");
    }

    @Test
    void whatIsNoSpringOrDrumIsRefused() {
        assertThatThrownBy(() -> new Drum(1, 2)).hasMessageContaining("larger than its arbor");
        assertThatThrownBy(() -> new Drum(Double.NaN, 1)).hasMessageContaining("larger than its arbor");
        assertThatThrownBy(() -> spring(1.5, 0, 360)).hasMessageContaining("thickness");
        assertThatThrownBy(() -> spring(1.5, 0.1, 800).turns(DRUM)).hasMessageContaining("longer than the drum");
        assertThatThrownBy(() -> SpringChoice.among(DRUM, ORIGINAL, 0, List.of()))
                .hasMessageContaining("hours");
    }

    @ParameterizedTest
    @ValueSource(strings = {"1.20 × 0.10 × 360 mm", "0,10 x 1,2 x 360", "360*1.2*0.1"})
    void aSizeIsReadInAnyOrder(String size) {
        assertThat(Mainspring.ofSize(size)).contains(new Mainspring(1.2, 0.1, 360, ""));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "30.2 mm, domed", "1.20 × 0.10", "12.0 × 0.8 × 1.2 mm", "1 × 2 × 3 × 4", "0 × 1 × 300"})
    void whatIsNoSpringIsNone(String size) {
        assertThat(Mainspring.ofSize(size)).isEmpty();
    }
}
