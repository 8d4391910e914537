package escrel.web.demo;

import escrel.core.calibre.Side;
import escrel.core.job.Job;
import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.core.teardown.TeardownState;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Draws the pictures of the demo anew and writes them to {@code demo/pictures}. Not part of the test run:
 * {@code -Dtest=DemoPicturesFile} when the sheet of the lamp-timer, its story or the drawing change; {@code DemoPicturesTest}
 * says when that is due.
 */
class DemoPicturesFile {
    private static final int LAMP_TIMER = 3;

    /** The job whose photographs they are. */
    static Job lampTimer() {
        return EscrelServer.demo().bean(Workshop.class).load(LAMP_TIMER).job();
    }

    /** All of them, drawn now: the movement as the record has it where its photographs were taken. */
    static Map<String, byte[]> drawn() {
        Job lampTimer = lampTimer();
        return Map.of(
                "pocket-watch", DrawnPictures.pocketWatch(),
                "worn-hole", DrawnPictures.wornHole(),
                "lamp-timer-bridge", taken(lampTimer, 1, ""),
                "lamp-timer-column-wheel", taken(lampTimer, 2, ""));
    }

    /** As it was when a photo was taken, and without one part more. */
    static byte[] taken(Job job, int photo, String without) {
        int at = job.history().counting().stream()
                .filter(e -> e.step() instanceof PhotoAdded added && added.photo() == photo)
                .mapToInt(RecordedStep::sequence)
                .findFirst()
                .orElseThrow();
        TeardownState then = job.upTo(at).teardown();
        return PlanPicture.of(job.sheet(), Side.TRAIN, code -> then.isOff(code) || code.equals(without));
    }

    @Test
    void writeThemAnew() throws IOException {
        for (Map.Entry<String, byte[]> picture : drawn().entrySet()) {
            Files.write(Path.of("src/main/resources/demo/pictures/" + picture.getKey() + ".jpg"), picture.getValue());
        }
    }
}
