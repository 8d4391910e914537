package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Wash;
import escrel.core.handover.Account;
import escrel.core.order.Rules;
import escrel.core.school.Schools;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.ReadingState;
import escrel.core.watchcase.CaseCheck;
import escrel.core.watchcase.CasePart;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.Opens;
import escrel.web.storage.CaseJson;
import escrel.web.testing.BenchHand;
import escrel.web.testing.TypedReading;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every movement of the demo in every case of the demo: a calibre sits in many cases. */
class DemoCasesTest {
    private static final List<String> CALIBRES = List.of("cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8");

    static Stream<Arguments> everyPair() {
        return CALIBRES.stream().flatMap(c -> DemoCases.ALL.stream().map(k -> Arguments.of(c, k)));
    }

    private static Story serviced(String calibre, String watchcase) {
        return new Story(BenchHand.demoSheet(calibre), Instant.EPOCH)
                .then(new WorkAgreed(WorkAgreed.Work.SERVICE, ""))
                .in(DemoCases.called(watchcase))
                .strip(Map.of())
                .wash()
                .climb(code -> true, s -> s.then(TypedReading.of(ReadingState.FIRST_RUN, 4)))
                .then(TypedReading.of(ReadingState.FINAL_CASED, 4));
    }

    private static List<String> order(Story story, Class<?> kind) {
        return story.steps().stream()
                .map(RecordedStep::step)
                .filter(kind::isInstance)
                .map(s -> s instanceof PartOff off ? off.part() : ((PartOn) s).part())
                .toList();
    }

    @ParameterizedTest
    @MethodSource("everyPair")
    void comesApartAndGoesTogetherInOneOrder(String calibre, String watchcase) {
        Story story = serviced(calibre, watchcase);
        CalibreSheet joined = story.job().movement();
        List<String> off = order(story, PartOff.class);

        assertThat(SheetCheck.faultsOf(joined)).isEmpty();
        assertThat(off)
                .containsExactlyInAnyOrderElementsOf(joined.parts().stream()
                        .filter(p -> p.role() != Role.STAYS_IN_CASE)
                        .map(Part::code)
                        .toList());
        assertThat(Rules.down(joined, Schools.DEFAULT).all())
                .filteredOn(c ->
                        off.contains(c.first().code()) && off.contains(c.then().code()))
                .allSatisfy(c -> assertThat(off.indexOf(c.first().code()))
                        .as("%s before %s: %s", c.first(), c.then(), c.why())
                        .isLessThan(off.indexOf(c.then().code())));
        assertThat(story.job().accounts()).allMatch(Account::balances);
        assertThat(story.job().mayLeave()).isTrue();
    }

    /** Craft 2.4, 2.5: what a watchmaker knows of each way of opening. */
    @Test
    void aFrontOpenerGivesUpItsWeightOnlyOutOfTheCase() {
        Story story = serviced("cv-28", "skarholt-d-77");

        assertThat(order(story, PartOff.class))
                .containsSubsequence(
                        "turning-ring", "retaining-ring", "crystal", "holding-ring", "stem", "watchcase", "weight")
                .containsSubsequence("crystal", "seconds-hand", "dial")
                .doesNotContain("case-back");
        assertThat(order(story, PartOn.class))
                .containsSubsequence("weight", "watchcase", "holding-ring", "crystal", "turning-ring");
    }

    @Test
    void aBackOpenerKeepsItsCrystalAndLiesOverItsHandsUntilTheMovementIsOut() {
        Story story = serviced("cv-12", "tidewell-s-112");

        assertThat(order(story, PartOff.class))
                .containsSubsequence("case-back", "back-seal", "stem", "watchcase", "seconds-hand", "dial")
                .containsSubsequence("watchcase", "casing-ring")
                .doesNotContain("crystal", "crown-seal");
        assertThat(story.job().movement().requirePart("casing-ring").orientation())
                .isEqualTo("fits two ways: its notch at the stem, its lip to the dial");
    }

    @Test
    void pushersComeOutBeforeTheMovementAndAHingedBezelFreesTheHands() {
        assertThat(order(serviced("cv-33", "skarholt-t-9"), PartOff.class))
                .containsSubsequence("case-back", "pushers", "watchcase");
        assertThat(serviced("l-43", "lanthorn-lr-2").job().movement().holdsOn("minute-hand"))
                .anySatisfy(h -> assertThat(h.by()).isEqualTo("bezel"))
                .noneSatisfy(h -> assertThat(h.by()).isEqualTo("watchcase"));
    }

    @Test
    void aScrewDownCrownIsOpenBeforeTheStemAndProvedBeforeTheCaseIsClosed() {
        Story screwed = serviced("cv-24", "tidewell-p-640");
        assertThat(screwed.job().movement().requirePart("stem").stateBefore()).contains("screw-down crown unscrewed");
        assertThat(screwed.steps().stream().map(RecordedStep::step))
                .containsSubsequence(
                        PartOn.plain("watchcase"),
                        new TestMade("case-crown", TestMade.Outcome.PASSED, ""),
                        PartOn.plain("case-back"));

        CalibreSheet plain = serviced("cv-24", "tidewell-s-112").job().movement();
        assertThat(plain.requirePart("stem").stateBefore()).isEmpty();
        assertThat(plain.test("case-crown")).isEmpty();
    }

    @Test
    void casePartsHaveABathOfTheirOwnAndSealsAreGreased() {
        Story story = serviced("cv-24", "tidewell-p-640");
        CalibreSheet joined = story.job().movement();

        assertThat(joined.requirePart("case-back").wash()).isEqualTo(Wash.WATER_BATH);
        assertThat(story.job().cleaning().notFor(Wash.MACHINE, List.of("case-back", "bezel")))
                .hasSize(2);
        assertThat(story.job().cleaning().notFor(Wash.WATER_BATH, List.of("escape-wheel")))
                .hasSize(1);
        assertThat(joined.oilPoint("g-back-seal")).isPresent();
    }

    @Test
    void everyCaseIsSoundAndComesBackFromItsFile() {
        for (String id : DemoCases.ALL) {
            CaseSheet sheet = DemoCases.called(id);
            assertThat(CaseCheck.faultsOf(sheet)).as(id).isEmpty();
            assertThat(CaseJson.read(CaseJson.write(sheet).toString())).as(id).isEqualTo(sheet);
        }
        assertThat(DemoCases.called("skarholt-d-77").opens()).isEqualTo(Opens.FRONT);
        assertThat(DemoCases.called("merrowdale-a-31").parts())
                .filteredOn(p -> p.kind() == CasePart.Kind.GONG_RING || p.kind() == CasePart.Kind.CASING_RING)
                .hasSize(2);
    }
}
