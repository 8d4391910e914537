package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Candidates.Candidate;
import escrel.core.calibre.Candidates.Facts;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CandidatesTest {
    private static CalibreSheet sheet(String id, String name, double diameter, int jewels, double beat, WatchClass of) {
        return new CalibreSheet(
                id,
                name,
                new CalibreData(
                        diameter, beat, 50.0, jewels, CalibreData.Setting.SHOCK, CalibreData.Stud.FIXED, of, ""),
                null,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
    }

    /** As the demo's library states them. */
    private static final List<CalibreSheet> SHEETS = List.of(
            sheet("cv-12", "Corvane CV-12", 23.7, 17, 18_000, WatchClass.VINTAGE_NO_SHOCK_SETTING),
            sheet("cv-24", "Corvane CV-24", 25.6, 25, 21_600, WatchClass.MODERN_SLOW),
            sheet("cv-33", "Corvane CV-33", 29.5, 17, 21_600, WatchClass.CHRONOGRAPH));

    private static Candidate first(
            @Nullable Double diameter,
            @Nullable Integer jewels,
            @Nullable Double beat,
            String number,
            @Nullable Boolean pushers) {
        return Candidates.of(
                        SHEETS,
                        new Facts(diameter, jewels, beat, number.isEmpty() ? List.of() : List.of(number), pushers))
                .get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "23.6, 17, , '', cv-12",
        ", , 21600, '', cv-24",
        ", 17, 21600, '', cv-33",
        ", , , CV 33, cv-33",
        "23.7, 25, 21600, '', cv-24"
    })
    void sheetWithTheFewestAgainstItComesFirst(
            @Nullable Double diameter, @Nullable Integer jewels, @Nullable Double beat, String number, String id) {
        assertThat(first(diameter, jewels, beat, number, null).sheet().id()).isEqualTo(id);
    }

    @Test
    void pushersTellAChronographAndTheirAbsenceOneThatIsNone() {
        assertThat(first(null, 17, null, "", true).sheet().id()).isEqualTo("cv-33");
        assertThat(first(null, 17, null, "", false).sheet().id()).isEqualTo("cv-12");
    }

    @Test
    void whatIsNotKnownSpeaksNeitherWay() {
        assertThat(Candidates.of(SHEETS, new Facts(null, null, null, List.of(), null)))
                .allSatisfy(c -> assertThat(c.signs()).isEmpty());
        assertThat(first(null, null, null, "7", null).signs())
                .as("a lone digit is no calibre's name")
                .isEmpty();
    }

    @Test
    void everyFactIsSaidWithTheSheetsFigure() {
        Candidate cv12 = first(23.5, 17, 18_000.0, "", false);

        assertThat(cv12.signs())
                .extracting(Candidates.Sign::words)
                .containsExactly("23.7 mm across", "17 jewels", "18000 beats an hour", "it has none");
        assertThat(cv12.differing()).isZero();
    }
}
