package escrel.core.learning;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.calibre.StemRelease;
import escrel.core.calibre.Wash;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.school.Schools;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import escrel.core.teardown.Caution;
import escrel.core.timing.comparison.Targets;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The movement nobody knows is the one with most warnings: by the kind of part, once each. Source: craft 10. */
class UnknownMovementTest {
    private static final WorkAgreed TODAY = WorkAgreed.today(WorkAgreed.Work.SERVICE, "");

    private static PartNamed named(String name, Group group) {
        Vocabulary.Kind kind = Vocabulary.of(group).stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow();
        return new PartNamed(
                name.toLowerCase().replace(' ', '-'), name, group, Side.TRAIN, kind.role(), kind.hazards(), null);
    }

    private static List<String> questions(String part, Step... steps) {
        CalibreSheet sheet = LearntSheet.of(null, Histories.of(steps));
        return Caution.before(sheet, sheet.requirePart(part), Schools.DEFAULT).stream()
                .filter(c -> c.kind() == Caution.Kind.ASKS)
                .map(Caution::title)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Pallet bridge, BALANCE_AND_ESCAPEMENT",
        "Train bridge, TRAIN",
        "Third wheel, TRAIN",
        "Escape wheel, TRAIN",
        "Barrel bridge, BARREL",
        "Ratchet wheel, BARREL"
    })
    void whatHoldsBackAPowerAsksHowItCameDownUntilThatIsSaid(String name, Group group) {
        PartNamed part = named(name, group);
        PartNamed power = named("Power let down", Group.BARREL);

        assertThat(questions(part.code(), part)).contains("Is the power down, and how?");
        assertThat(questions(part.code(), part, power, PartOff.plain(power.code())))
                .doesNotContain("Is the power down, and how?");
    }

    @ParameterizedTest
    @CsvSource({
        "Dial, DIAL_AND_HANDS",
        "Hour wheel, MOTION_WORK",
        "Case back, CASE",
        "Friction spring, TRAIN",
        "Click, BARREL",
        "Yoke, KEYLESS"
    })
    void whatHoldsNoneBackIsNotAsked(String name, Group group) {
        PartNamed part = named(name, group);

        assertThat(questions(part.code(), part)).doesNotContain("Is the power down, and how?");
    }

    @Test
    void alarmsRatchetWheelAsksOfItsOwnPower() {
        PartNamed wheel = named("Alarm ratchet wheel", Group.ALARM);
        PartNamed ofTrain = named("Power let down", Group.BARREL);

        assertThat(questions(wheel.code(), wheel, ofTrain)).contains("Is the power down, and how?");
        assertThat(questions(wheel.code(), wheel, named("Alarm power let down", Group.ALARM)))
                .doesNotContain("Is the power down, and how?");
    }

    @Test
    void crownWheelIsTriedLeftHandFirstAndAsksAgainOnlyByItsThread() {
        PartNamed wheel = named("Crown wheel", Group.BARREL);
        ScrewsStated left = new ScrewsStated(wheel.code(), 1, ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.LEFT);

        assertThat(questions(wheel.code(), wheel)).contains("Try left-hand first");
        assertThat(questions(wheel.code(), wheel, left))
                .contains("Left-hand thread")
                .doesNotContain("Try left-hand first");
    }

    @Test
    void stemIsAskedHowItLetsGoAndWhereTheCrownStandsAndBothStandOnItsCard() {
        PartNamed stem = named("Stem", Group.CASE);
        FigureSaid how = new FigureSaid(FigureSaid.Figure.STEM_RELEASE, "button inside a slot");
        FigureSaid crown = new FigureSaid(FigureSaid.Figure.CROWN_POSITION, "at setting");

        assertThat(questions("stem", stem)).containsExactly("How does the stem let go?");
        assertThat(questions("stem", stem, how)).containsExactly("Where does the crown stand for it?");
        assertThat(questions("stem", stem, how, crown)).isEmpty();
        assertThat(LearntSheet.of(null, Histories.of(stem, how, crown)).stemRelease())
                .isEqualTo(new StemRelease("button inside a slot", "at setting", "", "", ""));
    }

    @Test
    void settingIsAskedOnceAndWithoutOneTheBalanceIsToComeOffFirst() {
        PartNamed bridge = named("Barrel bridge", Group.BARREL);
        PartNamed power = named("Power let down", Group.BARREL);
        Step[] shock = {bridge, power, new FigureSaid(FigureSaid.Figure.SETTING, "SHOCK")};
        Step[] none = {bridge, power, new FigureSaid(FigureSaid.Figure.SETTING, "NONE")};

        assertThat(questions(bridge.code(), bridge, power)).containsExactly("Has the balance shock settings?");
        assertThat(questions(bridge.code(), shock)).isEmpty();
        assertThat(questions(bridge.code(), none)).containsExactly("The balance is still on");
        assertThat(questions(
                        bridge.code(),
                        bridge,
                        power,
                        none[2],
                        named("Balance with its cock", Group.BALANCE_AND_ESCAPEMENT)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "Dial, DIAL_AND_HANDS, STANCE",
        "Seconds hand, DIAL_AND_HANDS, STANCE",
        "Pallet fork, BALANCE_AND_ESCAPEMENT, DIP",
        "Hairspring, BALANCE_AND_ESCAPEMENT, DIP",
        "Date ring, CALENDAR, BY_HAND",
        "Day disc, CALENDAR, BY_HAND",
        "Jumper spring, CALENDAR, MACHINE",
        "Third wheel, TRAIN, MACHINE"
    })
    void washingGoesByKind(String name, Group group, Wash wash) {
        assertThat(named(name, group).part().wash()).isEqualTo(wash);
    }

    @ParameterizedTest
    @CsvSource({"Odd little spring, true", "Day jumper, true", "C-clip, true", "Odd little lever, false"})
    void springsJumpersAndClipsByAnyNameAreHeldDown(String name, boolean flies) {
        assertThat(Vocabulary.hazardsOf(name).isEmpty()).isEqualTo(!flies);
    }

    @ParameterizedTest
    @CsvSource({
        "Stem with crown, CASE, STEM",
        "Stem gasket, CASE, ",
        "Barrel lid, BARREL, ",
        "Second barrel, BARREL, BARREL",
        "Bridge over both barrels, BARREL, BARREL_BRIDGE",
        "Power let down, BALANCE_AND_ESCAPEMENT, POWER_DOWN",
        "Odd little lever, KEYLESS, "
    })
    void nameInFreeWordsSpeaksOfItsKind(String name, Group group, @Nullable Role role) {
        assertThat(Vocabulary.kindLike(group, name).map(Vocabulary.Kind::role).orElse(null))
                .isEqualTo(role);
    }

    /** Said while nobody knew the calibre; the sheet it is bound to later knows better. */
    @Test
    void whatTheSheetStatesGoesBeforeWhatWasSaidWithoutIt() {
        CalibreSheet bare = Calibres.of(List.of(named("Stem", Group.CASE).part()), List.of());
        StemRelease card = new StemRelease("screw to loosen", "pushed in", "blade 1.0", "two turns", "no more");
        CalibreSheet sheet = bare.withFigures(bare.data().withSetting(CalibreData.Setting.NONE), card);
        CalibreSheet learnt = LearntSheet.of(
                sheet,
                Histories.of(
                        new FigureSaid(FigureSaid.Figure.SETTING, "SHOCK"),
                        new FigureSaid(FigureSaid.Figure.STEM_RELEASE, "detent")));

        assertThat(learnt.data().setting()).isEqualTo(CalibreData.Setting.NONE);
        assertThat(learnt.stemRelease()).isEqualTo(card);
    }

    @Test
    void nothingIsJudgedByWhatNobodySaid() {
        CalibreData data = LearntSheet.unknown().data();

        assertThat(data.beatRate()).isNull();
        assertThat(data.watchClass()).isNull();
        assertThat(data.setting()).isEqualTo(CalibreData.Setting.NOT_SAID);
        assertThat(Targets.of(LearntSheet.unknown()).isStated()).isFalse();
        assertThat(Targets.of((CalibreSheet) null).isStated()).isFalse();
    }

    private static Job job(Step... steps) {
        return Job.of(Histories.of(steps), null, Schools.DEFAULT);
    }

    private static List<String> tests(Job job) {
        return job.movement().tests().stream().map(AssemblyTest::name).toList();
    }

    @Test
    void testsOfTheWayUpComeByKindWithoutAnySheet() {
        List<Step> steps = new ArrayList<>();
        steps.add(TODAY);
        steps.add(named("Barrel", Group.BARREL));
        steps.add(named("Ratchet wheel", Group.BARREL));
        steps.add(named("Train bridge", Group.TRAIN));
        steps.add(named("Pallet bridge", Group.BALANCE_AND_ESCAPEMENT));
        steps.add(named("Balance with its cock", Group.BALANCE_AND_ESCAPEMENT));
        steps.add(named("Setting lever spring (cover)", Group.KEYLESS));
        steps.add(named("Cannon pinion", Group.MOTION_WORK));
        steps.add(named("Date ring", Group.CALENDAR));
        steps.add(named("Hammer", Group.CHRONOGRAPH));

        assertThat(tests(job(steps.toArray(Step[]::new))))
                .containsExactlyInAnyOrder(
                        "Lid even, arbor free: Barrel",
                        "Click holds: Ratchet wheel",
                        "Train free under it, every wheel with end-shake: Train bridge",
                        "Fork snaps across both ways: Pallet bridge",
                        "Balance starts by itself: Balance with its cock",
                        "Every crown position works: Setting lever spring (cover)",
                        "Hands neither slip nor drag: Cannon pinion",
                        "Date changes three times: Date ring",
                        "Starts, stops, both counters back to zero: Hammer");
    }

    @Test
    void jobBegunBeforeOwesNoTestsByKind() {
        WorkAgreed before = new WorkAgreed(WorkAgreed.Work.SERVICE, "");

        assertThat(tests(job(before, named("Train bridge", Group.TRAIN)))).isEmpty();
        assertThat(tests(job(before, named("Train bridge", Group.TRAIN), TODAY)))
                .as("agreed otherwise later")
                .isEmpty();
    }

    @Test
    void oilPointSaidInTheActStaysAndIsDueAgainWhenItsPartComesOffAgain() {
        Step[] oiled = {
            TODAY,
            named("Train bridge", Group.TRAIN),
            PartOff.plain("train-bridge"),
            PartOn.plain("train-bridge"),
            new OilPointSaid("o-1", "train-bridge", "Third wheel, upper", LubricantClass.FINE_OIL, "a drop"),
            new Oiled("o-1", LubricantClass.FINE_OIL, "")
        };
        assertThat(job(oiled).lubrication().tally().balances()).isTrue();

        List<Step> again = new ArrayList<>(List.of(oiled));
        again.add(PartOff.plain("train-bridge"));
        Tally tally = job(again.toArray(Step[]::new)).lubrication().tally();
        assertThat(tally.open())
                .singleElement()
                .satisfies(i -> assertThat(i.words()).isEqualTo("Third wheel, upper"));
    }

    @Test
    void whatWasLearntOfTheWayUpGoesToTheFirstSheet() {
        Job job = job(
                TODAY,
                named("Train bridge", Group.TRAIN),
                named("Stem", Group.CASE),
                new FigureSaid(FigureSaid.Figure.STEM_RELEASE, "detent"),
                new FigureSaid(FigureSaid.Figure.SETTING, "SHOCK"),
                new OilPointSaid("o-1", "train-bridge", "Third wheel, upper", LubricantClass.FINE_OIL, "a drop"));
        SheetDifference difference =
                SheetDifference.between(LearntSheet.unknown(), job.movement(), SeenOrders.of(List.of()));
        CalibreSheet sheet = difference.apply(
                difference.lines().stream().map(SheetDifference.Line::key).toList());

        assertThat(sheet.oilPoints()).hasSize(1);
        assertThat(sheet.tests()).extracting(AssemblyTest::after).containsExactly("train-bridge");
        assertThat(sheet.stemRelease()).isNotNull();
        assertThat(sheet.data().setting()).isEqualTo(CalibreData.Setting.SHOCK);
        assertThat(sheet.parts()).extracting(Part::role).containsExactly(Role.TRAIN_BRIDGE, Role.STEM);
    }
}
