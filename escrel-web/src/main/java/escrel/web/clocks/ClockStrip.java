package escrel.web.clocks;

import escrel.core.cleaning.LoadStarted;
import escrel.core.clock.Clocks;
import escrel.core.clock.Timed;
import escrel.web.storage.Json;
import escrel.web.storage.WorkshopLogs;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** The clocks that run, for the head of every page; read only where a page shows its head. */
@ControllerAdvice
public class ClockStrip {
    private final WorkshopLogs log;
    private final Clock clock;

    ClockStrip(WorkshopLogs log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    @ModelAttribute("clockStrip")
    ClockStrip strip() {
        return this;
    }

    /**
     * A clock as shown.
     *
     * @param stretch what it counts now, in words
     * @param over whether it has run out
     * @param left minutes and seconds of this stretch
     * @param share of its whole time that has gone, 0 to 1
     * @param where it is seen to
     * @param courses what a page needs to go on counting, as JSON: of each stretch its words and when it ends, ms
     */
    public record Shown(
            String id,
            String words,
            @Nullable Integer job,
            String stretch,
            boolean over,
            String left,
            double share,
            String where,
            String courses) {
        /** End of the arc of a ring of radius 1 that has gone so far, as a path. */
        public String arc() {
            double turn = 2 * Math.PI * Math.min(0.9999, share);
            return "M0 -1 A1 1 0 %d 1 %.4f %.4f".formatted(share > 0.5 ? 1 : 0, Math.sin(turn), -Math.cos(turn));
        }
    }

    /** Those that run, the first to end in front. */
    public List<Shown> all() {
        Instant now = clock.instant();
        return log.load().running().running().stream().map(r -> shown(r, now)).toList();
    }

    /** A clock as shown at an instant. */
    public static Shown shown(Clocks.Running running, Instant now) {
        Timed timed = running.clock();
        Timed.Stand stand = running.at(now);
        List<Map<String, Object>> courses = new ArrayList<>();
        Instant ends = running.set();
        for (Timed.Stretch stretch : timed.stretches()) {
            ends = ends.plusSeconds(stretch.seconds());
            courses.add(Map.of("words", stretch.words(), "ends", ends.toEpochMilli()));
        }
        long seconds = stand.left().toSeconds();
        double whole = Math.max(1, timed.length().toSeconds());
        double gone = Duration.between(running.set(), now).toSeconds() / whole;
        return new Shown(
                timed.id(),
                timed.words(),
                timed.job(),
                timed.stretches().get(stand.stretch()).words(),
                stand.isOver(),
                stand.isOver() ? "over" : left(seconds),
                Math.max(0, Math.min(1, gone)),
                timed instanceof LoadStarted load ? "/jobs/" + load.number() + "/wash" : "/clocks",
                Json.MAPPER.writeValueAsString(courses));
    }

    private static String left(long seconds) {
        return seconds < 3600
                ? "%d:%02d".formatted(seconds / 60, seconds % 60)
                : "%d h %02d".formatted(seconds / 3600, seconds / 60 % 60);
    }
}
