package escrel.web.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.web.ground.Backup;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(60)
class BackupNowTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-05-04T12:00:00Z"), ZoneOffset.UTC);
    private static final Backup.Made MADE = new Backup.Made(Path.of("backup"), Instant.EPOCH, 3, 40, 5, 6_000);
    private static final Duration LONG = Duration.ofSeconds(50);

    private final CountDownLatch mayGoOn = new CountDownLatch(1);
    private final AtomicInteger made = new AtomicInteger();

    private Backup.Made slowly() {
        try {
            mayGoOn.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        made.incrementAndGet();
        return MADE;
    }

    @Test
    void pageIsNotKeptWaitingAndToldOnceWhenItIsDone() {
        try (BackupNow now = new BackupNow(this::slowly, NOON)) {
            now.begin();
            assertThat(now.toTell(Duration.ZERO)).isEmpty();
            assertThat(now.runningSince()).contains(NOON.instant());

            mayGoOn.countDown();

            assertThat(now.toTell(LONG)).contains(MADE);
            assertThat(now.toTell(LONG)).isEmpty();
            assertThat(now.runningSince()).isEmpty();
        }
    }

    @Test
    void askedForTwiceOneIsMade() {
        try (BackupNow now = new BackupNow(this::slowly, NOON)) {
            now.begin();
            now.begin();
            mayGoOn.countDown();

            assertThat(now.toTell(LONG)).contains(MADE);
            assertThat(made).hasValue(1);
            now.begin();
            assertThat(now.toTell(LONG)).contains(MADE);
            assertThat(made).as("later it is made again").hasValue(2);
        }
    }

    @Test
    void whyItFailedIsToldOnce() {
        MendableException full = new MendableException("No backup was made: the disk is full", "safe", "make room");
        try (BackupNow now = new BackupNow(
                () -> {
                    throw full;
                },
                NOON)) {
            now.begin();

            assertThatThrownBy(() -> now.toTell(LONG)).isSameAs(full);
            assertThat(now.toTell(LONG)).isEmpty();
        }
    }

    @Test
    void nothingIsToldOfNone() {
        try (BackupNow now = new BackupNow(this::slowly, NOON)) {
            assertThat(now.toTell(LONG)).isEmpty();
            assertThat(now.runningSince()).isEmpty();
        }
    }
}
