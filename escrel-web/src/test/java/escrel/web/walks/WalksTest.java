package escrel.web.walks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.Wash;
import escrel.core.condition.Grade;
import escrel.core.condition.Place;
import escrel.core.marks.Marks;
import escrel.core.parts.Copy;
import escrel.core.parts.EarlierWork;
import escrel.core.parts.Felt;
import escrel.core.parts.Finding;
import escrel.core.parts.PartScrews;
import escrel.core.service.PartOff;
import escrel.core.service.PowerNoted;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Walks through whole watches on the keypad; what each is about, and its keys, stand in docs/walks.md. */
@Tag("long")
class WalksTest {
    /** Parts of a CV-28 in its D-77 that ask something first: what flies, a thread, the power, the spring in its drum. */
    private static final int ASKED = 11;

    /** Walk 1: an automatic nobody documented, day and date, screws loose everywhere. */
    @Test
    void undocumentedAutomaticWithScrewsLooseEverywhere() {
        try (Walker walk = new Walker("Tidewell deck automatic", "")) {
            walk.press("115"); // case back, off
            assertThat(walk.sinceLast())
                    .as("an uneventful part: two keys of name, and one")
                    .isEqualTo(3);

            walk.press("91").see("Has the balance shock settings?").press("1"); // the weight; they have
            walk.press("713").onCard("71").press("5"); // one middle screw, loose
            walk.press("92732").onCard("71").press("5"); // the automatic bridge: three short ones, loose
            assertThat(walk.screws("automatic-bridge").count(PartScrews.Where.OUT))
                    .isEqualTo(3);
            walk.press("215225"); // hands, dial

            walk.sinceLast();
            walk.press("88/33155"); // a clip: chamfer down, gap at 12; it flies: held down
            assertThat(walk.sinceLast()).as("named, described, asked and off").isEqualTo(8);
            walk.press("82/85").say("brass crumb on the day disc").press("5");
            walk.press("815"); // date ring
            walk.press("33").onCard("666").press("5"); // the cannon pinion, in two
            walk.press("61").see("Is the power down, and how?").press("1"); // by the crown
            walk.press("732").onCard("71").press("5"); // train bridge, three short ones, loose

            walk.assertNothingUntrue();
            assertThat(walk.load().movement().data().setting()).isEqualTo(CalibreData.Setting.SHOCK);
            assertThat(walk.load().job().earlierWork())
                    .extracting(EarlierWork.Line::words)
                    .containsExactly("7 of 7 screws loose over the train side: Weight, Automatic bridge, Train bridge");
            assertThat(walk.load().job().findings().open())
                    .extracting(Finding::part, Finding::grade)
                    .containsExactly(tuple("cannon-pinion", Grade.BROKEN));
            assertThat(walk.load().job().searches().unexplained()).hasSize(1);
            assertThat(walk.load().movement().requirePart("clip").clip()).isEqualTo("chamfer down, gap at 12");
            assertThat(walk.keys()).as("as docs/walks.md says").isEqualTo(59);
        }
    }

    /** Walk 2: a filthy chronograph whose power goes neither by crown nor by ratchet. */
    @Test
    void powerThatWillNotGoByCrownOrRatchetGoesThroughTheTrain() {
        try (Walker walk = new Walker("Skarholt pilot-boat timer", "cv-33")) {
            while (!walk.browser().heading().equals("Power let down")) {
                walk.press("5");
                if (walk.browser().text().contains("yes, and off")) {
                    walk.press("5");
                }
            }
            walk.sinceLast();
            walk.press("/883").see("by the crown was tried and refused");
            walk.press("/884").see("by the ratchet screw was tried and refused");
            walk.choose("pallet-bridge").press("5"); // the fork first now, while there is power
            walk.choose("pallet-fork").press("5");
            walk.choose("power-down").onCard("66").press("55"); // a train wheel let creep
            assertThat(walk.sinceLast()).isEqualTo(17);

            walk.assertNothingUntrue();
            assertThat(walk.load().history().all(PowerNoted.class)).hasSize(2);
            assertThat(walk.load().teardown().stepOf("power-down").orElseThrow().letDown())
                    .isEqualTo(PartOff.LetDown.TRAIN_WHEEL);
            assertThat(walk.load().teardown().isOff("pallet-fork")).isTrue();
        }
    }

