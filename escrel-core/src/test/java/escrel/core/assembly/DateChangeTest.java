package escrel.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RuleBook;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A date is tried three times in all: calendar built, dial on, hands on. Source: craft 2.17. */
class DateChangeTest {
    private static final AssemblyTest BUILT =
            new AssemblyTest("t-date", "Date jumps near midnight", Side.DIAL, "cover", "dial", "");
    private static final CalibreSheet SHEET = sheet(List.of(BUILT));

    private static CalibreSheet sheet(List<AssemblyTest> tests) {
        List<Part> parts = List.of(
                Part.of("second", "Seconds hand", Group.DIAL_AND_HANDS, Side.DIAL)
                        .withRole(Role.HANDS),
                Part.of("hour", "Hour hand", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.HANDS),
                Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.DIAL),
                Part.of("cover", "Date cover", Group.CALENDAR, Side.DIAL));
        CalibreSheet plain = Calibres.of(
                parts,
                List.of(
                        Calibres.hold("hour", "second"),
                        Calibres.hold("dial", "second"),
                        Calibres.hold("dial", "hour"),
                        Calibres.hold("cover", "dial")));
        return plain.withClimb(List.of(), tests);
    }

    private static Job apart(CalibreSheet sheet, RuleBook book, Step... then) {
        List<Step> steps = new ArrayList<>(List.of(
                new WorkAgreed(WorkAgreed.Work.SERVICE, "", book),
                PartOff.plain("second"),
                PartOff.plain("hour"),
                PartOff.plain("dial"),
                PartOff.plain("cover")));
        steps.addAll(List.of(then));
        return Jobs.of(sheet, Histories.of(steps.toArray(Step[]::new)));
    }

    private static List<String> codes(Job job) {
        return job.wayUp().lines().stream().map(AssemblyPlan.Line::code).toList();
    }

    @Test
    void isTriedAsTheCalendarTheDialAndTheHandsAreOn() {
        assertThat(codes(apart(SHEET, RuleBook.FIFTH)))
                .containsExactly(
                        "cover", "t-date", "dial", "routine-date-dial", "hour", "second", "routine-date-hands");
    }

    @Test
    void jobOfAnEarlierBookMeansWhatItMeant() {
        assertThat(codes(apart(SHEET, RuleBook.FOURTH))).containsExactly("cover", "t-date", "dial", "hour", "second");
    }

    @Test
    void sheetThatListsThemKeepsItsOwnAndOneWithoutADateOwesNone() {
        AssemblyTest handsOn = new AssemblyTest("mine", "Date change, hands on", Side.DIAL, "second", null, "");
        assertThat(codes(apart(sheet(List.of(BUILT, handsOn)), RuleBook.FIFTH)))
                .containsExactly("cover", "t-date", "dial", "hour", "second", "mine");
        assertThat(codes(apart(sheet(List.of()), RuleBook.FIFTH))).containsExactly("cover", "dial", "hour", "second");
    }

    /** Hands off once more, and only what they may have upset is owed again. */
    @Test
    void handsLiftedAgainOweOnlyTheirOwn() {
        Step[] up = {
            PartOn.plain("cover"),
            passed("t-date"),
            PartOn.plain("dial"),
            passed("routine-date-dial"),
            PartOn.plain("hour"),
            PartOn.plain("second"),
            passed("routine-date-hands"),
            PartOff.plain("second")
        };
        assertThat(codes(apart(SHEET, RuleBook.FIFTH, up))).containsExactly("second", "routine-date-hands");
    }

    private static Step passed(String test) {
        return new TestMade(test, TestMade.Outcome.PASSED, "");
    }
}
