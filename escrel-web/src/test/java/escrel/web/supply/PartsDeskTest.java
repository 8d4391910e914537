package escrel.web.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import escrel.core.handover.ItemWaived;
import escrel.core.handover.Stage;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.Tally;
import escrel.core.supply.Want;
import escrel.web.job.Workshop;
import escrel.web.storage.SupplyMapper;
import escrel.web.testing.Browser;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PartsDeskTest extends WaitingWatch {
    private List<String> interim() {
        return job().accounts().stream()
                .filter(a -> a.kind() == Tally.Kind.INTERIM_PARTS)
                .flatMap(a -> a.blocking().stream())
                .map(OpenItem::words)
                .toList();
    }

    @Test
    void deskSaysWhatIsWaitedForSinceWhenAndForWhichWatchWithoutAPress() {
        String page = visitor.get("/parts").body();

        // a little less than eleven days ago: late in the evening that is the tenth day before today
        LocalDate ordered =
                want("crown-wheel").since().atZone(ZoneId.systemDefault()).toLocalDate();
        long days = ChronoUnit.DAYS.between(ordered, LocalDate.now());
        assertThat(days).isBetween(10L, 11L);
        assertThat(page)
                .contains("Crown wheel", "ordered", "for " + days + " days", "2 days late", "Stennay material store")
                .contains("Third wheel", "out for work", "promised in 3 days", "the wheel cutter at Skarholt")
                .contains(number + " · Tidewell harbour-master&#39;s");
    }

    /** Interim: the watch cannot leave; the wheel arrives, is fitted, and it can as far as that goes. */
    @Test
    void interimPartKeepsTheWatchUntilTheOrderedOneIsFitted() {
        assertThat(hand.post("/handover", Map.of("words", "to the owner")).body())
                .contains("The watch cannot leave");
        assertThat(interim()).containsExactly("Crown wheel (two teeth chipped) waits for its replacement");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + number + "/handover");
            browser.click("a[aria-label^='settle it: Crown wheel (two teeth chipped) waits']");
            browser.seeText("the old one sits in its place meanwhile");
            assertThat(browser.see(".card-title").getText()).isEqualTo("Crown wheel");
            browser.key('5');
            browser.seeText("here, to fit");
            browser.seeText("It is settled by being fitted");
            browser.key('-');
            browser.seeText("the old one sits in its place meanwhile");
            browser.key('5');
            // other watches' parts are here, too: this one's is meant
            browser.untilTrue("the wheel to be here", () -> want("crown-wheel").state() == Want.State.TO_FIT);
        }
        assertThat(finding("crown-wheel").decided().decision()).isEqualTo(Decision.REPLACE_NEW);
        assertThat(finding("crown-wheel").wanting()).isEqualTo("the other one is here and not fitted yet");
        assertThat(job().copies().now("crown-wheel").orElseThrow().words()).isEqualTo("5.2 mm, 28 teeth");

        // the old one comes off; the new one is rinsed, looked at and pressed on at the climb
        server.bean(Workshop.class).append(number, hand.load().sequence(), PartOff.plain("crown-wheel"));
        hand.post("/wash", Map.of("way", "MACHINE", "part", "crown-wheel"));
        hand.post("/inspect/judge", Map.of("part", "crown-wheel", "grade", "GOOD"));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + number + "/climb?line=crown-wheel");
            browser.seeText("another one, new");
            browser.keyOnBench('5');
            if (job().teardown().isOff("crown-wheel")) {
                // its screw is left-hand: asked, and the same key says yes
                browser.keyOnBench('5');
            }
        }

        assertThat(finding("crown-wheel").isSettled()).isTrue();
        assertThat(want("crown-wheel").state()).isEqualTo(Want.State.DONE);
        assertThat(interim()).isEmpty();
        assertThat(visitor.get("/parts").body())
                .doesNotContain("want=" + number + ":" + want("crown-wheel").key());
    }

    @Test
    void workIsPutOffComesBackUncheckedAndIsJudged() {
        assertThat(sent("third-wheel", "/put-off", Map.of("expected", "2020-01-01")))
                .contains("promised for a day that has passed");
        sent("third-wheel", "/put-off", Map.of("expected", ""));
        assertThat(want("third-wheel").expected()).isNull();
        sent("third-wheel", "/came", Map.of("judgement", "UNCHECKED"));
        assertThat(want("third-wheel").state()).isEqualTo(Want.State.TO_CHECK);
        assertThat(sent("third-wheel", "/came", Map.of("judgement", "UNCHECKED")))
                .contains("came already");
        assertThat(sent("third-wheel", "/came", Map.of("judgement", "WRONG")))
                .contains("What is wrong with it is not said");
        sent("third-wheel", "/came", Map.of("judgement", "WRONG", "words", "leaves still grooved"));

        assertThat(want("third-wheel").state()).isEqualTo(Want.State.TO_SEND);
        assertThat(finding("third-wheel").wanting()).isEqualTo("it failed: another decision is wanted");
        assertThat(visitor.get("/jobs/" + number + "/findings").body()).contains("What to do about it");
    }

    @Test
    void nothingIsReceivedTwiceAndNothingThatWasCalledOff() {
        int order = want("crown-wheel").order();
        sent("crown-wheel", "/came", Map.of("judgement", "RIGHT"));
        int copies = job().copies().of("crown-wheel").size();
        assertThat(sent("crown-wheel", "/came", Map.of("judgement", "RIGHT", "order", order)))
                .contains("came already");
        assertThat(job().copies().of("crown-wheel")).hasSize(copies);

        int out = want("third-wheel").order();
        assertThat(sent("third-wheel", "/call-off", Map.of("words", " "))).contains("Why it is called off is not said");
        sent("third-wheel", "/call-off", Map.of("words", "the cutter has closed"));
        assertThat(sent("third-wheel", "/came", Map.of("judgement", "RIGHT", "order", out)))
                .contains("was called off");
        assertThat(want("third-wheel").words()).isEqualTo("called off: the cutter has closed");
    }

    @Test
    void ordersAreRefusedPlainlyAndChangeNothing() {
        sent("third-wheel", "/call-off", Map.of("words", "the cutter has closed"));
        int before = hand.load().sequence();

        assertThat(sent("third-wheel", "/order", Map.of("supplier", "x", "price", "dear")))
                .contains("“dear” is no number");
        assertThat(sent("third-wheel", "/order", Map.of("supplier", "x", "price", "-3")))
                .contains("A price lies between");
        assertThat(sent("third-wheel", "/order", Map.of("supplier", "x", "expected", "soon")))
                .contains("“soon” is no day");
        assertThat(sent("third-wheel", "/order", Map.of("supplier", ""))).contains("is not said");
        assertThat(sent("third-wheel", "/order", Map.of("supplier", "x".repeat(201))))
                .contains("at most 200");
        assertThat(hand.post("/wants/f999/order", Map.of("supplier", "x")).body())
                .contains("is wanted any more");
        assertThat(hand.post("/wants/new", Map.of("what", "Hand", "supplier", "x", "part", "wing"))
                        .body())
                .contains("The sheet has no such part");
        assertThat(hand.load().sequence()).isEqualTo(before);

        sent("third-wheel", "/order", Map.of("supplier", "another cutter", "price", "85,50"));
        assertThat(want("third-wheel").price()).isEqualTo(85.5);
    }

    /** Kept on a condition: the desk remembers which, and what happened opens the finding again. */
    @Test
    void conditionIsRememberedAndReopens() {
        hand.post(
                "/findings/" + finding("crown-wheel").key() + "/decision",
                Map.of("decision", "REUSE_ON_CONDITION", "words", "if it slips when wound"));
        String key = "f" + finding("crown-wheel").key();
        assertThat(visitor.get("/parts?want=" + number + ":" + key).body()).contains("if it slips when wound");

        assertThat(hand.post("/wants/" + key + "/came-true", Map.of("words", ""))
                        .body())
                .contains("What happened is not said");
        assertThat(hand.post("/wants/" + key + "/came-true", Map.of("words", "it slips"))
                        .body())
                .contains("its condition came true", "What to do about it");
    }

    /** A jewel out of a drawer is no other bridge. */
    @Test
    void pieceOfAPartBringsNoOtherPart() {
        hand.post(
                "/findings",
                Map.of(
                        "part",
                        "train-bridge",
                        "grade",
                        "BROKEN",
                        "defect",
                        "CRACKED",
                        "origin",
                        "WEAR",
                        "words",
                        "seen",
                        "placeKind",
                        "JEWEL",
                        "placeName",
                        "third wheel"));
        Finding jewel = job().findings().on("train-bridge").get(0);
        hand.post("/findings/" + jewel.key() + "/decision", Map.of("decision", "REPLACE_NEW", "source", "the drawer"));
        String page = visitor.get("/parts?want=" + number + ":f" + jewel.key()).body();

        assertThat(page).contains("Order it").doesNotContain("It is here: from where");
        assertThat(hand.post("/wants/f" + jewel.key() + "/here", Map.of("source", "the drawer"))
                        .body())
                .contains("is a piece of a part");
        assertThat(job().copies().of("train-bridge")).hasSize(1);
        hand.post("/wants/f" + jewel.key() + "/order", Map.of("supplier", "Stennay material store"));
        int order = job().supply().want("f" + jewel.key()).orElseThrow().order();
        assertThat(hand.post("/wants/f" + jewel.key() + "/came", Map.of("order", order, "judgement", "RIGHT"))
                        .body())
                .contains("to the finding", "saying that it was put in");
        assertThat(job().copies().of("train-bridge")).hasSize(1);
    }

    /** Said on the page of findings, not on the desk: an interim part gives way all the same. */
    @Test
    void copyAtHandEndsAnInterim() {
        hand.post("/copies", Map.of("part", "crown-wheel", "origin", "MADE", "source", "the lathe"));

        assertThat(finding("crown-wheel").decided().decision()).isEqualTo(Decision.MAKE);
        assertThat(finding("crown-wheel").wanting()).isEqualTo("the other one is here and not fitted yet");
        assertThat(interim()).isEmpty();
    }

    /** A watch that went back asks for nothing any more; what was ordered for it is still on its way. */
    @Test
    void watchThatWentBackLeavesOnlyItsOrders() {
        hand.post(
                "/findings/" + finding("crown-wheel").key() + "/decision",
                Map.of("decision", "REUSE_ON_CONDITION", "words", "if it slips when wound"));
        SupplyMapper mapper = server.bean(SupplyMapper.class);
        assertThat(mapper.standing(List.of(List.of("CONDITION")), 0, 1000)).anyMatch(l -> l.job() == number);
        List<String> open = job().accounts().stream()
                .flatMap(a -> a.blocking().stream())
                .map(OpenItem::key)
                .toList();
        server.bean(Workshop.class)
                .append(
                        number,
                        hand.load().sequence(),
                        open.stream()
                                .map(k -> new ItemWaived(k, k, "the owner wants it as it is"))
                                .toList());

        hand.post("/handover", Map.of("words", "to the owner"));

        assertThat(hand.load().stage()).isEqualTo(Stage.HANDED_OVER);
        assertThat(mapper.standing(List.of(List.of("CONDITION", "TO_ORDER", "TO_FIT")), 0, 1000))
                .noneMatch(l -> l.job() == number);
        assertThat(mapper.standing(List.of(List.of("ORDERED", "OUT")), 0, 1000).stream()
                        .filter(l -> l.job() == number))
                .extracting(SupplyMapper.Line::what)
                .containsExactlyInAnyOrder("Crown wheel", "Third wheel");
    }

    @Test
    void tablesFollowTheSteps() {
        SupplyMapper mapper = server.bean(SupplyMapper.class);
        assertThat(mapper.standing(List.of(List.of("ORDERED")), 0, 1000).stream()
                        .filter(l -> l.job() == number))
                .singleElement()
                .satisfies(l -> assertThat(l.price()).isEqualTo(24));

        sent("crown-wheel", "/came", Map.of("judgement", "RIGHT"));

        assertThat(mapper.standing(List.of(List.of("ORDERED")), 0, 1000)).noneMatch(l -> l.job() == number);
        assertThat(mapper.standing(List.of(List.of("TO_FIT")), 0, 1000)).anyMatch(l -> l.job() == number);
        assertThat(mapper.before("cv-12", "crown-wheel", 0, 1000))
                .filteredOn(b -> b.job() == number)
                .extracting(SupplyMapper.Before::source, SupplyMapper.Before::size)
                .containsExactly(tuple("Stennay material store", "5.2 mm, 28 teeth"));
    }
}
