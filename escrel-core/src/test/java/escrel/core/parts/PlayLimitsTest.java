package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.parts.PlayLimits.Limit;
import escrel.core.parts.PlayLimits.Size;
import escrel.core.parts.PlayLimits.Whose;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlayLimitsTest {
    private static final Part WHEEL = Part.of("third", "Third wheel", Group.TRAIN, Side.TRAIN);
    private static final Part BARREL =
            Part.of("barrel", "Barrel", Group.BARREL, Side.TRAIN).withRole(Role.BARREL);
    private static final Part BALANCE = Part.of("balance", "Balance", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN);
    private static final Part YOKE = Part.of("yoke", "Yoke", Group.KEYLESS, Side.DIAL);
    private static final CalibreSheet SHEET = Calibres.of(List.of(WHEEL, BARREL, BALANCE, YOKE), List.of());

    @ParameterizedTest
    @CsvSource({"12.6, SMALL", "17.99, SMALL", "18, WRIST", "32, WRIST", "32.1, POCKET", "43, POCKET"})
    void sizeFollowsTheDiameter(double diameter, Size size) {
        assertThat(Size.of(diameter)).isEqualTo(size);
    }

    @Test
    void everyPlayHasALineInEverySizeAndMoreOfALargerOne() {
        assertThat(PlayLimits.USUAL.limits()).hasSize(18);
        for (Whose whose : Whose.values()) {
            for (Felt.Play what : Felt.Play.values()) {
                assertThat(PlayLimits.USUAL.limits().stream()
                                .filter(l -> l.whose() == whose && l.what() == what)
                                .map(Limit::high)
                                .toList())
                        .hasSize(3)
                        .isSorted();
            }
        }
    }

    @Test
    void wheelBarrelAndBalanceAreJudgedAndALeverIsNot() {
        Limit own =
                new Limit(Size.of(SHEET.data().diameterMillimetres()), Whose.TRAIN, Felt.Play.END_SHAKE, 0.02, 0.05);
        PlayLimits limits = new PlayLimits(List.of(own));
        assertThat(limits.of(SHEET, WHEEL, Felt.Play.END_SHAKE)).contains(own);
        assertThat(limits.of(SHEET, WHEEL, Felt.Play.SIDE_SHAKE)).isEmpty();
        assertThat(PlayLimits.USUAL.of(SHEET, BARREL, Felt.Play.END_SHAKE))
                .map(Limit::whose)
                .contains(Whose.BARREL);
        assertThat(PlayLimits.USUAL.of(SHEET, BALANCE, Felt.Play.SIDE_SHAKE))
                .map(Limit::whose)
                .contains(Whose.BALANCE);
        assertThat(PlayLimits.USUAL.of(SHEET, YOKE, Felt.Play.END_SHAKE)).isEmpty();
        assertThat(PlayLimits.judged(own, 0.01)).isEqualTo("too little");
        assertThat(PlayLimits.judged(own, 0.05)).isEqualTo("as it should be");
        assertThat(PlayLimits.judged(own, 0.06)).isEqualTo("too much");
    }

    @Test
    void lastMeasureCounts() {
        assertThat(PlayLimits.measured(
                        List.of(
                                new Gauged("third", Gauged.What.END_SHAKE, 0.09),
                                new Gauged("third", Gauged.What.END_SHAKE, 0.04),
                                new Gauged("third", Gauged.What.OTHER, 3),
                                new Gauged("barrel", Gauged.What.SIDE_SHAKE, 0.1)),
                        "third"))
                .isEqualTo(Map.of(Felt.Play.END_SHAKE, 0.04));
    }

    @Test
    void upsideDownIsNoLimit() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Limit(Size.WRIST, Whose.TRAIN, Felt.Play.END_SHAKE, 0.05, 0.05));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Limit(Size.WRIST, Whose.TRAIN, Felt.Play.END_SHAKE, -0.01, 0.05));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Limit(Size.WRIST, Whose.TRAIN, Felt.Play.END_SHAKE, 0.5, 1.5));
    }
}
