package escrel.web.learnt;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.handover.Stage;
import escrel.core.learning.SheetDifference;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.watchcase.CaseSheet;
import escrel.web.demo.PlanPicture;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A calibre nobody has a sheet of is learnt while it is stripped, three times. */
@Tag("long")
class UnknownCalibreTest {
    private static final CalibreSheet TRUTH = BenchHand.demoSheet("m-7h");

    private final EscrelServer server = EscrelServer.empty();
    private final Visitor visitor = new Visitor(server.url());

    @AfterEach
    void stop() {
        server.close();
    }

    /** An order that the movement itself allows, whatever anybody calls its parts. */
    private static List<String> order(Schools schools) {
        return TeardownOrder.from(TeardownState.of(TRUTH, JobHistory.empty()), schools).remaining().stream()
                .map(Part::code)
                .toList();
    }

    /** Strips by names in free words, with pins on a photo of the train side; returns working codes by true ones. */
    private Map<String, String> stripUnknown(BenchHand hand, List<String> order) {
        HttpResponse<String> page =
                hand.upload("/plate/photo", Map.of("side", "TRAIN"), PlanPicture.of(TRUTH, Side.TRAIN, c -> false));
        assertThat(page.uri().toString()).contains("/plate?photo=1");
        hand.post(
                "/plate",
                Map.of(
                        "photo", 1,
                        "side", "TRAIN",
                        "centreX", PlanPicture.CENTRE,
                        "centreY", PlanPicture.CENTRE,
                        "radius", PlanPicture.RADIUS));
        Map<String, String> codes = new HashMap<>();
        double radius = TRUTH.data().diameterMillimetres() / 2;
        for (String code : order) {
            Part part = TRUTH.requirePart(code);
            Side side = part.side() == Side.IN_HAND ? Side.TRAIN : part.side();
            String working = hand.name(part.name(), part.group(), side);
            codes.put(code, working);
            if (part.shape() != null && part.side() == Side.TRAIN) {
                double[] at = part.shape().middle();
                hand.pin(working, Side.TRAIN, -at[0] / radius, -at[1] / radius);
            }
            assertThat(hand.off(working).statusCode()).as(code).isEqualTo(200);
        }
        return codes;
    }

    private String accept(BenchHand hand, Map<String, String> figures) {
        String body = hand.get("/learnt").body();
        List<String> keys = new ArrayList<>();
        Matcher ticked =
                Pattern.compile("name=\"line\" value=\"([^\"]+)\" checked").matcher(body);
        while (ticked.find()) {
            keys.add(ticked.group(1).replace("&gt;", ">"));
        }
        StringBuilder form = new StringBuilder("seq=" + hand.load().sequence());
        figures.forEach((k, v) -> form.append('&').append(k).append('=').append(v));
        keys.forEach(k -> form.append("&line=").append(URLEncoder.encode(k, StandardCharsets.UTF_8)));
        return visitor.postRaw("/jobs/" + hand.load().number() + "/learnt", form.toString())
                .body();
    }

    private CalibreSheet sheet() {
        return server.bean(Sheets.class).latest("m-7h").orElseThrow();
    }

    /** The same order in a case of which nothing is known: back, stems, case, and what was under the crystal. */
    private static List<String> inACase(List<String> order) {
        List<String> all = new ArrayList<>(List.of("case-back"));
        order.forEach(code -> {
            if (!code.contains("stem") && !all.contains("watchcase")) {
                all.add("watchcase");
            }
            all.add(code);
        });
        return all;
    }

