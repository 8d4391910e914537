package escrel.web.supply;

import escrel.core.job.Job;
import escrel.core.parts.Finding;
import escrel.core.supply.Want;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;

/** The harbour-master's watch: an interim crown wheel sits in it, the ordered one is late, the third wheel is away. */
abstract class WaitingWatch {
    final EscrelServer server = EscrelServer.demo();
    final Visitor visitor = new Visitor(server.url());
    int number;
    BenchHand hand;

    /** A copy of the demo's job 5, which nobody else works on. */
    @BeforeEach
    void takeInTheWatch() {
        Workshop workshop = server.bean(Workshop.class);
        OpenJob five = workshop.load(5);
        number = workshop.keep(0, five.openedAt().toInstant(), five.recorded().recorded());
        hand = new BenchHand(server, number);
    }

    Job job() {
        return hand.load().job();
    }

    Want want(String part) {
        return job().supply().wants().stream()
                .filter(w -> part.equals(w.part()))
                .findFirst()
                .orElseThrow();
    }

    Finding finding(String part) {
        return job().findings().on(part).get(0);
    }

    String sent(String part, String act, Map<String, ?> form) {
        Map<String, Object> all = new HashMap<>(form);
        all.putIfAbsent("order", want(part).order());
        return hand.post("/wants/" + want(part).key() + act, all).body();
    }
}
