package escrel.web.csv;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Which column of a timing machine's file means what; an empty name for a figure it does not give.
 *
 * @param positions what its words for positions mean
 */
record ColumnMapping(
        String position, String rate, String amplitude, String beatError, Map<String, Position> positions) {
    /** The most likely meaning of a file's columns. */
    static ColumnMapping guess(ForeignCsv file) {
        String position = like(file, "pos");
        Map<String, Position> words = new LinkedHashMap<>();
        for (String word : file.words(position)) {
            Position guess = ForeignCsv.guess(word);
            if (guess != null) {
                words.put(word, guess);
            }
        }
        return new ColumnMapping(position, like(file, "rate"), like(file, "amp"), like(file, "beat"), words);
    }

    private static String like(ForeignCsv file, String part) {
        return file.heading().stream()
                .filter(h -> h.toLowerCase(Locale.ROOT).contains(part))
                .findFirst()
                .orElse("");
    }

    /** The readings of a file, all or none. */
    List<Reading> read(ForeignCsv file, LiftAngle liftAngle, @Nullable BeatRate beatRate) {
        if (!file.heading().contains(position)) {
            throw CsvRow.refuse("No column was chosen for the position");
        }
        List<Reading> readings = new ArrayList<>();
        for (CSVRecord csv : file.rows()) {
            readings.add(reading(new CsvRow(csv), liftAngle, beatRate));
        }
        return readings;
    }

    private Reading reading(CsvRow row, LiftAngle liftAngle, @Nullable BeatRate beatRate) {
        Position where = positions.get(row.text(position));
        if (where == null) {
            throw row.refuse(position, "it is not said which position “" + row.text(position) + "” means");
        }
        Measured rateRead = single(row, rate, -5_000, 5_000);
        Measured amplitudeRead = single(row, amplitude, 0, 400);
        Measured beatErrorRead = single(row, beatError, 0, 30);
        if (rateRead == null && amplitudeRead == null && beatErrorRead == null) {
            throw row.refuse(rate.isEmpty() ? position : rate, "nothing was read");
        }
        return new Reading(
                where,
                rateRead,
                amplitudeRead,
                beatErrorRead,
                null,
                liftAngle,
                beatRate,
                Source.IMPORTED,
                Trace.NOT_SAID,
                "");
    }

    private static @Nullable Measured single(CsvRow row, String column, double low, double high) {
        Double value = column.isEmpty() ? null : row.number(column, low, high);
        return value == null ? null : Measured.single(value);
    }
}
