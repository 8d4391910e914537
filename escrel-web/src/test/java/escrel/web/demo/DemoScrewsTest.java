package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.ScrewPlace;
import escrel.core.job.Job;
import escrel.core.parts.PartScrews;
import escrel.core.parts.Tray;
import escrel.core.service.Corrected;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Tally;
import escrel.core.service.Visit;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.ladder.Ladder;
import escrel.web.storage.Json;
import escrel.web.storage.StepJson;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * The screws of every demo job, at every step of its history: tray, ladder, card, account and report say the number that a
 * plain count of the steps gives. Source: M17.
 */
class DemoScrewsTest {
    private static final int LAST_OF_THE_DEMO = 22;

    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    /** Every job of the demo, by the door that lists them; what other tests open on the same server is left to them. */
    private List<Integer> numbers() {
        List<Integer> numbers = new ArrayList<>();
        Json.MAPPER
                .readTree(visitor.get("/jobs.json").body())
                .forEach(j -> numbers.add(j.path("number").asInt()));
        numbers.removeIf(n -> n > LAST_OF_THE_DEMO);
        assertThat(numbers).hasSize(LAST_OF_THE_DEMO);
        return numbers;
    }

    /** What lies in the tray by the steps alone: the screws of what is off, less what was found missing. */
    private static int counted(CalibreSheet sheet, JobHistory history) {
        Map<String, PartOff> off = new HashMap<>();
        Set<String> visiting = new HashSet<>();
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof PartOff step && sheet.part(step.part()).isPresent()) {
                off.put(step.part(), step);
            } else if (entry.step() instanceof PartOn step) {
                off.remove(step.part());
                visiting.remove(step.part());
            } else if (entry.step() instanceof Visit visit) {
                if (visit.act() == Visit.Act.BEGIN) {
                    visiting.add(visit.part());
                } else {
                    visiting.remove(visit.part());
                }
            }
        }
        off.keySet().removeAll(visiting);
        return off.values().stream().mapToInt(step -> lying(sheet, step)).sum();
    }

    private static int lying(CalibreSheet sheet, PartOff step) {
        long comeOut = sheet.screwsOf(step.part()).stream()
                .filter(s -> s.head() != ScrewPlace.Head.SIDE && s.head() != ScrewPlace.Head.HALF_MOON)
                .count();
        return (int) Math.max(0, comeOut - step.screws().count(ScrewsFound.State.MISSING));
    }

    @Test
    void everyNumberAgreesAtEveryStepOfEveryJob() {
        int looked = 0;
        for (int number : numbers()) {
            Job whole = server.bean(Workshop.class).load(number).job();
            for (RecordedStep entry : whole.recorded().recorded()) {
                Job job = whole.upTo(entry.sequence());
                assertAgree(number, entry.sequence(), job);
                looked++;
            }
        }
        assertThat(looked).as("steps looked at").isGreaterThan(1000);
    }

    /** The demo itself has no missing screw: one is taken away from every job that has two in the tray. */
    @Test
    void everyNumberAgreesWithOneScrewMissing() {
        int looked = 0;
        for (int number : numbers()) {
            Job job = server.bean(Workshop.class).load(number).job();
            Optional<RecordedStep> off = job.history().counting().stream()
                    .filter(e -> e.step() instanceof PartOff step
                            && job.teardown().isOff(step.part())
                            && job.screws().of(step.part()).count(PartScrews.Where.OUT) > 1)
                    .reduce((a, b) -> b);
            if (off.isPresent()) {
                PartOff was = (PartOff) off.get().step();
                PartOff is = new PartOff(
                        was.part(),
                        was.asFound(),
                        ScrewsFound.of(ScrewsFound.State.MISSING, 1),
                        was.plan(),
                        was.note(),
                        was.inSpiteOf());
                int next = job.recorded().lastSequence() + 1;
                Job then = job.having(job.recorded()
                        .with(new RecordedStep(
                                next, off.get().at(), new Corrected(off.get().sequence(), is))));
                assertAgree(number, next, then);
                assertThat(then.screws().out()).isEqualTo(job.screws().out() - 1);
                assertThat(ladderTicks(then)).isEqualTo(ladderTicks(job) - 1);
                looked++;
            }
        }
        assertThat(looked).as("jobs with screws in the tray").isGreaterThan(2);
    }

    private static void assertAgree(int number, int sequence, Job job) {
        String where = "job %d after step %d".formatted(number, sequence);
        int out = counted(job.movement(), job.history());

        assertThat(job.screws().out()).as("account, " + where).isEqualTo(out);
        assertThat(job.tray().compartments().stream()
                        .map(Tray.Compartment::screws)
                        .mapToInt(List::size)
                        .sum())
                .as("tray, " + where)
                .isEqualTo(out);
        Tally tally = job.screws().tally(job.history().ruleBook());
        int eased = job.screws().all().stream()
                .mapToInt(p -> p.count(PartScrews.Where.EASED))
                .sum();
        int visiting = job.lives().visiting().stream()
                .mapToInt(p -> job.screws().of(p).count(PartScrews.Where.IN))
                .sum();
        long open =
                tally.open().stream().filter(i -> i.key().startsWith("screw:")).count();
        long leftOut = job.lives().leftOut().keySet().stream()
                .mapToLong(p -> job.screws().of(p).count(PartScrews.Where.OUT))
                .sum();
        assertThat(open).as("to hand over, " + where).isEqualTo(out + eased + visiting - leftOut);
        assertThat(ladderTicks(job)).as("ladder, " + where).isEqualTo(holes(job));
    }

    /** Holes along the rungs of the ladder, and of the parts the ladder names. */
    private static int ladderTicks(Job job) {
        return Ladder.of(job, Ladder.order(job), null).rungs().stream()
                .mapToInt(r -> r.ticks() - r.missing())
                .sum();
    }

    private static int holes(Job job) {
        return Ladder.order(job).stream()
                .mapToInt(p -> job.movement().screwsOf(p.code()).size()
                        - job.screws().of(p.code()).count(PartScrews.Where.EMPTY))
                .sum();
    }

    /** Over the pages, and from the steps written and read again. */
    @Test
    void pagesAndStepsReadBackFromJsonSayTheSame() {
        for (int number : numbers()) {
            OpenJob open = server.bean(Workshop.class).load(number);
            int out = counted(open.movement(), open.history());
            String words = out + (out == 1 ? " screw out" : " screws out");

            assertThat(visitor.get("/jobs/" + number + "/tray").body())
                    .as("tray of job " + number)
                    .contains(words);
            JobHistory carried = JobHistory.of(open.job().recorded().recorded().stream()
                    .map(e -> new RecordedStep(
                            e.sequence(), e.at(), StepJson.read(StepJson.kindOf(e.step()), StepJson.write(e.step()))))
                    .toList());
            assertThat(open.job().having(carried).screws().out())
                    .as("read back, job " + number)
                    .isEqualTo(out);
        }
    }

    /** The card on the bench, the account in the report, and the file that another workshop would take in. */
    @Test
    void cardReportAndDossierSayTheSame() {
        Pattern row = Pattern.compile("<tr><td>screws</td><td>(\\d+)</td><td>(\\d+) in their holes");
        int looked = 0;
        for (int number : numbers()) {
            OpenJob open = server.bean(Workshop.class).load(number);
            if (open.movement().parts().isEmpty()) {
                continue;
            }
            int out = counted(open.movement(), open.history());
            String strip = visitor.get("/jobs/" + number + "/strip?part="
                            + open.movement().parts().get(0).code())
                    .body();
            assertThat(strip).as("card of job " + number).contains(out + " screws out");

            Matcher told =
                    row.matcher(visitor.get("/jobs/" + number + "/report").body());
            assertThat(told.find()).as("report of job " + number).isTrue();
            assertThat(Integer.parseInt(told.group(1)))
                    .isEqualTo(open.movement().screws().size());
            assertThat(Integer.parseInt(told.group(1)) - Integer.parseInt(told.group(2)))
                    .as("not in their holes by the report of job " + number)
                    .isEqualTo(out + easedOfWhatIsOff(open));

            List<RecordedStep> steps = new ArrayList<>();
            Json.MAPPER
                    .readTree(visitor.get("/jobs/" + number + "/dossier.json").body())
                    .path("steps")
                    .forEach(s -> steps.add(new RecordedStep(
                            s.path("sequence").asInt(),
                            Instant.parse(s.path("at").asString()),
                            StepJson.readFromElsewhere(s.path("kind").asString(), s.path("step")))));
            assertThat(open.job().having(JobHistory.of(steps)).screws().out())
                    .as("dossier of job " + number)
                    .isEqualTo(out);
            looked++;
        }
        assertThat(looked).isGreaterThan(15);
    }

    /** Screws that only ease stay in their holes, but wait to be tightened. */
    private static int easedOfWhatIsOff(OpenJob open) {
        return open.job().lives().sheet().homes().stream()
                .filter(p -> open.teardown().isOff(p.code()))
                .mapToInt(p -> (int) open.movement().screwsOf(p.code()).stream()
                        .filter(s -> s.head() == ScrewPlace.Head.SIDE || s.head() == ScrewPlace.Head.HALF_MOON)
                        .count())
                .sum();
    }

    @Test
    void looseScrewsOfTheLampTimerAreOneLineInInspectionAndReport() {
        String line = "screws loose";
        assertThat(visitor.get("/jobs/3/findings").body()).contains("Signs of earlier work", line);
        assertThat(visitor.get("/jobs/3/report").body()).contains("Signs of earlier work", line);
    }
}
