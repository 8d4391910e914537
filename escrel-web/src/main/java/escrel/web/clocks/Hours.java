package escrel.web.clocks;

import escrel.core.clock.Clocks;
import escrel.web.list.ListMapper;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The hours to come, drawn: clocks as bars, readings that fall due as points.
 *
 * @param bars of clocks, and points of what falls due, each on a line of its own
 * @param ticks where whole hours lie, with their names
 */
record Hours(List<Bar> bars, Map<Long, String> ticks) {
    private static final double WIDTH = 1000;
    private static final Duration SHORTEST = Duration.ofHours(2);
    private static final Duration LONGEST = Duration.ofHours(24);
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm");
    private static final int LINES = 12;

    /**
     * A clock or what falls due.
     *
     * @param from 0 to 1000; for a point the same as to
     * @param words what it is
     * @param where it is seen to
     */
    record Bar(long from, long to, boolean point, boolean over, String words, String where) {}

    static Hours of(List<Clocks.Running> clocks, List<ListMapper.Line> house, Instant now) {
        Instant last = now.plus(SHORTEST);
        for (Clocks.Running clock : clocks) {
            last = clock.ends().isAfter(last) ? clock.ends() : last;
        }
        for (ListMapper.Line line : house) {
            OffsetDateTime due = line.dueAt();
            last = due != null && due.toInstant().isAfter(last) ? due.toInstant() : last;
        }
        Duration span = Duration.between(now, last);
        double seconds = (span.compareTo(LONGEST) > 0 ? LONGEST : span).toSeconds() * 1.04;
        List<Bar> bars = new ArrayList<>();
        for (Clocks.Running clock : clocks) {
            boolean over = clock.at(now).isOver();
            ClockStrip.Shown shown = ClockStrip.shown(clock, now);
            bars.add(new Bar(
                    0,
                    over ? 0 : at(clock.ends(), now, seconds),
                    false,
                    over,
                    shown.words() + (shown.job() == null ? "" : ", job " + shown.job()) + (over ? ": over" : ""),
                    shown.where()));
        }
        for (ListMapper.Line line : house) {
            OffsetDateTime due = line.dueAt();
            if (due != null && bars.size() < LINES) {
                boolean over = !due.toInstant().isAfter(now);
                long x = over ? 0 : at(due.toInstant(), now, seconds);
                bars.add(new Bar(
                        x,
                        x,
                        true,
                        over,
                        line.dueWords() + ", job " + line.number() + (over ? ": due" : ""),
                        "/jobs/" + line.number() + "/running"));
            }
        }
        return new Hours(bars, ticks(now, seconds));
    }

    private static long at(Instant then, Instant now, double seconds) {
        return Math.min(
                (long) WIDTH, Math.round(WIDTH * Duration.between(now, then).toSeconds() / seconds));
    }

    private static Map<Long, String> ticks(Instant now, double seconds) {
        Map<Long, String> ticks = new LinkedHashMap<>();
        ZonedDateTime hour =
                now.atZone(ZoneId.systemDefault()).truncatedTo(ChronoUnit.HOURS).plusHours(1);
        int each = (int) Math.max(1, Math.round(seconds / 3600 / 8));
        while (Duration.between(now, hour.toInstant()).toSeconds() < seconds) {
            ticks.put(at(hour.toInstant(), now, seconds), HOUR.format(hour));
            hour = hour.plusHours(each);
        }
        return ticks;
    }
}
