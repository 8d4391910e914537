package escrel.web.learnt;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.Tightened;
import escrel.core.service.WorkAgreed;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.watchcase.CaseSheet;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The alarm that has no sheet, part by part: what craft 10 asks, once each; and a second one by the sheet it leaves. */
class UnknownWalkTest {
    private static final CalibreSheet TRUTH = BenchHand.demoSheet("m-7h");

    private final EscrelServer server = EscrelServer.empty();
    private final Visitor visitor = new Visitor(server.url());
    private final Map<String, Integer> asked = new TreeMap<>();

    @AfterEach
    void stop() {
        server.close();
    }

    /** Names, answers and takes off everything but the letting down, which comes by its question. */
    private BenchHand walk() {
        BenchHand hand = new BenchHand(server, visitor.openJob("Merrowdale alarm", ""));
        Map<String, String> codes = new HashMap<>();
        for (Part part : TeardownOrder.from(TeardownState.of(TRUTH, JobHistory.empty()), Schools.DEFAULT)
                .remaining()) {
            if (part.isPowerDown()) {
                continue;
            }
            Side side = part.side() == Side.IN_HAND ? Side.TRAIN : part.side();
            String code = hand.name(part.name(), part.group(), side);
            codes.put(part.code(), code);
            if (part.unit() != null) {
                hand.act("CAME_WITH", code, codes.get(part.unit()), "", side);
            }
            answer(hand, code, side);
            assertThat(hand.off(code).statusCode()).as(part.name()).isEqualTo(200);
            assertThat(hand.load().teardown().isOff(code))
                    .as(part.name() + " is off")
                    .isTrue();
        }
        return hand;
    }

    private void answer(BenchHand hand, String code, Side side) {
        for (Optional<Caution> question = question(hand, code); question.isPresent(); question = question(hand, code)) {
            asked.merge(question.get().title(), 1, Integer::sum);
            boolean setting = question.get().title().contains("shock");
            List<Caution.Answer> answers = question.get().answers();
            hand.act("ANSWERED", code, answers.get(setting ? 1 : 0).value(), "", side);
        }
    }

    private static Optional<Caution> question(BenchHand hand, String code) {
        CalibreSheet sheet = hand.load().movement();
        return Caution.before(sheet, sheet.requirePart(code), hand.load().schools()).stream()
                .filter(c -> !c.answers().isEmpty())
                .findFirst();
    }

    @Test
    void everyQuestionIsAskedOnceAndTheSheetItLeavesPlansTheNextClimb() {
        BenchHand hand = walk();

        assertThat(asked)
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        "How does the stem let go?", 1,
                        "Where does the crown stand for it?", 1,
                        "Has the balance shock settings?", 1,
                        // the going train's and the alarm's
                        "Is the power down, and how?", 2,
                        "Try left-hand first", 1));

        CalibreSheet learnt = accept(hand);
        assertThat(learnt.homes())
                .hasSameSizeAs(TRUTH.homes().stream()
                        .filter(p -> !CaseSheet.isOfCase(p))
                        .toList());
        climbWithoutOneCorrection(learnt);
    }

    private CalibreSheet accept(BenchHand hand) {
        Matcher ticked = Pattern.compile("name=\"line\" value=\"([^\"]+)\" checked")
                .matcher(hand.get("/learnt").body());
        StringBuilder form =
                new StringBuilder("seq=" + hand.load().sequence() + "&name=M7H+alarm&id=m-7h&diameter=28.2");
        while (ticked.find()) {
            String key = ticked.group(1).replace("&gt;", ">");
            form.append("&line=").append(URLEncoder.encode(key, StandardCharsets.UTF_8));
        }
        assertThat(visitor.postRaw("/jobs/" + hand.load().number() + "/learnt", form.toString())
                        .body())
                .contains("is kept as version 1");
        return server.bean(Sheets.class).latest("m-7h").orElseThrow();
    }

    private final List<RecordedStep> steps = new ArrayList<>();

    private void then(Step step) {
        steps.add(new RecordedStep(steps.size() + 1, Instant.EPOCH.plusSeconds(60L * steps.size()), step));
    }

    private Job second(CalibreSheet sheet) {
        return Job.of(JobHistory.of(steps), sheet, Schools.DEFAULT);
    }

    /** The next watch of the calibre: down as proposed, up as proposed, and no rule speaks against a line. */
    private void climbWithoutOneCorrection(CalibreSheet sheet) {
        then(WorkAgreed.today(WorkAgreed.Work.SERVICE, ""));
        for (Part part : second(sheet).wayDown().remaining()) {
            assertThat(second(sheet).wayDown().brokenBy(part.code()))
                    .as(part.name())
                    .isEmpty();
            then(PartOff.plain(part.code()));
        }
        for (Job job = second(sheet); !job.wayUp().lines().isEmpty(); job = second(sheet)) {
            AssemblyPlan.Line line = job.wayUp().lines().get(0);
            assertThat(job.wayUp().brokenBy(line)).as(line.name()).isEmpty();
            then(done(sheet, line));
        }
        assertThat(second(sheet).teardown().isAnyOff()).isFalse();
        assertThat(second(sheet).tests().tally().total()).as("tests by kind").isGreaterThan(5);
    }

    private Step done(CalibreSheet sheet, AssemblyPlan.Line line) {
        return switch (line.kind()) {
            case PART -> PartOn.plain(line.code());
            case SCREWS -> new Tightened(line.code());
            case OIL ->
                new Oiled(
                        line.code(),
                        second(sheet)
                                .movement()
                                .oilPoint(line.code())
                                .map(OilPoint::lubricant)
                                .orElseThrow(),
                        "");
            case TEST -> tested(second(sheet).movement().test(line.code()).orElseThrow());
        };
    }

    private static Step tested(AssemblyTest test) {
        return switch (test.proof()) {
            case DEMAGNETISED -> new Demagnetised(3, "");
            case READING -> new TestMade(test.code(), TestMade.Outcome.PASSED_OVER, "read elsewhere");
            default -> new TestMade(test.code(), TestMade.Outcome.PASSED, "");
        };
    }
}
