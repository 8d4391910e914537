package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.util.Locale;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each caution stands next to its act, and ends by deferring to local rules, data sheets or licensed practice. Source: craft 8. */
class CautionsTest {
    private static final String DEFERS = "(local rules|data sheets?|licensed|instructions)";
    private static EscrelServer server;
    private static Visitor visitor;
    private static int job;

    @BeforeAll
    static void start() {
        server = EscrelServer.demo();
        visitor = new Visitor(server.url());
        job = Stripped.cv12(server, 99);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/wash | Solvents are flammable",
                "/wash | Ammoniated cleaners: ventilate, shield the eyes, never with chlorine",
                "/wash | Quick solvent evaporates at once",
                "/wash | Lume of unknown age is treated as radioactive",
                "/case-work?task=PLATED | gold baths may hold cyanides: never near acids",
                "/case-work?task=POLISHED | eye protection, dust mask, no gloves or loose sleeves",
                "/case-work?task=BEZEL_SPRING | A spring under tension",
                "/case-work?task=CRYSTAL_GLUED | never look into the lamp",
                "/case-work?task=CRYSTAL_PRESSED | press square, eyes protected",
                "/case-work?task=CRYSTAL_POLISHED | No acids for crystals or steel",
                "/case-work?task=RELUMED | Never over or after scraping old luminous paint",
                "/case-work | Dry, in air, before any water; cover closed, eyes protected",
                "/mainspring | eyes protected, a finger or a cover over the drum",
                "/readings | pacemakers keep away from the demagnetiser",
            })
    void standsNextToItsActAndDefers(String page, String words) {
        assertDefers("/jobs/" + job + page, words);
    }

    /** Job 6 carries paint above background. */
    @Test
    void pointsOfCareForPaintStandWithThePaint() {
        assertDefers("/jobs/6/lume", "This page counts and reminds");
    }

    private static void assertDefers(String address, String words) {
        String text = visitor.get(address)
                .body()
                .replace("&#39;", "'")
                .replaceAll("<[^>]*>", " ")
                .replaceAll("\\s+", " ");
        int at = text.indexOf(words);
        assertThat(at).as(words).isNotNegative();
        String after = text.substring(at, Math.min(text.length(), at + 700)).toLowerCase(Locale.ROOT);
        assertThat(after).containsPattern(DEFERS);
    }
}
