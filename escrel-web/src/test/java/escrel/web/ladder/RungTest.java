package escrel.web.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.ladder.Ladder.Rung;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a rung says of itself to the page. */
class RungTest {
    private static Rung rung(String code, int size, int ticks, int missing, boolean leftHand, String state) {
        return new Rung(
                code, "Wheel", size, size, 0, "", ticks, missing, leftHand, false, false, false, List.of(), state);
    }

    /** A sheet from elsewhere may call its parts as it likes. */
    @Test
    void codeOfAnotherWorkshopComesBackFromItsAddress() {
        for (String code : List.of("third-wheel", "wheel+pinion", "cock & cap", "bride=2", "100 %", "Räder#4")) {
            String inAddress = rung(code, 1, 0, 0, false, "off").codeInAddress();

            assertThat(inAddress).doesNotContain("&", "#", "=", " ");
            assertThat(URLDecoder.decode(inAddress, StandardCharsets.UTF_8)).isEqualTo(code);
        }
    }

    @Test
    void lastScrewsAreTheEmptyHolesAndOfSeveralPartsNoneIsDrawn() {
        assertThat(rung("bridge", 1, 3, 1, false, "off").screwLooks()).containsExactly("", "", "empty ");
        assertThat(rung("wheel", 1, 1, 0, true, "off").screwLooks()).containsExactly("left-hand");
        assertThat(rung("case", 6, 3, 1, false, "off").screwLooks()).isEmpty();
    }

    @Test
    void onlyTheOneLookedAtIsTheCurrentOne() {
        assertThat(rung("bridge", 1, 0, 0, false, "selected").current()).isEqualTo("true");
        assertThat(rung("bridge", 1, 0, 0, false, "off").current()).isNull();
        assertThat(rung("bridge", 1, 0, 0, false, "off").look()).isEqualTo("off done-left");
    }
}
