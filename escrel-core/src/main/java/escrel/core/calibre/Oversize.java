package escrel.core.calibre;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What on a sheet from a file is larger than anything on a bench: numbers without end, texts as long as books, wheels with a
 * million teeth. Every field of every record is looked at, so a new one is bounded by being there.
 */
final class Oversize {
    /** Most characters of one text. */
    static final int LONGEST_TEXT = 4_000;
    /** Most entries of one list; ten times what the largest movement has. */
    static final int LONGEST_LIST = 2_000;
    /** Most teeth or leaves. */
    static final int MOST_TEETH = 1_000;

    private static final double LARGEST_NUMBER = 1e6;
    private static final int MOST_FAULTS = 12;
    private static final Set<String> TEETH = Set.of("teeth", "wheelTeeth", "pinionLeaves");

    private final List<String> faults = new ArrayList<>();

    private Oversize() {}

    /** A sentence for each; empty for a sheet of this world. */
    static List<String> of(CalibreSheet sheet) {
        Oversize oversize = new Oversize();
        oversize.look(sheet, "The sheet", "");
        return oversize.faults;
    }

    private void look(@Nullable Object value, String path, String name) {
        if (value == null || faults.size() >= MOST_FAULTS) {
            return;
        }
        if (value instanceof String text && text.length() > LONGEST_TEXT) {
            faults.add("%s has a text of %d characters, at most %d are taken"
                    .formatted(path, text.length(), LONGEST_TEXT));
        } else if (value instanceof Number number) {
            number(number.doubleValue(), path, name);
        } else if (value instanceof double[] numbers) {
            for (double each : numbers) {
                number(each, path, name);
            }
        } else if (value instanceof Collection<?> all) {
            if (all.size() > LONGEST_LIST) {
                faults.add("%s has %d entries, at most %d are taken".formatted(path, all.size(), LONGEST_LIST));
                return;
            }
            int at = 1;
            for (Object each : all) {
                look(each, path + " " + at++, name);
            }
        } else if (value.getClass().isRecord()) {
            for (RecordComponent component : value.getClass().getRecordComponents()) {
                look(Fields.read(value, component), path + ", " + component.getName(), component.getName());
            }
        }
    }

    private void number(double value, String path, String name) {
        double most = TEETH.contains(name) ? MOST_TEETH : LARGEST_NUMBER;
        double least = TEETH.contains(name) ? 0 : -LARGEST_NUMBER;
        if (!(value >= least && value <= most)) {
            faults.add("%s is %s; it must lie between %.0f and %.0f".formatted(path, value, least, most));
        }
    }
}
