package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.calibre.Wash;
import escrel.core.casework.CaseTask;
import escrel.core.casework.CaseWorked;
import escrel.core.casework.Layer;
import escrel.core.casework.Layered;
import escrel.core.casework.ParcelSent;
import escrel.core.casework.WaterTested;
import escrel.core.cleaning.EpilameApplied;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.diagnosis.StopAnswered;
import escrel.core.diagnosis.StopQuestion;
import escrel.core.handover.HandedOver;
import escrel.core.handover.ItemWaived;
import escrel.core.handover.Waived;
import escrel.core.job.StepRegister;
import escrel.core.learning.CameTogether;
import escrel.core.learning.FigureSaid;
import escrel.core.learning.HoldStated;
import escrel.core.learning.OilPointSaid;
import escrel.core.learning.PartDescribed;
import escrel.core.learning.PartNamed;
import escrel.core.learning.PartRenamed;
import escrel.core.learning.Pinned;
import escrel.core.learning.ScrewsStated;
import escrel.core.learning.SidePhotographed;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumeItem;
import escrel.core.lume.LumePoint;
import escrel.core.lume.LumeSeen;
import escrel.core.marks.MarkSeen;
import escrel.core.outside.OutsidePiece;
import escrel.core.outside.OutsideSeen;
import escrel.core.outside.ParcelCame;
import escrel.core.outside.ParcelItem;
import escrel.core.owner.ClaimSaid;
import escrel.core.owner.Estimate;
import escrel.core.owner.OwnerAnswered;
import escrel.core.owner.OwnerAsked;
import escrel.core.parts.CauseSaid;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Felt;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.FragmentExplained;
import escrel.core.parts.FragmentFound;
import escrel.core.parts.Gauged;
import escrel.core.parts.Judged;
import escrel.core.parts.Looked;
import escrel.core.parts.OldPart;
import escrel.core.parts.Suspected;
import escrel.core.parts.SuspicionSettled;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Corrected;
import escrel.core.service.Eased;
import escrel.core.service.Happened;
import escrel.core.service.LeftFitted;
import escrel.core.service.LeftOut;
import escrel.core.service.Noted;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.PhotoAdded;
import escrel.core.service.PhotoMarked;
import escrel.core.service.PhotosPaired;
import escrel.core.service.PowerNoted;
import escrel.core.service.SchoolChosen;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.ScrewsFound;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Stance;
import escrel.core.service.StateSet;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.service.TakenBack;
import escrel.core.service.Tally;
import escrel.core.service.Tightened;
import escrel.core.service.Visit;
import escrel.core.service.WayInPlanned;
import escrel.core.service.WorkAgreed;
import escrel.core.supply.CalledOff;
import escrel.core.supply.Came;
import escrel.core.supply.Ordered;
import escrel.core.supply.PutOff;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.StoppedAfter;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import escrel.core.triage.ResetTried;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSaid;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Every kind of step goes out and comes in the same. */
class StepJsonTest {
    static Stream<Step> everyKind() {
        Measured rate = Measured.withStandardError(-12.345678901234, 0.1);
        Reading full = new Reading(
                Position.CROWN_LEFT,
                rate,
                Measured.ofRange(250, 262),
                Measured.single(0.4),
                new LiftTime(Measured.withStandardError(12.5, 0.01), Measured.withStandardError(0.4, 0.01)),
                LiftAngle.ASSUMED_52,
                BeatRate.of(18_000),
                Source.RECORDING,
                Trace.NOISY,
                "“quoted”",
                new DeviceClock("bench microphone", 12.5, 0.8),
                3);
        Reading bare = new Reading(
                Position.DIAL_UP,
                null,
                null,
                Measured.single(0.4),
                null,
                LiftAngle.known(50),
                BeatRate.of(21_600),
                Source.TYPED,
                Trace.NOT_SAID,
                "");
        return Stream.of(
                new Arrival("watch", "owner", "", "maker", "ref", "slow\nand stops", Stance.RENEW, "", "7"),
                new CalibreBound("cv-12", 3),
                new PhotoAdded(1, null, "front"),
                new Noted("dial", "hairline"),
                new TakenBack(4),
                new PartOff(
                        "dial",
                        Grade.WORN,
                        ScrewsFound.of(ScrewsFound.State.FOREIGN, 1),
                        PartOff.Plan.REPLACE,
                        "n",
                        "why"),
                new PartOn("dial", "", ""),
                new Visit("balance-cock", Visit.Act.BEGIN, "swing test"),
                new ReadingTaken(ReadingState.AS_RECEIVED, Fitted.CASED, Wound.PART, full),
                new ReadingTaken(ReadingState.RUN_IN, Fitted.BARE_MOVEMENT, Wound.FULL, bare),
                new ReadingTaken(
                        ReadingState.RUN_IN,
                        Fitted.WITH_CHRONOGRAPH,
                        Wound.AFTER_HOURS,
                        6.5,
                        Chronograph.RUNNING,
                        full),
                new CompassTried(CompassTried.Follows.SLIGHTLY, Source.SIMULATED, ""),
                new Demagnetised(3, "slowly"),
                new StoppedAfter(41.5),
                new DidNotRun(ReadingState.AS_RECEIVED, "wound and shaken"),
                new FindingRaised(null, Grade.MISSING, Defect.ABSENT, Origin.EARLIER_REPAIR, "no crown"),
                new Decided("12s", Decision.REPLACE_DONOR, "", "donor"),
                new LeftOut("click-spring", "none to be had"),
                new Washed(List.of("barrel", "dial"), Wash.MACHINE, ""),
                new Oiled("o-click", LubricantClass.CONTACT_GREASE, ""),
                new OilSkipped("o-click", "coated"),
                new TestMade("t-fork", TestMade.Outcome.FAILED, "slow to one side"),
                new Waived(Tally.Kind.SCREWS, "owner knows"),
                new HandedOver("", List.of(Choice.FORK_DIPPED, Choice.FILM_TIP)),
                new CalibreBound("cv-12", 3, "blued ring", CalibreBound.As.FAMILY, Map.of("lid", "case-back")),
                new PhotoAdded(2, "dial", "", Side.DIAL),
                new PartOff(
                        "power-down",
                        Grade.GOOD,
                        ScrewsFound.AS_ON_SHEET,
                        PartOff.Plan.KEEP,
                        "",
                        "",
                        3,
                        PartOff.LetDown.RATCHET_SCREW),
                new SchoolChosen(Choice.TRAIN_FIRST),
                new SchoolSetAside(School.FIRST_SIDE),
                new WorkAgreed(WorkAgreed.Work.DEMAGNETISE, "fast after a loudspeaker"),
                new OpenedAgain(OpenedAgain.Reason.BEAT_ERROR, "balance", "collet"),
                new PowerNoted(PowerNoted.What.LET_GO_NOW, "ratchet-wheel", ""),
                new Tightened("dial"),
                new ScrewsToCome("train-bridge", 2),
                new CopyAtHand("mainspring", CopyAtHand.Origin.NEW, "Stennay material store", "0.10 × 1.2"),
                new CopyAtHand("fork", CopyAtHand.Origin.DONOR, "a CV-28", "", "donor:a1b2c3/pallet-fork"),
                new Ordered(
                        Ordered.Kind.WORK,
                        "12s-missing",
                        "third-wheel",
                        "Third wheel",
                        "the wheel cutter at Skarholt",
                        "S-7",
                        "5.2 mm",
                        85.5,
                        LocalDate.of(2027, 1, 15)),
                new PutOff(9, null),
                new Came(9, Came.Judgement.WRONG, "a tooth too many"),
                new CalledOff(9, "lost in the post"),
                new PhotoMarked(2, List.of(new PhotoMarked.Arrow(0.1, 0.2, 0.5, 0.6))),
                new ParcelCame(List.of(ParcelItem.WATCH, ParcelItem.STRAP), "a tobacco tin"),
                new OutsideSeen(List.of(OutsidePiece.CRYSTAL, OutsidePiece.DIAL), Grade.WORN),
                new OutsideSeen(List.of(OutsidePiece.PUSHERS), null),
                new CaseWorked(CaseTask.POLISHED, "lugs only", 1, null),
                new WaterTested(0.5, WaterTested.Way.WET, false, "bubbles at the crown"),
                new ParcelSent("the mail boat", "box in a box", 12.5, "strap"),
                new ClaimSaid("serviced last spring"),
                new OldPart("mainspring", 0, OldPart.Fate.RETURNED),
                new FindingWorked("12", FindingWorked.Outcome.FAILED, "it broke"),
                new FindingWorked("12", FindingWorked.Outcome.DONE, "pressed", "outer 1.10", OldPart.Fate.KEPT),
                new MarkSeen(MarkSeen.On.DIAL, "dial", MarkSeen.Kind.DATE, "3/1961"),
                new StopAnswered(StopQuestion.FORK_SNAPS, StopAnswered.Answer.NO, "limp"),
                new LumeSeen(List.of(LumeItem.DIAL)),
                new LumeCounted(LumeItem.DIAL, LumeCounted.Unit.COUNTS, 412, 5, 150, 5, true),
                new LumePoint(LumePoint.Point.MASK, true),
                new OwnerAsked("May it stay?", LocalDate.of(2027, 1, 15), new Estimate(4, 6, 60, 85)),
                new OwnerAnswered(7, OwnerAnswered.Answer.IN_PART, "the dial"),
                new Checked(Check.WINDS, Checked.Outcome.YES, ""),
                new ResetTried(ResetTried.Did.RUNS_ON),
                new Layered(Layer.GOLD, 15, "bezel"),
                new EpilameApplied(List.of("escape-wheel"), EpilameApplied.How.DIPPED),
                new Judged(List.of("barrel", "dial"), Grade.WORN),
                new Looked(List.of("barrel", "dial")),
                new Intervened(Intervened.What.COLLET_TURNED, "6°"),
                new ItemWaived("oil:o-click@12", "Click", "coated"),
                new LeftFitted(List.of("yoke"), "sound"),
                new Eased("stem", Eased.Way.LOOSENED, 2.5),
                new StateSet("hammer", "hammer in reset"),
                new WayInPlanned("mainspring", "falls off early"),
                new Happened("jumper", Happened.What.LOST, "towards the window"),
                new Gauged("mainspring", Gauged.What.SPRING_LENGTH, 320),
                new PhotosPaired(
                        1,
                        2,
                        List.of(new PhotosPaired.Mark(0.1, 0.2), new PhotosPaired.Mark(0.8, 0.7)),
                        List.of(new PhotosPaired.Mark(0.2, 0.2), new PhotosPaired.Mark(0.9, 0.6)),
                        "dirty and clean",
                        true),
                new CaseBound("tidewell-p-640", 2),
                new CaseSaid(CaseSaid.Fact.OPENS, "FRONT"),
                new FragmentFound("a crumb", "while at Dial"),
                new FragmentExplained(7, "tooth of the crown wheel"),
                new PartNamed("lid", "Lid", Group.CASE, Side.TRAIN, Role.CASE_BACK, List.of(Hazard.FRAGILE), null),
                new PartRenamed("lid", "Case back"),
                new HoldStated("dial", "hands", "was under"),
                new CauseSaid("3", "2s"),
                new Corrected(3, PartOff.plain("dial")),
                new Felt("dial", Felt.Play.END_SHAKE, Felt.Feel.SEEN_WORSE),
                new Suspected("dial", "w"),
                new SuspicionSettled(3, SuspicionSettled.Outcome.CONFIRMED, "w"),
                new PartDescribed("dial", Trait.STAYS_WITH, "cover"),
                new FigureSaid(FigureSaid.Figure.SETTING, "SHOCK"),
                new OilPointSaid("o-dial", "dial", "Dial", LubricantClass.FINE_OIL, "a drop"),
                WorkAgreed.today(WorkAgreed.Work.SERVICE, "w"),
                ScrewsStated.of(
                        "dial",
                        List.of(
                                ScrewsStated.Row.of(1, ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.LEFT)
                                        .withHome(ScrewPlace.Home.OWN_HOLE),
                                ScrewsStated.Row.of(2, ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.RIGHT)
                                        .withFinish(ScrewPlace.Finish.BLUED))),
                new FindingRaised(
                        "dial",
                        Grade.MEND,
                        Defect.CRACKED,
                        Origin.WEAR,
                        "w",
                        new Place(Place.Kind.JEWEL, "third wheel, lower")),
                new ScrewsStated("dial", 2, ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.LEFT),
                new CameTogether("hammer", "bridge"),
                new Pinned("dial", 0.25, -0.5),
                new SidePhotographed(1, Side.TRAIN, 0.5, 0.4, 0.3));
    }

