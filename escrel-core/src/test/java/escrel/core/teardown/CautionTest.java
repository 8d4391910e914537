package escrel.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.calibre.Wash;
import escrel.core.teardown.Caution.Kind;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CautionTest {
    private static Part part(Role role, Hazard... hazards) {
        return new Part(
                "p",
                "Part",
                Group.BARREL,
                Side.TRAIN,
                role,
                null,
                List.of(hazards),
                "",
                "",
                Wash.MACHINE,
                "",
                0,
                "",
                null);
    }

    private static List<Caution> before(Part part, ScrewPlace.Thread... threads) {
        CalibreSheet bare = Calibres.of(List.of(part), List.of());
        List<ScrewPlace> screws = Arrays.stream(threads)
                .map(t -> new ScrewPlace(
                        "s" + t.ordinal(),
                        "p",
                        0,
                        0,
                        ScrewPlace.LengthClass.SHORT,
                        ScrewPlace.Head.FLAT,
                        t,
                        1,
                        ScrewPlace.Home.OWN_HOLE,
                        ""))
                .toList();
        CalibreSheet sheet = new CalibreSheet(
                bare.id(),
                bare.name(),
                bare.data(),
                null,
                bare.parts(),
                screws,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
        return Caution.before(sheet, part);
    }

    @Test
    void uneventfulPartIsSilent() {
        assertThat(before(part(null), ScrewPlace.Thread.RIGHT)).isEmpty();
    }

    @Test
    void leftAndOddThreadsAsk() {
        assertThat(before(part(null), ScrewPlace.Thread.LEFT, ScrewPlace.Thread.ODD))
                .allMatch(c -> c.kind() == Kind.ASKS)
                .extracting(Caution::title)
                .containsExactly("Left-hand thread", "Odd thread");
    }

    @ParameterizedTest
    @CsvSource({"POWER_DOWN, eyes", "RATCHET_WHEEL, hidden power", "MAINSPRING, Eye protection"})
    void powerAsksEachTime(Role role, String words) {
        assertThat(before(part(role))).singleElement().satisfies(c -> {
            assertThat(c.kind()).isEqualTo(Kind.ASKS);
            assertThat(c.words()).contains(words);
        });
    }

    @Test
    void questionsComeBeforeRemarks() {
        assertThat(before(part(null, Hazard.FRAGILE, Hazard.FLIES, Hazard.LONG_PIVOT)))
                .extracting(Caution::kind)
                .containsExactly(Kind.ASKS, Kind.SAYS, Kind.SAYS);
    }

    @Test
    void adjusterIsPhotographedNotTurned() {
        assertThat(before(part(null, Hazard.ECCENTRIC)))
                .singleElement()
                .satisfies(c -> assertThat(c.words()).contains("Photograph", "do not turn"));
    }
}
