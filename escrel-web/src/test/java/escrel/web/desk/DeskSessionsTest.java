package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.timing.readings.DeviceClock;
import escrel.web.sound.Analysis;
import escrel.web.testing.BenchHand;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Few listenings at a time: which one gives way, and which never. */
class DeskSessionsTest {
    private long now = 1;
    private final DeskSessions sessions = new DeskSessions(() -> now);
    private final CalibreSheet sheet = BenchHand.demoSheet("cv-12");

    private DeskSession listening() {
        return new DeskSession(
                1,
                DeviceClock.uncalibrated("test"),
                false,
                Analysis.analyser(sheet),
                Analysis.escapeTeeth(sheet),
                44_100);
    }

    private List<String> opened(int many) {
        List<String> ids = new ArrayList<>();
        IntStream.range(0, many).forEach(i -> ids.add(sessions.add(listening())));
        return ids;
    }

    private void assertGone(String id) {
        assertThatThrownBy(() -> sessions.find(1, id))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining("This listening has ended");
    }

    @Test
    void theOneListenedToStaysHoweverManyPagesAreOpenedAndLeft() {
        String mine = sessions.add(listening());
        DeskSession session = sessions.hearing(1, mine);
        for (int others = 0; others < 20; others++) {
            now += TimeUnit.MILLISECONDS.toNanos(150);
            sessions.hearing(1, mine);
            sessions.add(listening());
        }

        assertThat(sessions.find(1, mine)).isSameAs(session);
    }

    @Test
    void theOneSilentLongestMakesRoom() {
        List<String> ids = opened(DeskSessions.MOST);
        ids.forEach(id -> sessions.hearing(1, id));
        now += DeskSessions.SILENT_NANOS + 1;
        sessions.hearing(1, ids.get(0));
        String fifth = sessions.add(listening());

        assertGone(ids.get(1));
        assertThat(sessions.find(1, ids.get(0))).isNotNull();
        assertThat(sessions.find(1, fifth)).isNotNull();
    }

    @Test
    void whereAllAreListenedToTheNewOneIsRefusedAndTheOthersGoOn() {
        List<String> ids = opened(DeskSessions.MOST);
        ids.forEach(id -> sessions.hearing(1, id));

        assertThatThrownBy(() -> sessions.add(listening()))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining("listened to at once");
        assertThat(ids).allSatisfy(id -> assertThat(sessions.find(1, id)).isNotNull());

        sessions.close(1, ids.get(2));
        assertThat(sessions.find(1, sessions.add(listening()))).isNotNull();
    }
}