    /** Every kind that can be stored is among those tried here. */
    @Test
    void noKindIsLeftOut() {
        assertThat(everyKind().map(StepJson::kindOf).collect(Collectors.toSet()))
                .isEqualTo(StepRegister.kinds().stream().map(StepKind::name).collect(Collectors.toSet()));
    }

    /** Steps as version 0.1.0 wrote them, without the fields that came later. */
    @Test
    void stepsOfTheFirstVersionAreStillRead() {
        assertThat(StepJson.read("calibre-bound", "{\"calibre\":\"cv-12\",\"version\":1}"))
                .isEqualTo(new CalibreBound("cv-12", 1));
        assertThat(StepJson.read("handed-over", "{\"words\":\"by post\"}"))
                .isEqualTo(new HandedOver("by post", List.of()));
        assertThat(StepJson.read("photo", "{\"photo\":1,\"part\":null,\"caption\":\"front\"}"))
                .isEqualTo(new PhotoAdded(1, null, "front"));
        assertThat(StepJson.read(
                        "part-off",
                        "{\"part\":\"dial\",\"asFound\":\"GOOD\",\"screws\":\"AS_ON_SHEET\",\"plan\":\"KEEP\",\"note\":\"\","
                                + "\"inSpiteOf\":\"\"}"))
                .isEqualTo(PartOff.plain("dial"));
        Step reading = StepJson.read("reading", """
                {"state":"AS_RECEIVED","fitted":"CASED","wound":"FULL","reading":{"position":"DIAL_UP",
                "rateSecondsPerDay":{"value":4.0,"doubt":0.0,"kind":"UNSTATED"},"amplitudeDegrees":null,
                "beatErrorMillis":null,"lift":null,"liftAngle":{"degrees":50.0,"basis":"KNOWN"},
                "beatRate":{"beatsPerHour":18000.0},"source":"TYPED","trace":"NOT_SAID","note":""}}""");
        assertThat(reading)
                .isInstanceOfSatisfying(
                        ReadingTaken.class, r -> assertThat(r.chronograph()).isEqualTo(Chronograph.NOT_SAID));
    }

