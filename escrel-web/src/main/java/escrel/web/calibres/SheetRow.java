package escrel.web.calibres;

import escrel.core.calibre.Shape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** A row of a table as typed; what cannot be read is noted as a fault with row and column. */
final class SheetRow {
    private final SheetTable table;
    private final int number;
    private final String[] cells;
    private final List<String> faults;

    SheetRow(SheetTable table, int number, String[] cells, List<String> faults) {
        this.table = table;
        this.number = number;
        this.cells = cells;
        this.faults = faults;
    }

    String text(int column) {
        return column < cells.length ? cells[column].strip() : "";
    }

    @Nullable
    String orNull(int column) {
        return text(column).isEmpty() ? null : text(column);
    }

    List<String> list(int column) {
        return Arrays.stream(text(column).split(","))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }

    double number(int column, double absent) {
        String text = text(column).replace(',', '.');
        if (text.isEmpty()) {
            return absent;
        }
        try {
            double value = Double.parseDouble(text);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below, like a number that is none
        }
        fault(column, "is no number");
        return absent;
    }

    /** A constant by its word; nothing where the word is missing or wrong, which may only be asked for by who can bear it. */
    <E extends Enum<E>> @Nullable E choiceOrNull(int column, Class<E> kind) {
        return text(column).isEmpty() ? null : choice(column, text(column), kind);
    }

    /**
     * A constant by its word. A wrong or missing one leaves nothing behind: the check of sheets names what is missing, a
     * wrong word is a fault of the row, and a sheet with faults is refused before anybody reads it.
     */
    @SuppressWarnings("NullAway")
    <E extends Enum<E>> E choice(int column, Class<E> kind, @Nullable E absent) {
        return text(column).isEmpty() ? absent : choice(column, text(column), kind);
    }

    <E extends Enum<E>> List<E> choices(int column, Class<E> kind) {
        List<E> all = new ArrayList<>();
        for (String word : list(column)) {
            E one = choice(column, word, kind);
            if (one != null) {
                all.add(one);
            }
        }
        return all;
    }

    private <E extends Enum<E>> @Nullable E choice(int column, String word, Class<E> kind) {
        String name = word.toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_');
        for (E value : kind.getEnumConstants()) {
            if (value.name().equals(name)) {
                return value;
            }
        }
        fault(
                column,
                "is none of "
                        + String.join(
                                ", ",
                                Arrays.stream(kind.getEnumConstants())
                                        .map(SheetTableRows::e)
                                        .toList()));
        return null;
    }

    @Nullable
    Shape shape() {
        Shape.Kind kind = choiceOrNull(1, Shape.Kind.class);
        if (kind == null) {
            return null;
        }
        List<double[]> points = new ArrayList<>();
        for (String pair : text(6).split("\\s+")) {
            String[] xy = pair.split(",");
            try {
                if (xy.length == 2) {
                    points.add(new double[] {Double.parseDouble(xy[0]), Double.parseDouble(xy[1])});
                } else if (!pair.isEmpty()) {
                    fault(6, "is no list of points such as 1.5,-2 3,4");
                    break;
                }
            } catch (NumberFormatException e) {
                fault(6, "is no list of points such as 1.5,-2 3,4");
                break;
            }
        }
        return new Shape(kind, number(2, 0), number(3, 0), number(4, 0), (int) number(5, 0), points);
    }

    /** Notes a fault that the reader of the row found. */
    void refuse(int column, String what) {
        fault(column, what);
    }

    private void fault(int column, String what) {
        faults.add("%s, row %d, %s: “%s” %s"
                .formatted(table.title(), number, table.columns().get(column), text(column), what));
    }
}
