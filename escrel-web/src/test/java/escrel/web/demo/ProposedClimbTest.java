package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.EarlyIn;
import escrel.core.calibre.Hold;
import escrel.core.calibre.OilPoint;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.order.Constraint;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import escrel.core.service.Episode;
import escrel.core.service.RecordedStep;
import escrel.web.testing.BenchHand;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The climb as it is proposed, over random schools, random legal orders of the teardown and one to three rounds: each line closes
 * over nothing, by the bare sheet as well as by the rules.
 */
@Tag("long")
class ProposedClimbTest {
    static Stream<Arguments> services() {
        return Stream.of("cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h")
                .flatMap(id -> Stream.of(1, 2, 3).map(rounds -> Arguments.of(id, rounds)));
    }

    private static Schools randomSchools(Random random) {
        Schools schools = Schools.DEFAULT;
        for (School school : School.values()) {
            List<Choice> choices = school.choices();
            schools = schools.with(choices.get(random.nextInt(choices.size())));
        }
        return schools;
    }

    @ParameterizedTest
    @MethodSource("services")
    void closesOverNothing(String id, int rounds) {
        CalibreSheet sheet = BenchHand.demoSheet(id);
        for (int draw = 0; draw < 1; draw++) {
            Random random = new Random(1000L * rounds + 10 * draw + id.hashCode());
            RandomService service = new RandomService(sheet, random.nextLong(), randomSchools(random));
            service.open("").clean().closeAsProposed(ProposedClimbTest::assertLegal);
            for (int round = 2; round <= rounds; round++) {
                service.open(round == 3 ? "" : service.anyHome()).clean();
                service.closeAsProposed(ProposedClimbTest::assertLegal);
            }
            Job job = service.finalReading().job();
            assertThat(job.wayUp().lines()).isEmpty();
            assertThat(job.wayUp().forgotten()).isEmpty();
            assertThat(job.mayLeave()).isTrue();
            assertHoldsOfTheBareSheet(job, sheet);
        }
    }

    private static void assertLegal(AssemblyPlan plan, AssemblyPlan.Line line) {
        assertThat(plan.brokenBy(line))
                .as(line.code())
                .noneMatch(Constraint::wantsReason)
                .noneMatch(Constraint::isSchool);
        assertThat(plan.forgotten()).isEmpty();
    }

    /** In the last stay of both, what is held went on before what holds it, early parts before theirs, oil within its window. */
    private static void assertHoldsOfTheBareSheet(Job job, CalibreSheet sheet) {
        for (Hold hold : sheet.holds()) {
            // power is no part that goes on again: it comes back with winding
            if (!sheet.requirePart(hold.by()).isPowerDown()
                    && !sheet.requirePart(hold.part()).isPowerDown()) {
                assertBefore(job, hold.part(), hold.by());
            }
        }
        for (EarlyIn early : sheet.earlyIns()) {
            boolean cap = sheet.jewels().stream().anyMatch(j -> j.part().equals(early.part()));
            // when caps are oiled is a school: their own test is the rules'
            if (!cap) {
                assertBefore(job, early.part(), early.before());
            }
        }
        for (OilPoint point : sheet.oilPoints()) {
            int oiled = job.history().counting().stream()
                    .filter(e -> e.step() instanceof Oiled o && o.point().equals(point.code()))
                    .mapToInt(RecordedStep::sequence)
                    .max()
                    .orElseThrow();
            String before = point.before();
            Episode cover = before == null ? null : job.lives().episode(before).orElse(null);
            // a bridge lifted alone brings its points again, under what stayed on below
            int opened = Stream.of(
                            point.part(), Optional.ofNullable(point.after()).orElse(point.part()))
                    .mapToInt(p -> job.lives().episode(p).orElseThrow().offAt())
                    .max()
                    .orElseThrow();
            assertThat(oiled).as(point.code()).isGreaterThan(opened);
            // the cover's last stay is this one: it went on after the oil
            if (cover != null && cover.offAt() < oiled && cover.onAt() > opened) {
                assertThat(oiled).as(point.code() + " before " + before).isLessThan(cover.onAt());
            }
        }
    }

    private static void assertBefore(Job job, String first, String then) {
        Episode one = job.lives().episode(first).orElse(null);
        Episode other = job.lives().episode(then).orElse(null);
        boolean sameStay = one != null
                && other != null
                && one.offAt() > 0
                && one.onAt() > 0
                && other.onAt() > 0
                && one.onAt() > other.offAt()
                && other.onAt() > one.offAt();
        if (sameStay) {
            assertThat(one.onAt()).as(first + " before " + then).isLessThan(other.onAt());
        }
    }
}
