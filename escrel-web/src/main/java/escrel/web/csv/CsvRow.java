package escrel.web.csv;

import escrel.core.MendableException;
import escrel.core.quantity.Measured;
import escrel.core.quantity.Measured.Kind;
import java.util.Arrays;
import java.util.Locale;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** A row of a CSV file whose faults name row and column. Rows are counted as a spreadsheet does, the heading being 1. */
record CsvRow(CSVRecord csv) {
    String text(String column) {
        return csv.isMapped(column) && csv.isSet(column) ? csv.get(column).strip() : "";
    }

    @Nullable
    Double number(String column, double low, double high) {
        String text = text(column);
        if (text.isEmpty()) {
            return null;
        }
        double value;
        try {
            value = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
        } catch (NumberFormatException e) {
            throw refuse(column, "“" + text + "” is no number");
        }
        if (!(value >= low && value <= high)) {
            throw refuse(column, "“%s” lies outside %.0f to %.0f".formatted(text, low, high));
        }
        return value;
    }

    <E extends Enum<E>> E one(String column, Class<E> type, E otherwise) {
        String text = text(column);
        if (text.isEmpty()) {
            return otherwise;
        }
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> c.name().equals(text.toUpperCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(
                        () -> refuse(column, "“" + text + "” is none of " + Arrays.toString(type.getEnumConstants())));
    }

    @Nullable
    Measured measured(String column, String doubt, String kind, double low, double high) {
        Double value = number(column, low, high);
        if (value == null) {
            return null;
        }
        Double spread = number(doubt, 0, high);
        Kind what = one(kind, Kind.class, spread == null ? Kind.UNSTATED : Kind.STANDARD_ERROR);
        return new Measured(value, spread == null ? 0 : spread, what);
    }

    MendableException refuse(String column, String what) {
        return CsvRow.refuse("Row %d, column “%s”: %s".formatted(csv.getRecordNumber() + 1, column, what));
    }

    static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was taken in; the readings here are as they were.",
                "Correct the file, or the mapping of its columns, and send it again.");
    }
}