    /** Reading a step under other codes changes its parts and nothing else, and back again is the same step. */
    @ParameterizedTest
    @MethodSource("everyKind")
    void otherCodesAndBackIsTheSame(Step step) {
        Step there = step.withParts(code -> "x-" + code);

        assertThat(there.getClass()).isEqualTo(step.getClass());
        assertThat(there.withParts(code -> code.substring(2))).isEqualTo(step);
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void outAndInIsTheSame(Step step) {
        String kind = StepJson.kindOf(step);

        assertThat(StepJson.read(kind, StepJson.write(step))).isEqualTo(step);
    }

    /** As versions wrote it that knew one odd screw only. */
    @ParameterizedTest
    @CsvSource({"AS_ON_SHEET, ", "ONE_MISSING, MISSING", "ONE_FOREIGN, FOREIGN", "ONE_DAMAGED, DAMAGED"})
    void screwsOfEarlierVersionsMeanTheSame(String word, ScrewsFound.@Nullable State how) {
        PartOff off = (PartOff) StepJson.read(
                "part-off",
                "{\"part\":\"dial\",\"asFound\":\"GOOD\",\"screws\":\"" + word
                        + "\",\"plan\":\"KEEP\",\"note\":\"\",\"inSpiteOf\":\"\"}");

        assertThat(off.screws()).isEqualTo(how == null ? ScrewsFound.AS_ON_SHEET : ScrewsFound.of(how, 1));
    }

    @Test
    void screwsAreAWordWhereNothingIsOddAndAListWhereSomethingIs() {
        assertThat(StepJson.write(PartOff.plain("dial"))).contains("\"screws\":\"AS_ON_SHEET\"");
        PartOff odd = new PartOff(
                "dial",
                Grade.GOOD,
                ScrewsFound.of(ScrewsFound.State.MISSING, 2).and(ScrewsFound.State.LOOSE, 2),
                PartOff.Plan.KEEP,
                "",
                "");
        assertThat(StepJson.write(odd)).contains("\"state\":\"MISSING\",\"count\":2");
        assertThat(StepJson.read("part-off", StepJson.write(odd))).isEqualTo(odd);
    }

    @Test
    void unknownKindAndUnknownFieldAreRefusedByName() {
        assertThatThrownBy(() -> StepJson.read("levitated", "{}")).hasMessageContaining("levitated");
        assertThatThrownBy(() ->
                        StepJson.read("part-on", "{\"part\":\"a\",\"note\":\"\",\"inSpiteOf\":\"\",\"colour\":1}"))
                .hasMessageContaining("colour");
    }
}