    /** Walk 3: a case in layers that opens at the front, a coated fork, a jewel found cracked when clean. */
    @Test
    void frontOpeningCaseInLayersAndAJewelFoundCrackedWhenClean() {
        try (Walker walk = new Walker("Skarholt dive watch", "Skarholt", "D-77, no. 311", "cv-28")) {
            while (!walk.load().job().wayDown().remaining().isEmpty()) {
                walk.press("5");
                if (walk.browser().text().contains("yes, and off")
                        || walk.browser().text().contains("yes, the power is down")) {
                    walk.press("5");
                }
            }
            assertThat(walk.load().teardown().order())
                    .containsSubsequence("turning-ring", "retaining-ring", "crystal", "inner-seal", "holding-ring")
                    .containsSubsequence("holding-ring", "stem", "watchcase", "weight")
                    .containsSubsequence("crystal", "seconds-hand", "dial");
            int parts = walk.load().teardown().order().size();
            assertThat(walk.sinceLast())
                    .as("a key a part, and one where something is asked")
                    .isEqualTo(parts + ASKED);
            walk.assertNothingUntrue();

            walk.go("wash").see("parts to clean");
            while (!walk.load().job().cleaning().due().isEmpty()) {
                int due = walk.load().job().cleaning().due().size();
                // the first basket each time, by the key it has then
                walk.leave('1', "Clean");
                walk.browser()
                        .untilTrue(
                                "a basket to be clean",
                                () -> walk.load().job().cleaning().due().size() < due);
                walk.go("wash");
            }
            assertThat(walk.load().job().cleaning().wayOf("pallet-fork"))
                    .as("coated: rinsed in solvent, never in the machine")
                    .contains(Wash.SOLVENT);
            assertThat(walk.load().job().cleaning().wayOf("turning-ring")).contains(Wash.WATER_BATH);

            walk.sinceLast();
            walk.go("findings").leave('0', "Which part?").say("train and").see("what of it?");
            walk.press("213"); // look, a finding, the jewel of the fourth wheel
            walk.press("3").leave('6', "Findings"); // broken, cracked
            assertThat(walk.sinceLast()).as("asked for, found by letters, said").isEqualTo(7);
            Finding jewel = walk.load().job().findings().open().get(0);
            assertThat(jewel.place()).isEqualTo(new Place(Place.Kind.JEWEL, "Fourth wheel with seconds"));
            walk.send(
                    "/findings/" + jewel.key() + "/decision",
                    Map.of(
                            "decision",
                            "REPLACE_NEW",
                            "words",
                            "1.10 outer, 0.24 hole",
                            "source",
                            "Stennay material store"));
            walk.go("findings").see("How did it go").leave('1', "end-shake is to be felt");

            walk.sinceLast();
            walk.leave('0', "Which part?")
                    .say("train and")
                    .press("23")
                    .leave('3', "adjust it, then feel again"); // much
            walk.leave('0', "Which part?").say("train and").press("23").leave('2', "settled"); // right
            assertThat(walk.sinceLast())
                    .as("felt, adjusted, felt again: both kept")
                    .isEqualTo(10);
            assertThat(walk.load().history().all(Felt.class).map(Felt::feel))
                    .containsExactly(Felt.Feel.MUCH, Felt.Feel.RIGHT);
            assertThat(walk.load().job().findings().open()).isEmpty();
            assertThat(walk.load().job().copies().of("train-bridge"))
                    .as("the bridge stays the original")
                    .noneMatch(Copy::isBroughtIn);

            assertThat(walk.load().job().wayUp().lines().stream().map(AssemblyPlan.Line::code))
                    .containsSubsequence("weight", "watchcase", "holding-ring", "inner-seal", "crystal")
                    .containsSubsequence("crystal", "retaining-ring", "ring-seal", "turning-ring");
            assertThat(walk.page("/climb?line=retaining-ring")).contains("fits two ways: chamfer up");
            walk.assertNothingUntrue();
            assertThat(walk.keys()).as("as docs/walks.md says").isEqualTo(95);
        }
    }

