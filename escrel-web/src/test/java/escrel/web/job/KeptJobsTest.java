package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.school.Choice;
import escrel.core.service.Arrival;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.service.StepKind;
import escrel.core.service.WorkAgreed;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.JobMapper;
import escrel.web.storage.Sheets;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A job that is kept says at every moment what the file says. */
class KeptJobsTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Workshop workshop = SERVER.bean(Workshop.class);
    private final JobMapper mapper = SERVER.bean(JobMapper.class);
    private final Visitor visitor = new Visitor(SERVER.url());
    private final TransactionTemplate transaction =
            new TransactionTemplate(SERVER.bean(PlatformTransactionManager.class));

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private static List<?> steps(OpenJob job) {
        return job.recorded().recorded().stream().map(RecordedStep::step).toList();
    }

    /** What a workshop says that has nothing in memory, on the same file. */
    private OpenJob readAnew(int number) {
        KeptJobs empty = new KeptJobs(
                mapper, SERVER.bean(Sheets.class), SERVER.bean(CaseSheets.class), SERVER.bean(Habits.class));
        return empty.load(mapper.find(number).orElseThrow());
    }

    @Test
    void askedForAgainItIsTheSameUntilSomethingIsAdded() {
        int job = visitor.openJob("Kept watch", "");
        OpenJob first = workshop.load(job);

        assertThat(workshop.load(job).job()).isSameAs(first.job());
        workshop.append(job, first.sequence(), new Noted(null, "one more"));
        assertThat(workshop.load(job).sequence()).isEqualTo(first.sequence() + 1);
    }

    @Test
    void whatWasRolledBackIsNeverSeen() {
        int job = visitor.openJob("Rolled back watch", "");
        int before = workshop.load(job).sequence();

        transaction.executeWithoutResult(status -> {
            workshop.append(job, before, new Noted(null, "never said"));
            assertThat(workshop.load(job).sequence()).isEqualTo(before + 1);
            status.setRollbackOnly();
        });

        assertThat(workshop.load(job).sequence()).isEqualTo(before);
        assertThat(steps(workshop.load(job))).isEqualTo(steps(readAnew(job)));
    }

    /** A long reading that asks once more after an erasure is told what there is, not what it read before. */
    @Test
    void longReadingBringsBackNoErasedOwner() {
        int job = visitor.openJob("Watch of one who asked", "");
        String owner = workshop.load(job).arrival().owner();
        transaction.executeWithoutResult(status -> {
            assertThat(readAnew(job).arrival().owner()).isEqualTo(owner).isNotEqualTo(OwnersData.ERASED);
            visitor.post("/jobs/" + job + "/owner/erase", Map.of("seq", visitor.sequence(job), "owner", owner));
            assertThat(readAnew(job).arrival().owner()).isEqualTo(OwnersData.ERASED);
        });
    }

    @Test
    void whatAnotherHasNotCommittedIsNotSeen() {
        int job = visitor.openJob("Watch of two", "");
        int before = workshop.load(job).sequence();

        transaction.executeWithoutResult(status -> {
            workshop.append(job, before, new Noted(null, "not yet"));
            assertThat(visitor.sequence(job)).isEqualTo(before);
        });

        assertThat(visitor.sequence(job)).isEqualTo(before + 1);
    }

    @Test
    void numberOfAJobThatWasRolledBackBringsNothingOfItBack() {
        OpenJob first = workshop.load(visitor.openJob("First watch", ""));
        Arrival arrival = first.arrival();
        WorkAgreed agreed = first.history().last(WorkAgreed.class).orElseThrow();
        int[] number = new int[1];
        transaction.executeWithoutResult(status -> {
            number[0] = workshop.open(UUID.randomUUID().toString(), arrival, agreed, List.of());
            workshop.append(number[0], 2, new Noted(null, "of the job that never was"));
            workshop.load(number[0]);
            status.setRollbackOnly();
        });
        assertThatThrownBy(() -> workshop.load(number[0])).isInstanceOf(NoSuchJobException.class);

        int next = visitor.openJob("Next watch", "");
        assertThat(steps(workshop.load(next))).isEqualTo(steps(readAnew(next)));
    }

    @Test
    void otherHabitsOfTheWorkshopReachAJobThatIsKept() {
        int job = visitor.openJob("Habit watch", "");
        Choice one = Choice.values()[0];
        Choice other = one.school().choices().get(1);
        Habits habits = SERVER.bean(Habits.class);
        habits.choose(Habits.WORKSHOP, one);
        assertThat(workshop.load(job).schools().has(one)).isTrue();

        habits.choose(Habits.WORKSHOP, other);

        assertThat(workshop.load(job).schools().has(other)).isTrue();
        habits.forget(Habits.WORKSHOP, one.school());
    }

    @Test
    void habitIsOnesOwnUntilItIsKeptAndGoneWithWhatIsNot() {
        Habits habits = SERVER.bean(Habits.class);
        Choice other = Choice.DIAL_WITH_ITS_SIDE;
        assertThat(habits.of("zz-own").has(other)).isFalse();

        transaction.executeWithoutResult(status -> {
            habits.choose("zz-own", other);
            assertThat(habits.of("zz-own").has(other)).isTrue();
            assertThat(elsewhere(() -> habits.of("zz-own").has(other))).isFalse();
            status.setRollbackOnly();
        });

        assertThat(habits.of("zz-own").has(other)).isFalse();
    }

    @Test
    void longReadingBringsBackNoEarlierHabit() {
        Habits habits = SERVER.bean(Habits.class);
        Choice other = Choice.DIAL_WITH_ITS_SIDE;

        transaction.executeWithoutResult(status -> {
            habits.of("zz-long");
            elsewhere(() -> {
                habits.choose("zz-long", other);
                return true;
            });
            habits.of("zz-long");
        });

        assertThat(habits.of("zz-long").has(other)).isTrue();
    }

    /** What somebody else sees or does at this moment. */
    private static boolean elsewhere(Supplier<Boolean> act) {
        return CompletableFuture.supplyAsync(act).join();
    }

    @Test
    void erasedNameIsNotRememberedAndDoesNotComeBackWithTheNextStep() {
        int job = visitor.openJob("Erased watch", "");
        String owner = workshop.load(job).arrival().owner();

        SERVER.bean(OwnersData.class).erase(owner);

        assertThat(workshop.load(job).arrival().owner()).isEqualTo(OwnersData.ERASED);
        workshop.append(job, workshop.load(job).sequence(), new Noted(null, "afterwards"));
        assertThat(workshop.load(job).arrival().owner()).isEqualTo(OwnersData.ERASED);
        assertThat(mapper.find(job).orElseThrow().owner()).isEqualTo(OwnersData.ERASED);
    }

    /** Appending, taking back, rolling back and reading in any order: what is kept is what the file says. */
    @Test
    void inAnyOrderOfActsItSaysWhatTheFileSays() {
        Random random = new Random(5);
        int[] jobs = {visitor.openJob("Any watch", ""), visitor.openJob("Other watch", "")};
        for (int i = 0; i < 120; i++) {
            int job = jobs[random.nextInt(2)];
            boolean rolledBack = random.nextInt(3) == 0;
            int act = random.nextInt(3);
            String words = "note " + i;
            transaction.executeWithoutResult(status -> {
                OpenJob open = workshop.load(job);
                if (act == 0 && Undo.of(open, StepKind.STRIP).back() != null) {
                    workshop.takeBack(job, open.sequence(), StepKind.STRIP);
                } else if (act == 1) {
                    workshop.append(
                            job, open.sequence(), List.of(new Noted(null, words), new Noted(null, words + " again")));
                }
                if (rolledBack) {
                    status.setRollbackOnly();
                }
            });
            assertThat(steps(workshop.load(job))).as("act %d", i).isEqualTo(steps(readAnew(job)));
        }
    }
}
