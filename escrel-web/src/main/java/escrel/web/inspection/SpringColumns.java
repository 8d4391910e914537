package escrel.web.inspection;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Which column of a list of springs is which.
 *
 * @param meanings one of {@link #MEANINGS} for each column; empty for a column that says nothing of use
 */
record SpringColumns(List<String> meanings) {
    /** What a column may hold. */
    static final List<String> MEANINGS = List.of("name", "width", "thickness", "length", "end");

    /** What a spring cannot do without. */
    private static final List<String> NEEDED = List.of("width", "thickness", "length");

    /** Without a line of words above them. */
    static final SpringColumns USUAL = new SpringColumns(MEANINGS);

    /** How catalogues head a column, by the beginning of a word. */
    private static final Map<String, List<String>> HEADINGS = new LinkedHashMap<>();

    static {
        HEADINGS.put("thickness", List.of("thick", "strength", "force"));
        HEADINGS.put("width", List.of("width", "height", "blade"));
        HEADINGS.put("length", List.of("length", "long"));
        HEADINGS.put("end", List.of("end", "hook", "bridle"));
        HEADINGS.put("name", List.of("name", "no", "number", "code", "drawer", "ref"));
    }

    /**
     * @throws IllegalArgumentException when two columns are said to be the same
     */
    SpringColumns {
        meanings = meanings.stream().map(m -> MEANINGS.contains(m) ? m : "").toList();
        for (String meaning : MEANINGS) {
            if (meanings.stream().filter(meaning::equals).count() > 1) {
                throw new IllegalArgumentException("Two columns are said to be the " + meaning);
            }
        }
    }

    /** The likeliest meaning of a heading; of two columns alike, the first. */
    static SpringColumns guess(List<String> heading) {
        String[] meanings = heading.stream().map(SpringColumns::meaning).toArray(String[]::new);
        for (int i = 0; i < meanings.length; i++) {
            for (int earlier = 0; earlier < i; earlier++) {
                meanings[i] = meanings[i].equals(meanings[earlier]) ? "" : meanings[i];
            }
        }
        return new SpringColumns(List.of(meanings));
    }

    private static String meaning(String head) {
        String word = head.toLowerCase(Locale.ROOT);
        return HEADINGS.entrySet().stream()
                .filter(known -> known.getValue().stream().anyMatch(word::startsWith))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }

    /** Whether a spring can be read from a line. */
    public boolean isWhole() {
        return meanings.containsAll(NEEDED);
    }

    /** The cell of a line that holds this; empty where there is none. */
    String in(List<String> cells, String meaning) {
        int at = meanings.indexOf(meaning);
        return at >= 0 && at < cells.size() ? cells.get(at) : "";
    }
}
