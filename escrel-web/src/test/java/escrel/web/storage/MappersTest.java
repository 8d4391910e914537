package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The mappers against real H2 with the real migrations. */
class MappersTest {
    private static final OffsetDateTime NOON =
            OffsetDateTime.of(2026, 11, 23, 12, 0, 0, 123_000, ZoneOffset.ofHours(1));

    private final JobMapper jobs = EscrelServer.demo().bean(JobMapper.class);
    private final SheetMapper sheets = EscrelServer.demo().bean(SheetMapper.class);
    private final PhotoMapper photos = EscrelServer.demo().bean(PhotoMapper.class);
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
                "reading after a day");
    }

    @BeforeEach
    void insertAJob() {
        number = jobs.nextNumber();
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

        assertThat(jobs.steps(number)).containsExactly(first, second);
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
    void photosKeepTheirBytes() {
        byte[] picture = {1, 2, -3};
        photos.insert(number, 1, "image/jpeg", picture, new byte[] {9});

        assertThat(photos.find(number, 1))
                .hasValueSatisfying(p -> assertThat(p.bytes()).isEqualTo(picture));
        assertThat(photos.findSmall(number, 1))
                .hasValueSatisfying(p -> assertThat(p.bytes()).containsExactly(9));
        assertThat(photos.nextNumber(number)).isEqualTo(2);
        assertThat(photos.all(number)).hasSize(1);
    }
}
