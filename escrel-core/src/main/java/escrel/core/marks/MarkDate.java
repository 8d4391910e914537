package escrel.core.marks;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * When something was made, as far as a mark tells.
 *
 * @param year four figures
 * @param month 1 to 12; 0 when only the year is known
 */
record MarkDate(int year, int month) {
    private static final Pattern WRITTEN = Pattern.compile("(?:(\\d{1,2})\\s*[/.-]\\s*)?(1[5-9]\\d\\d|20\\d\\d)");

    /**
     * Reads 1961, 3/1961, 3.1961 or 3-1961.
     *
     * @throws IllegalArgumentException when it is none of these
     */
    static MarkDate of(String text) {
        Matcher written = WRITTEN.matcher(text.strip());
        if (!written.matches()) {
            throw new IllegalArgumentException("A date is a year, or month and year as 3/1961");
        }
        int month = written.group(1) == null ? 0 : Integer.parseInt(written.group(1));
        if (written.group(1) != null && (month < 1 || month > 12)) {
            throw new IllegalArgumentException("A month is 1 to 12, was " + month);
        }
        return new MarkDate(Integer.parseInt(written.group(2)), month);
    }

    boolean hasMonth() {
        return month > 0;
    }

    int months() {
        return 12 * year + month;
    }
}
