package escrel.core.decision;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingRaised;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.Stance;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What is proposed first, as the handbook of the craft says (2.8 to 2.10, 4). */
class WaysTest {
    private static final Part WHEEL = Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN);

    private static Finding finding(Grade grade, Defect defect, @Nullable Place place, String words) {
        return Jobs.of(Calibres.small(), new FindingRaised("wheel", grade, defect, Origin.WEAR, words, place))
                .findings()
                .all()
                .get(0);
    }

    private static Known known(Part part, Finding finding) {
        return new Known(
                finding,
                part,
                Stance.SYMPATHETIC,
                Schools.DEFAULT,
                List.of(),
                List.of(),
                null,
                0,
                0,
                OptionalDouble.empty());
    }

    private static Known with(
            Known k, List<String> donors, Known.@Nullable Bought bought, int replaced, int services, double rate) {
        return new Known(
                k.finding(),
                k.part(),
                k.stance(),
                k.schools(),
                donors,
                k.drawers(),
                bought,
                replaced,
                services,
                OptionalDouble.of(rate));
    }

    private static Way first(Known known) {
        return Ways.of(known).get(0);
    }

    private static @Nullable Way way(Known known, Decision decision) {
        return Ways.of(known).stream()
                .filter(w -> w.decision() == decision)
                .findFirst()
                .orElse(null);
    }

    @ParameterizedTest
    @CsvSource({
        "MEND, SET, , Mainspring, REPLACE_NEW",
        "MEND, DIRTY, , Third wheel, CLEAN_AND_REUSE",
        "MEND, MAGNETISED, , Balance, ADJUST",
        "MEND, OUT_OF_ROUND, HOLE, Train bridge, REPAIR",
        "MEND, WORN, HOLE, Train bridge, REPAIR",
        "BROKEN, CRACKED, JEWEL, Train bridge, REPLACE_NEW",
        "MEND, SCORED, PIVOT, Fourth wheel, ADJUST",
        "MEND, WORN, , Case-back gasket, REPLACE_NEW",
        "MISSING, ABSENT, , Crown wheel, REPLACE_NEW"
    })
    void handbookSaysWhatIsUsual(Grade grade, Defect defect, Place.@Nullable Kind place, String part, Decision usual) {
        Finding finding = finding(grade, defect, place == null ? null : new Place(place, ""), "");

        assertThat(first(known(Part.of("wheel", part, Group.TRAIN, Side.TRAIN), finding))
                        .decision())
                .isEqualTo(usual);
    }

    /** A part marked bad as it came off has only words. */
    @ParameterizedTest
    @CsvSource({
        "two teeth chipped, REPLACE_NEW",
        "pivot bent, ADJUST",
        "something is the matter, REPAIR",
        "it was reset twice, REPAIR"
    })
    void wordsTellTheDefectWhereNobodyChoseOne(String words, Decision usual) {
        assertThat(first(known(WHEEL, finding(Grade.MEND, Defect.OTHER, null, words)))
                        .decision())
                .isEqualTo(usual);
    }

    @Test
    void donorIsProposedOnlyWhereOneHasIt() {
        Known none = known(WHEEL, finding(Grade.BROKEN, Defect.BROKEN, null, ""));
        assertThat(way(none, Decision.REPLACE_DONOR)).isNull();

        Way donor = way(with(none, List.of("a CV-12 without balance"), null, 0, 0, 60), Decision.REPLACE_DONOR);
        assertThat(donor).isNotNull();
        assertThat(donor.source()).isEqualTo("a CV-12 without balance");
        assertThat(donor.reasons()).extracting(Way.Reason::words).contains("“a CV-12 without balance” still has it");
    }

    @Test
    void stanceDecidesWhatIsSeen() {
        Part dial = Part.of("wheel", "Dial", Group.DIAL_AND_HANDS, Side.DIAL);
        Finding faded = finding(Grade.MEND, Defect.FADED, null, "");
        Known sympathetic = known(dial, faded);
        Known conserve = new Known(
                faded,
                dial,
                Stance.CONSERVE,
                Schools.DEFAULT,
                List.of(),
                List.of(),
                null,
                0,
                0,
                OptionalDouble.empty());
        Known renew = new Known(
                faded, dial, Stance.RENEW, Schools.DEFAULT, List.of(), List.of(), null, 0, 0, OptionalDouble.empty());

        assertThat(first(conserve).decision()).isEqualTo(Decision.LEAVE_BY_AGREEMENT);
        assertThat(first(conserve).words()).isEqualTo("conserve was agreed: marks of age stay");
        assertThat(first(renew).decision()).isEqualTo(Decision.SEND_OUT);
        assertThat(first(sympathetic).decision()).isEqualTo(Decision.LEAVE_BY_AGREEMENT);
    }

    /** Found outside, before any part is known: the stance and the kind of piece speak all the same. */
    @Test
    void pieceOfTheOutsideIsWeighedAsWhatItIs() {
        Finding crystal = Jobs.of(
                        Calibres.small(),
                        new FindingRaised(null, Grade.BROKEN, Defect.CRACKED, Origin.UNKNOWN, "crystal"))
                .findings()
                .all()
                .get(0);
        Finding dial = Jobs.of(
                        Calibres.small(), new FindingRaised(null, Grade.MEND, Defect.FADED, Origin.UNKNOWN, "dial"))
                .findings()
                .all()
                .get(0);
        Way replaced = Ways.of(new Known(
                        crystal,
                        null,
                        Stance.SYMPATHETIC,
                        Schools.DEFAULT,
                        List.of(),
                        List.of(),
                        null,
                        0,
                        0,
                        OptionalDouble.empty()))
                .get(0);
        assertThat(replaced.decision()).isEqualTo(Decision.REPLACE_NEW);
        assertThat(replaced.reasons()).extracting(Way.Reason::words).contains("a crystal is usually replaced");
        assertThat(Ways.of(new Known(
                                dial,
                                null,
                                Stance.CONSERVE,
                                Schools.DEFAULT,
                                List.of(),
                                List.of(),
                                null,
                                0,
                                0,
                                OptionalDouble.empty()))
                        .get(0)
                        .decision())
                .isEqualTo(Decision.LEAVE_BY_AGREEMENT);
    }

    @ParameterizedTest
    @CsvSource({"REPLACE_HAIRSPRING, REPLACE_DONOR", "CORRECT_HAIRSPRING, ADJUST"})
    void hairspringFollowsTheSchool(Choice school, Decision first) {
        Part balance = Part.of("wheel", "Balance", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN);
        Known known = new Known(
                finding(Grade.MEND, Defect.BENT, null, "hairspring pulled out of flat"),
                balance,
                Stance.SYMPATHETIC,
                Schools.DEFAULT.with(school),
                List.of("a CV-12 for parts"),
                List.of(),
                null,
                0,
                0,
                OptionalDouble.empty());

        assertThat(first(known).decision()).isEqualTo(first);
    }

    @Test
    void minutesAreAssumedUntilThreeSuchWereTimedHere() {
        Known worn = known(WHEEL, finding(Grade.MEND, Defect.WORN, null, ""));
        Way assumed = Ways.of(worn).get(0);
        assertThat(assumed.timed()).isZero();
        assertThat(assumed.minutes()).isEqualTo(Ways.assumedMinutes(assumed.decision(), null));
        BenchTimes times = BenchTimes.of(List.of(
                new BenchTimes.Worked(1, assumed.decision(), 20),
                new BenchTimes.Worked(1, assumed.decision(), 25),
                new BenchTimes.Worked(1, assumed.decision(), 90)));
        Way timed = Ways.of(worn, times).get(0);
        assertThat(timed.decision()).isEqualTo(assumed.decision());
        assertThat(timed.timed()).isEqualTo(3);
        assertThat(timed.minutes()).isEqualTo(25);
        assertThat(timed.cost(OptionalDouble.of(60))).hasValue(25);
    }

    @Test
    void whatWasReplacedOftenHereSpeaksForIt() {
        Known seven = with(
                known(WHEEL, finding(Grade.MEND, Defect.WORN, null, "")),
                List.of(),
                new Known.Bought("Stennay material store", 24.0),
                7,
                9,
                60);

        Way way = way(seven, Decision.REPLACE_NEW);
        assertThat(way).isNotNull();
        assertThat(way.reasons())
                .extracting(Way.Reason::words)
                .contains("replaced in 7 of 9 here", "got last from Stennay material store");
        assertThat(way.source()).isEqualTo("Stennay material store");
    }

    /** 10 minutes at 60 and 24 for the part: 34. An hour of repair: 60. */
    @Test
    void repairIsWeighedAgainstAnotherOneInMinutesAndMoney() {
        Known cheap = with(
                known(WHEEL, finding(Grade.MEND, Defect.SCORED, null, "")),
                List.of(),
                new Known.Bought("a shop", 24.0),
                0,
                0,
                60);
        Way another = way(cheap, Decision.REPLACE_NEW);
        assertThat(another).isNotNull();
        assertThat(another.cost(OptionalDouble.of(60)).getAsDouble()).isEqualTo(34);
        Way adjusted = way(cheap, Decision.ADJUST);
        assertThat(adjusted).isNotNull();
        // 25 minutes at 60: 25
        assertThat(adjusted.cost(OptionalDouble.of(60)).getAsDouble()).isEqualTo(25);
        assertThat(adjusted.reasons()).extracting(Way.Reason::words).contains("the time costs less than another one");

        Known dearTime = with(cheap, List.of(), new Known.Bought("a shop", 2.0), 0, 0, 60);
        assertThat(way(dearTime, Decision.ADJUST).reasons())
                .extracting(Way.Reason::words)
                .contains("the time costs more than another one");
        assertThat(another.cost(OptionalDouble.empty())).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Defect.class)
    void whatIsBrokenIsNeverProposedAsCleanOrGoodEnough(Defect defect) {
        assertThat(Ways.of(known(WHEEL, finding(Grade.BROKEN, defect, null, ""))))
                .extracting(Way::decision)
                .doesNotContain(
                        Decision.CLEAN_AND_REUSE,
                        Decision.LEAVE_BY_AGREEMENT,
                        Decision.INTERIM,
                        Decision.REUSE_ON_CONDITION);
    }
}
