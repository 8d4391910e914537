package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

/** The mappers against real H2 with the real migrations; what is put in here no page could read. */
class MappersTest {
    private static final EscrelServer SERVER = EscrelServer.knowing("cv-12");
    private static final OffsetDateTime NOON =
            OffsetDateTime.of(2026, 11, 23, 12, 0, 0, 123_000, ZoneOffset.ofHours(1));

    private final JobMapper jobs = SERVER.bean(JobMapper.class);
    private final SheetMapper sheets = SERVER.bean(SheetMapper.class);
    private final PhotoMapper photos = SERVER.bean(PhotoMapper.class);
    private final MediaMapper inUse = SERVER.bean(MediaMapper.class);
    private final Numbers numbers = SERVER.bean(Numbers.class);
    private final TransactionTemplate transaction = SERVER.bean(TransactionTemplate.class);
    private static final AtomicInteger NUMBERS = new AtomicInteger(700_000);
    private int number;

    private JobRow row(int lastSequence, String stage) {
        return new JobRow(
                number,
                NOON,
                NOON,
                lastSequence,
                "Watch “7”",
                "Owner",
                "cv-12",
                1,
                stage,
                "next",
                NOON,
                "reading after a day",
                "identity-" + number);
    }

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    @BeforeEach
    void insertAJob() {
        number = NUMBERS.incrementAndGet();
        jobs.insert(row(1, "ARRIVED"));
    }

    @Test
    void jobComesBackAsItWent() {
        assertThat(jobs.find(number)).hasValue(row(1, "ARRIVED"));
        assertThat(jobs.find(99_999)).isEmpty();
    }

    @Test
    void jobMovesOnOnlyFromWhatWasExpected() {
        assertThat(jobs.moveOn(row(2, "READ"), 1)).isEqualTo(1);
        assertThat(jobs.moveOn(row(2, "READ"), 1)).isZero();
        assertThat(jobs.find(number))
                .hasValueSatisfying(r -> assertThat(r.stage()).isEqualTo("READ"));
    }

    @Test
    void stepsComeBackInOrder() {
        StepRow second = new StepRow(number, 2, NOON, "note", "{\"words\":\"a line\\nand ' another\"}");
        StepRow first = new StepRow(number, 1, NOON, "note", "{}");
        jobs.insertStep(second);
        jobs.insertStep(first);

        assertThat(jobs.stepsAfter(number, 0)).containsExactly(first, second);
    }

    @Test
    void sheetsKeepEveryVersion() {
        sheets.insert("mapper-test", 1, "Mapper test", "{1}", NOON);
        sheets.insert("mapper-test", 2, "Mapper test", "{2}", NOON);

        assertThat(sheets.latestVersion("mapper-test")).isEqualTo(2);
        assertThat(sheets.find("mapper-test", 1)).hasValue("{1}");
        assertThat(sheets.find("mapper-test", 3)).isEmpty();
        assertThat(sheets.latest())
                .filteredOn(r -> r.calibre().equals("mapper-test"))
                .singleElement()
                .satisfies(r -> assertThat(r.version()).isEqualTo(2));
    }

    @Test
    void photoIsGivenOutInFullSizeOnlyOnceItIsScaled() {
        photos.insert(number, new PhotoMapper.PhotoRow(1, "image/jpeg", "small", "small", "raw", true));
        assertThat(photos.find(number, 1))
                .hasValueSatisfying(p -> assertThat(p.full()).isEmpty());
        assertThat(photos.waiting()).contains(new PhotoMapper.Waiting(number, 1));

        photos.scaled(number, 1, "picture", "full");

        assertThat(photos.find(number, 1)).hasValueSatisfying(p -> {
            assertThat(p.picture()).isEqualTo("picture");
            assertThat(p.full()).hasValue("full");
        });
        assertThat(photos.all(number)).hasSize(1);
        assertThat(inUse.inUse()).contains("picture", "small", "full").doesNotContain("raw");
    }

    @Test
    void numbersAreGivenOnceAndGoOnAfterOneFromElsewhere() {
        String scope = "test " + number;
        assertThat(transaction.<Integer>execute(t -> numbers.next(scope))).isEqualTo(1);
        assertThat(transaction.<Integer>execute(t -> numbers.next(scope))).isEqualTo(2);
        transaction.executeWithoutResult(t -> numbers.taken(scope, 9));
        transaction.executeWithoutResult(t -> numbers.taken(scope, 4));
        assertThat(transaction.<Integer>execute(t -> numbers.next(scope))).isEqualTo(10);
    }

    @Test
    void numberOfATransactionThatFailedIsGivenAgain() {
        String scope = "failed " + number;
        transaction.executeWithoutResult(t -> {
            numbers.next(scope);
            t.setRollbackOnly();
        });
        assertThat(transaction.<Integer>execute(t -> numbers.next(scope))).isEqualTo(1);
    }
}
