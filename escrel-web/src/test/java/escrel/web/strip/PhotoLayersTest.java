package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Group;
import escrel.core.calibre.Side;
import escrel.web.demo.PlanPicture;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Several pictures of a side, one for each layer: the one that shows the part is laid out, the others are leafed to. */
class PhotoLayersTest {
    private final EscrelServer server = EscrelServer.demo();
    private BenchHand hand;
    private int job;
    private String bridge;

    @BeforeEach
    void stripBetweenTwoPictures() {
        job = new Visitor(server.url()).openJob("Nobody's layered watch", "");
        hand = new BenchHand(server, job);
        picture(1);
        bridge = hand.name("Bridge over all", Group.TRAIN, Side.TRAIN);
        hand.off(bridge);
        picture(2);
        hand.name("Wheel beneath", Group.TRAIN, Side.TRAIN);
    }

    private void picture(int number) {
        hand.upload(
                "/plate/photo",
                Map.of("side", "TRAIN"),
                PlanPicture.of(BenchHand.demoSheet("m-7h"), Side.TRAIN, c -> false));
        hand.post("/plate", Map.of("photo", number, "side", "TRAIN", "centreX", 0.5, "centreY", 0.5, "radius", 0.42));
    }

    @Test
    void partThatIsOffIsShownInThePictureTakenWhileItWasOn() {
        assertThat(hand.get("/strip?side=TRAIN&part=" + bridge).body()).contains("picture 1 of 2", "/photos/1\"");
        assertThat(hand.get("/strip?side=TRAIN").body()).contains("picture 2 of 2", "/photos/2\"");
        assertThat(hand.get("/strip?side=TRAIN&layer=99").body()).contains("picture 2 of 2");
        assertThat(hand.get("/strip?side=TRAIN&layer=-3").body()).contains("picture 1 of 2");
    }

    @Test
    void layersAreLeafedThroughByKeys() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/strip?side=TRAIN");
            browser.seeText("picture 2 of 2");
            browser.key('[');
            browser.seeText("picture 1 of 2");
            browser.key(']');
            browser.seeText("picture 2 of 2");
        }
    }
}
