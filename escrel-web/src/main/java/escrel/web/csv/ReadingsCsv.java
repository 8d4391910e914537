package escrel.web.csv;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.LiftTime;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/** Our own file of readings: everything a reading holds but its recording, so that it comes back as it went. */
public final class ReadingsCsv {
    private static final String[] COLUMNS = {
        "state",
        "fitted",
        "wound",
        "wound_hours",
        "chronograph",
        "position",
        "rate_seconds_per_day",
        "rate_doubt",
        "doubt_kind",
        "amplitude_degrees",
        "amplitude_doubt",
        "amplitude_doubt_kind",
        "beat_error_ms",
        "beat_error_doubt",
        "beat_error_doubt_kind",
        "lift_time_ms",
        "lift_time_doubt",
        "heard_beat_error_ms",
        "heard_beat_error_doubt",
        "lift_angle_degrees",
        "lift_angle_assumed",
        "beats_per_hour",
        "source",
        "trace",
        "device",
        "clock_ppm",
        "clock_doubt_ppm",
        "note"
    };
    private static final CSVFormat OUT = CSVFormat.DEFAULT
            .builder()
            .setHeader(COLUMNS)
            .setRecordSeparator("\r\n")
            .get();

    private ReadingsCsv() {}

    /** Whether a file begins with our own heading; columns may be missing or in another order. */
    static boolean isOurs(List<String> heading) {
        return heading.contains("state")
                && heading.contains("position")
                && heading.contains("rate_seconds_per_day")
                && Arrays.asList(COLUMNS).containsAll(heading);
    }

    /** The file of these readings. */
    public static String write(List<ReadingTaken> readings) {
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(out, OUT)) {
            for (ReadingTaken taken : readings) {
                Reading r = taken.reading();
                LiftTime lift = r.lift();
                DeviceClock clock = r.clock();
                printer.printRecord(
                        taken.state(),
                        taken.fitted(),
                        taken.wound(),
                        taken.woundHours(),
                        taken.chronograph(),
                        r.position().mark(),
                        value(r.rateSecondsPerDay(), "%.3f"),
                        doubt(r.rateSecondsPerDay(), "%.3f"),
                        kind(r.rateSecondsPerDay()),
                        value(r.amplitudeDegrees(), "%.2f"),
                        doubt(r.amplitudeDegrees(), "%.2f"),
                        kind(r.amplitudeDegrees()),
                        value(r.beatErrorMillis(), "%.3f"),
                        doubt(r.beatErrorMillis(), "%.3f"),
                        kind(r.beatErrorMillis()),
                        value(lift == null ? null : lift.liftMillis(), "%.4f"),
                        doubt(lift == null ? null : lift.liftMillis(), "%.4f"),
                        value(lift == null ? null : lift.heardBeatErrorMillis(), "%.4f"),
                        doubt(lift == null ? null : lift.heardBeatErrorMillis(), "%.4f"),
                        r.liftAngle().degrees(),
                        r.liftAngle().assumed(),
                        r.beatRate() == null ? "" : r.beatRate().beatsPerHour(),
                        r.source(),
                        r.trace(),
                        clock == null ? "" : plain(clock.device()),
                        clock == null ? "" : clock.ppm(),
                        clock == null ? "" : clock.doubtPpm(),
                        plain(r.note()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /**
     * The readings of one of our own files, whatever a spreadsheet made of its separator; a fault names row and column, and
     * nothing is taken in then.
     */
    static List<ReadingTaken> read(ForeignCsv file) {
        return file.rows().stream().map(row -> taken(new CsvRow(row))).toList();
    }

    private static ReadingTaken taken(CsvRow row) {
        Position position = Arrays.stream(Position.values())
                .filter(p -> p.mark().equals(row.text("position")))
                .findFirst()
                .orElseThrow(() -> row.refuse("position", "“" + row.text("position") + "” is no position"));
        LiftTime lift = null;
        Measured liftMillis = row.measured("lift_time_ms", "lift_time_doubt", "", 0, 500);
        Measured heard = row.measured("heard_beat_error_ms", "heard_beat_error_doubt", "", 0, 100);
        if (liftMillis != null && heard != null) {
            lift = new LiftTime(liftMillis, heard);
        }
        Double angle = row.number("lift_angle_degrees", 20, 90);
        boolean assumed = row.text("lift_angle_assumed").equals("true");
        Double beats = row.number("beats_per_hour", 7_200, 72_000);
        Reading reading = new Reading(
                position,
                row.measured("rate_seconds_per_day", "rate_doubt", "doubt_kind", -5_000, 5_000),
                row.measured("amplitude_degrees", "amplitude_doubt", "amplitude_doubt_kind", 0, 400),
                row.measured("beat_error_ms", "beat_error_doubt", "beat_error_doubt_kind", 0, 30),
                lift,
                angle == null
                        ? LiftAngle.ASSUMED_52
                        : assumed ? new LiftAngle(angle, LiftAngle.Basis.ASSUMED) : LiftAngle.known(angle),
                beats == null ? null : BeatRate.of(beats),
                row.one("source", Source.class, Source.IMPORTED),
                row.one("trace", Trace.class, Trace.NOT_SAID),
                asTyped(row.text("note")),
                clock(row),
                null);
        return new ReadingTaken(
                row.one("state", ReadingState.class, ReadingState.AS_RECEIVED),
                row.one("fitted", Fitted.class, Fitted.NOT_SAID),
                row.one("wound", Wound.class, Wound.UNKNOWN),
                row.number("wound_hours", 0, 900),
                row.one("chronograph", Chronograph.class, Chronograph.NOT_SAID),
                reading);
    }

    private static @Nullable DeviceClock clock(CsvRow row) {
        if (row.text("device").isEmpty()) {
            return null;
        }
        Double ppm = row.number("clock_ppm", -5_000, 5_000);
        return new DeviceClock(
                asTyped(row.text("device")), ppm == null ? 0 : ppm, row.number("clock_doubt_ppm", 0, 5_000));
    }

    /** A spreadsheet takes a text that begins so for a formula: a typed one is told apart, and comes back as it was. */
    private static String plain(String text) {
        boolean formula = !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0;
        return formula || text.startsWith("'") ? "'" + text : text;
    }

    private static String asTyped(String text) {
        return text.startsWith("'") ? text.substring(1) : text;
    }

    private static String value(@Nullable Measured measured, String form) {
        return measured == null ? "" : String.format(Locale.ROOT, form, measured.value());
    }

    private static String doubt(@Nullable Measured measured, String form) {
        return measured == null ? "" : String.format(Locale.ROOT, form, measured.doubt());
    }

    private static String kind(@Nullable Measured measured) {
        return measured == null ? "" : measured.kind().name();
    }
}