    private static List<String> seen(CalibreSheet sheet) {
        return sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.SEEN)
                .map(h -> h.by() + ">" + h.part())
                .toList();
    }

    @Test
    void thirdTeardownInAnotherLegalOrderTakesTheFalseHoldsAway() {
        List<String> first = order(Schools.DEFAULT);
        BenchHand one = new BenchHand(server, visitor.openJob("Merrowdale alarm", ""));
        Map<String, String> codes = stripUnknown(one, first);
        // a hold that somebody stated stays a hold
        one.act("HELD_BY", codes.get("third-wheel"), codes.get("train-bridge"), "", Side.TRAIN);

        assertThat(accept(one, Map.of("name", "M7H alarm", "id", "m-7h", "diameter", "28.2", "beats", "18000")))
                .contains("M7H alarm is kept as version 1");
        CalibreSheet learnt = sheet();
        // the case it sat in is none of the calibre's
        List<String> inside = first.stream()
                .filter(c -> !CaseSheet.isOfCase(TRUTH.requirePart(c)))
                .toList();
        assertThat(learnt.parts().stream().map(Part::code))
                .containsExactlyInAnyOrderElementsOf(
                        inside.stream().map(codes::get).toList());
        assertThat(seen(learnt)).hasSize(inside.size() - 1);
        assertThat(learnt.pictures()).hasSize(1);
        Part barrel = learnt.requirePart(codes.get("barrel"));
        assertThat(barrel.shape().kind()).isEqualTo(Shape.Kind.PIN);
        assertThat(Math.hypot(
                        barrel.shape().x() - TRUTH.requirePart("barrel").shape().x(),
                        barrel.shape().y() - TRUTH.requirePart("barrel").shape().y()))
                .isLessThan(0.01);
        assertThat(visitor.get("/calibres/m-7h/pictures/1").statusCode()).isEqualTo(200);
        assertThat(one.get("/learnt").body()).contains("Nothing new");

        List<String> inLearntOrder = inside.stream().map(codes::get).toList();
        BenchHand two = new BenchHand(server, visitor.openJob("Merrowdale alarm, second", "m-7h"));
        assertThat(two.proposed().stream().filter(inLearntOrder::contains)).containsExactlyElementsOf(inLearntOrder);
        inACase(inLearntOrder).forEach(two::off);
        accept(two, Map.of());
        assertThat(sheet().holds())
                .filteredOn(h -> h.basis() == Hold.Basis.SEEN)
                .extracting(Hold::why)
                .containsOnly("always seen so (2 times)");

        List<String> other = order(Schools.DEFAULT.with(Choice.TRAIN_FIRST, Choice.CANNON_PINION_FIRST)).stream()
                .filter(inside::contains)
                .map(codes::get)
                .toList();
        assertThat(other).isNotEqualTo(inLearntOrder);
        BenchHand three = new BenchHand(server, visitor.openJob("Merrowdale alarm, third", "m-7h"));
        inACase(other).forEach(three::off);
        accept(three, Map.of());
        List<String> left = seen(sheet());
        assertThat(left)
                .isNotEmpty()
                .noneSatisfy(pair ->
                        assertThat(seenBothWays(pair, inLearntOrder, other)).isTrue());
        assertThat(other.indexOf(codes.get("setting-lever"))).isGreaterThan(other.indexOf(codes.get("centre-wheel")));
        // a stated hold is not touched by any of it
        assertThat(sheet().holds())
                .filteredOn(h -> h.basis() == Hold.Basis.STATED)
                .singleElement()
                .satisfies(h -> assertThat(h.part()).isEqualTo(codes.get("third-wheel")));
        // and nothing proposed breaks what the movement really wants
        assertThat(brokenInTruth(left, codes)).isEmpty();
    }

    private static boolean seenBothWays(String pair, List<String> one, List<String> other) {
        String[] ends = pair.split(">");
        return one.indexOf(ends[0]) < one.indexOf(ends[1]) != other.indexOf(ends[0]) < other.indexOf(ends[1]);
    }

    /** Seen pairs that contradict a true hold: "b before a" where a really holds b. */
    private static Set<String> brokenInTruth(List<String> seen, Map<String, String> codes) {
        Set<String> reversed = new HashSet<>();
        TRUTH.holds().forEach(h -> reversed.add(codes.get(h.part()) + ">" + codes.get(h.by())));
        reversed.retainAll(seen);
        return reversed;
    }

    @Test
    void sheetWithoutFiguresIsNotKeptAndSaysWhy() {
        BenchHand hand = new BenchHand(server, visitor.openJob("Merrowdale alarm", ""));
        hand.off(hand.name("Case back", Group.CASE, Side.TRAIN));

        assertThat(hand.load().stage()).isEqualTo(Stage.STRIPPING);
        assertThat(visitor.get("/").body()).contains("next off: name the next part");
        assertThat(accept(hand, Map.of("name", "M7H", "id", "m-7h")))
                .contains("The diameter must lie between 5 and 120 mm", "every step of the job is as it was");
        assertThat(server.bean(Sheets.class).latest("m-7h")).isEmpty();
    }

    @Test
    void jobIsBoundHalfWayDownAndKeepsItsSteps() {
        visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "cv-12.json",
                SheetJson.write(BenchHand.demoSheet("cv-12")).toString().getBytes(StandardCharsets.UTF_8));
        BenchHand hand = new BenchHand(server, visitor.openJob("Skarholt quay watch", ""));
        hand.act("NAME_KIND", "", "CASE:0", "", Side.TRAIN);
        hand.off("case-back");
        String odd = hand.name("Little hook", Group.KEYLESS, Side.DIAL);
        hand.off(odd);
        String crownAndStem = hand.name("Crown and stem", Group.CASE, Side.TRAIN);
        hand.off(crownAndStem);
        int steps = hand.load().sequence();

        String page = hand.get("/bind?calibre=cv-12").body();
        assertThat(page).contains("Little hook", "Which is which");
        visitor.postRaw(
                "/jobs/" + hand.load().number() + "/bind",
                "seq=" + steps + "&calibre=cv-12&as=FAMILY&variant=&from=case-back&to=case-back&from=" + crownAndStem
                        + "&to=stem&from=" + odd + "&to=");

        assertThat(hand.load().sequence()).isEqualTo(steps + 1);
        assertThat(hand.load().teardown().order()).containsExactly("case-back", odd, "stem");
        assertThat(hand.load().recorded().all(PartOff.class).map(PartOff::part)).contains(crownAndStem);
        assertThat(hand.load().recorded().last(CalibreBound.class).orElseThrow().as())
                .isEqualTo(CalibreBound.As.FAMILY);
        assertThat(hand.proposed()).startsWith("watchcase");
        assertThat(hand.get("/strip").body()).contains("Little hook");
    }

    @Test
    void jobKeepsItsVersionUntilItIsLifted() {
        CalibreSheet cv12 = BenchHand.demoSheet("cv-12");
        Sheets sheets = server.bean(Sheets.class);
        sheets.keep(cv12);
        BenchHand hand = new BenchHand(server, visitor.openJob("Tidewell service watch", "cv-12"));
        sheets.keep(cv12.called("cv-12", "Corvane CV-12, corrected", cv12.data(), List.of()));

        assertThat(hand.load().sheet().name()).isEqualTo("Corvane CV-12");
        assertThat(hand.get("/learnt").body()).contains("There is a newer version");
        hand.post("/lift", Map.of());
        assertThat(hand.load().sheet().name()).isEqualTo("Corvane CV-12, corrected");
    }

    @Test
    void photographOfAKnownCalibreIsAcceptedLikeAnyOtherLine() {
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
        BenchHand hand = new BenchHand(server, visitor.openJob("Tidewell service watch", "cv-12"));
        hand.upload("/plate/photo", Map.of("side", "DIAL"), PlanPicture.of(TRUTH, Side.DIAL, c -> false));
        hand.post("/plate", Map.of("photo", 1, "side", "DIAL", "centreX", 0.5, "centreY", 0.5, "radius", 0.42));

        assertThat(accept(hand, Map.of())).contains("kept as version 2");
        assertThat(server.bean(Sheets.class).latest("cv-12").orElseThrow().pictures())
                .singleElement()
                .satisfies(p -> assertThat(p.caption()).contains("photo 1"));
        assertThat(hand.get("/learnt").body()).contains("Nothing new");
        assertThat(visitor.get("/calibres/cv-12/pictures/1").statusCode()).isEqualTo(200);
    }

    @Test
    void conflictWithAStatedHoldStandsUntickedOnThePage() {
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
        BenchHand hand = new BenchHand(server, visitor.openJob("Tidewell service watch", "cv-12"));
        hand.post(
                "/strip/off", Map.of("part", "hour-hand", "answered", "true", "inSpiteOf", "the minute hand is stuck"));
        hand.post("/strip/off", Map.of("part", "minute-hand", "answered", "true", "inSpiteOf", "out of the case"));

        assertThat(hand.get("/learnt").body())
                .contains(SheetDifference.Kind.CONFLICT.name(), "Minute hand comes off before Hour hand")
                .doesNotContain("CONFLICT:minute-hand&gt;hour-hand\" checked");
    }
}