    /** Walk 4: an altered pocket watch, its numbers compared, hidden power, a spring and its screw, an inscription. */
    @Test
    void alteredPocketWatchWithHiddenPowerAndASpringWithItsOwnScrew() {
        try (Walker walk = new Walker("Lanthorn altered pocket watch", "")) {
            walk.send("/marks", Map.of("on", "CASE", "kind", "NUMBER", "text", "88 417"));
            walk.send("/marks", Map.of("on", "MOVEMENT", "kind", "NUMBER", "text", "48 213"));
            walk.go("strip").press("115215225"); // case back, hands, dial
            walk.press("51")
                    .press("/791")
                    .say("907")
                    .press("25"); // the balance: no shock settings, so first; its number
            walk.press("52").see("Is the power down, and how?").press("45"); // nothing was wound, it seemed
            walk.press("535"); // fork
            walk.press("72").press("5").see("it let go only now").press("1"); // the ratchet wheel: hidden power
            walk.press("77712/699").see("screws of Click spring"); // its spring: one short screw, a pair with it
            walk.press("55");
            walk.press("61")
                    .press("/791")
                    .say("8213")
                    .press("/796")
                    .say("scratched beneath: two letters and a date")
                    .press("5");

            walk.assertNothingUntrue();
            assertThat(walk.load().history().all(PowerNoted.class))
                    .extracting(PowerNoted::what)
                    .containsExactly(PowerNoted.What.LET_GO_NOW);
            assertThat(walk.page("/tray")).contains("Click spring and its screw are a pair");
            assertThat(walk.load().job().marks().comparisons())
                    .extracting(Marks.Comparison::verdict, Marks.Comparison::why)
                    .containsExactlyInAnyOrder(
                            tuple(Marks.Verdict.AGREES, "the last 4 characters are the same"),
                            tuple(Marks.Verdict.DIFFERS, "one of them is not from this movement, or was renumbered"),
                            tuple(Marks.Verdict.CANNOT_BE_TOLD, "no other number to hold it against yet"),
                            tuple(Marks.Verdict.CANNOT_BE_TOLD, "many cases carry a number of their own"));
            assertThat(walk.page("/report")).contains("number 8213 on Train bridge agrees");
            assertThat(walk.load().teardown().order())
                    .startsWith("case-back", "hands", "dial", "balance-with-its-cock");
            assertThat(walk.keys()).as("as docs/walks.md says").isEqualTo(53);
        }
    }

    /** Walk 5: a very small calibre, by somebody who takes the balance late; no reason is asked for a habit. */
    @Test
    void verySmallCalibreWithTheBalanceTakenLate() {
        try (Walker walk = new Walker("Pellworth evening watch", "")) {
            walk.press("115215225"); // case back, hands, dial
            walk.press("71").press("55"); // the power, by the crown
            walk.press("52").see("Has the balance shock settings?").press("15"); // pallet bridge; they have
            walk.press("535"); // fork
            walk.press("615").press("645").press("635"); // train bridge, third and fourth wheel: nothing is asked again
            walk.press("72").see("Is the power really down?").press("55"); // ratchet wheel
            walk.press("73")
                    .see("Try left-hand first")
                    .press("1")
                    .see("Left-hand thread")
                    .press("55"); // crown wheel
            walk.press("745755"); // barrel bridge, barrel
            walk.press("515"); // and only now the balance

            walk.assertNothingUntrue();
            assertThat(walk.load().teardown().order()).endsWith("barrel", "balance-with-its-cock");
            assertThat(walk.load().movement().data().setting()).isEqualTo(CalibreData.Setting.SHOCK);
            assertThat(walk.screws("crown-wheel").words()).isEqualTo("1 short left-hand");
            assertThat(walk.keys()).as("as docs/walks.md says").isEqualTo(47);
        }
    }

    /** Walk 6: two of four case screws are missing and the rest loose; the crystal they let crack ends a chain. */
    @Test
    void twoOfFourCaseScrewsMissingAndTheRestLoose() {
        try (Walker walk = new Walker("Tidewell ferry watch", "")) {
            walk.press("115"); // case back
            walk.press("14").press("742"); // the casing ring: four short screws
            walk.sinceLast();
            walk.onCard("7221"); // two missing, the rest loose
            assertThat(walk.sinceLast()).as("four key presses").isEqualTo(4);
            walk.see("2 missing, 2 loose").press("5");
            walk.press("10").say("Crystal").onCard("666").press("5"); // cracked

            walk.assertNothingUntrue();
            assertThat(walk.screws("casing-ring").words()).isEqualTo("2 short of 4, 2 missing");
            assertThat(walk.load().job().tray().compartments().get(1).screws()).hasSize(2);
            assertThat(walk.page("/tray")).contains("Casing ring: 2 of its 4 screws missing");
            assertThat(walk.load().job().findings().open())
                    .extracting(Finding::words)
                    .containsExactly("2 screws missing", "");
            assertThat(walk.load().job().earlierWork())
                    .extracting(EarlierWork.Line::words)
                    .contains("2 screws loose: Casing ring", "2 screws missing: Casing ring");
            assertThat(walk.keys()).as("as docs/walks.md says").isEqualTo(20);

            Finding screws = found(walk, "2 screws missing");
            Finding crystal = found(walk, "");
            walk.send("/findings/" + crystal.key() + "/cause", Map.of("cause", screws.key()));
            assertThat(walk.page("/findings")).contains("screw of Casing ring: 2 screws missing");
            assertThat(walk.page("/report")).contains("because of: screw of Casing ring, 2 screws missing");
            assertThat(walk.send("/findings/" + screws.key() + "/cause", Map.of("cause", crystal.key())))
                    .contains("would make a ring");
        }
    }

    private static Finding found(Walker walk, String words) {
        return walk.load().job().findings().open().stream()
                .filter(f -> f.words().equals(words))
                .findFirst()
                .orElseThrow();
    }
}
