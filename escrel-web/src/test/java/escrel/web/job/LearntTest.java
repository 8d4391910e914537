package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.learning.SeenOrders;
import escrel.core.parts.FindingRaised;
import escrel.core.service.PartOff;
import escrel.core.service.TakenBack;
import escrel.core.teardown.StepTimes;
import escrel.core.timing.comparison.Expectations;
import escrel.web.list.ListMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is learnt from rows says the same as what whole histories say. */
class LearntTest {
    private static final int NEWEST = 60;

    private final EscrelServer server = EscrelServer.demo();
    private final Workshop workshop = server.bean(Workshop.class);
    private final Learnt learnt = server.bean(Learnt.class);

    private List<OpenJob> jobsOf(String calibre) {
        List<OpenJob> jobs = new ArrayList<>();
        for (ListMapper.Line line : server.bean(ListMapper.class).after(0, 1_000)) {
            OpenJob job = workshop.load(line.number());
            if (job.sheet() != null && job.sheet().id().equals(calibre)) {
                jobs.add(0, job);
            }
        }
        return jobs;
    }

    private SeenOrders fromHistories(String calibre) {
        return SeenOrders.of(jobsOf(calibre).stream()
                .map(j -> j.history()
                        .all(PartOff.class)
                        .map(PartOff::part)
                        .distinct()
                        .toList())
                .filter(order -> order.size() > 1)
                .toList());
    }

    /** Three watches of a calibre of its own; what is counted for the third is what the two others showed. */
    @Test
    void whatWasFoundIsCountedForTheNextWatchAndUndone() {
        Visitor visitor = new Visitor(server.url());
        visitor.post("/calibres/cv-12/copy", Map.of("newId", "learnt-found", "newName", "Learnt found"));
        int first = visitor.openJob("Tidewell P-670", "learnt-found");
        int second = visitor.openJob("Tidewell P-671", "learnt-found");
        int third = visitor.openJob("Tidewell P-672", "learnt-found");
        for (int job : new int[] {first, second}) {
            off(job, "case-back");
            off(job, "dial");
        }
        assertThat(learnt.foundBefore(workshop.load(third)).on("dial")).isEmpty();

        workshop.append(
                first,
                workshop.load(first).sequence(),
                new FindingRaised("dial", Grade.MEND, Defect.CRACKED, Origin.ACCIDENT, "hairline"));
        assertThat(learnt.foundBefore(workshop.load(third)).on("dial")).contains("cracked in 1 of 2");
        // of its own it says nothing: of the second alone there is nothing to say
        assertThat(learnt.foundBefore(workshop.load(first)).on("dial")).isEmpty();
        assertThat(visitor.get("/jobs/" + third + "/strip?part=dial").body()).contains("cracked in 1 of 2");
        assertThat(visitor.get("/jobs/" + third + "/findings").body()).contains("Dial: cracked in 1 of 2 here");

        learnt.forget();
        assertThat(learnt.foundBefore(workshop.load(third)).on("dial")).contains("cracked in 1 of 2");
        workshop.append(
                first,
                workshop.load(first).sequence(),
                new TakenBack(workshop.load(first).sequence()));
        assertThat(learnt.foundBefore(workshop.load(third)).on("dial")).isEmpty();
    }

    /** A calibre of its own: other tests work on the demo's at the same time. */
    @Test
    void ordersFollowEveryStepAndEveryUndo() {
        Visitor visitor = new Visitor(server.url());
        visitor.post("/calibres/cv-12/copy", Map.of("newId", "learnt-orders", "newName", "Learnt orders"));
        int first = visitor.openJob("Tidewell P-660", "learnt-orders");
        int second = visitor.openJob("Tidewell P-661", "learnt-orders");
        assertThat(learnt.orders("learnt-orders").teardowns()).isZero();

        for (String part : List.of("case-back", "dial", "hour-wheel")) {
            off(first, part);
            requireSame();
        }
        off(second, "dial");
        requireSame();
        off(second, "case-back");
        requireSame();
        assertThat(learnt.orders("learnt-orders").seenBothWays("dial", "case-back"))
                .isTrue();
        workshop.append(
                second,
                workshop.load(second).sequence(),
                new TakenBack(workshop.load(second).sequence()));
        requireSame();
        assertThat(learnt.orders("learnt-orders").seenBothWays("dial", "case-back"))
                .isFalse();
    }

    private void off(int job, String part) {
        workshop.append(job, workshop.load(job).sequence(), PartOff.plain(part));
    }

    private void requireSame() {
        SeenOrders rows = learnt.orders("learnt-orders");
        SeenOrders histories = fromHistories("learnt-orders");
        assertThat(rows.teardowns()).isEqualTo(histories.teardowns());
        assertThat(rows.chain()).containsExactlyInAnyOrderElementsOf(histories.chain());
    }

    /** Nothing is opened of this calibre by any other test. */
    @Test
    void timesAndFiguresAreThoseOfTheServices() {
        List<OpenJob> jobs = jobsOf("cv-28");
        StepTimes fromHistories = StepTimes.of(
                jobs.stream().map(j -> StepTimes.ofService(j.history())).toList());
        StepTimes fromRows = learnt.times("cv-28", NEWEST);

        assertThat(fromRows.services()).isEqualTo(fromHistories.services()).isPositive();
        jobs.get(0).movement().parts().forEach(p -> {
            double expected = fromHistories.minutes(p.code()).orElse(-1);
            assertThat(fromRows.minutes(p.code()).orElse(-1)).isBetween(expected - 1e-3, expected + 1e-3);
        });
        List<double[]> figures = jobs.stream()
                .flatMap(j -> Expectations.ofService(j.history()).stream())
                .map(Expectations::figuresOf)
                .toList();
        assertThat(learnt.figures("cv-28", 0, NEWEST)).hasSameSizeAs(figures);
        for (int i = 0; i < figures.size(); i++) {
            assertThat(learnt.figures("cv-28", 0, NEWEST).get(i)).containsExactly(figures.get(i));
        }
    }
}
