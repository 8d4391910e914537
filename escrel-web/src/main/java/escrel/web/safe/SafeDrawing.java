package escrel.web.safe;

import escrel.web.format.Show;
import escrel.web.upkeep.Backups;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/**
 * The backups on a line of time that ends now: near days wide, far ones narrow, so that years find room.
 *
 * @param marks one for each backup
 * @param days places of days gone by, with their words
 * @param newest where the newest one lies, the right end when there is none
 */
record SafeDrawing(int width, List<Mark> marks, List<Day> days, double newest) {
    private static final int WIDTH = 1000;
    static final int EDGE = 44;
    private static final double FULL_DAYS = 60;

    /** A backup on the line. */
    record Mark(double x, boolean readable, String words) {}

    /** A day on the line. */
    record Day(double x, String words) {}

    static SafeDrawing of(List<Backups.Kept> all, Instant now, Show show) {
        List<Mark> marks = new ArrayList<>();
        for (Backups.Kept kept : all) {
            if (kept.readable()) {
                marks.add(new Mark(
                        x(days(kept.at(), now)),
                        true,
                        show.day(kept.at().atZone(ZoneId.systemDefault()).toOffsetDateTime()) + ", " + kept.jobs()
                                + " jobs"));
            }
        }
        List<Day> days = new ArrayList<>();
        for (int day : new int[] {0, 1, 2, 4, 7, 14, 30, 60}) {
            days.add(new Day(x(day), day == 0 ? "now" : day == 1 ? "1 day" : day + " days"));
        }
        return new SafeDrawing(
                WIDTH,
                List.copyOf(marks),
                List.copyOf(days),
                marks.isEmpty() ? EDGE : marks.get(0).x());
    }

    private static double days(Instant at, Instant now) {
        return Math.max(0, Duration.between(at, now).toMinutes() / 1440.0);
    }

    private static double x(double days) {
        double part = Math.log1p(Math.min(days, FULL_DAYS)) / Math.log1p(FULL_DAYS);
        return WIDTH - EDGE - part * (WIDTH - 2 * EDGE);
    }
}
