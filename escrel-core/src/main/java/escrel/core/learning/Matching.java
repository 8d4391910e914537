package escrel.core.learning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Which part of a sheet a part with a working name most likely is, for binding a job half-way down. */
public final class Matching {
    private Matching() {}

    /**
     * A proposal for each working code, each part of the sheet used once: the same code, then the same name, then the
     * same role, then the same group and a shared word. A part nothing fits is not in the answer.
     */
    public static Map<String, String> propose(List<Part> working, CalibreSheet sheet) {
        Map<String, String> proposed = new LinkedHashMap<>();
        Set<String> used = new HashSet<>();
        // sure ones first, so that a guess does not take their place
        for (int sureness = 0; sureness < 4; sureness++) {
            for (Part part : working) {
                if (!proposed.containsKey(part.code())) {
                    int how = sureness;
                    first(sheet, used, p -> fits(part, p, how)).ifPresent(p -> {
                        proposed.put(part.code(), p.code());
                        used.add(p.code());
                    });
                }
            }
        }
        return proposed;
    }

    private static Optional<Part> first(CalibreSheet sheet, Set<String> used, Predicate<Part> fits) {
        return sheet.parts().stream()
                .filter(p -> !used.contains(p.code()))
                .filter(fits)
                .findFirst();
    }

    private static boolean fits(Part part, Part other, int sureness) {
        return switch (sureness) {
            case 0 -> part.code().equals(other.code());
            case 1 -> !plain(part.name()).isEmpty() && plain(part.name()).equals(plain(other.name()));
            case 2 -> part.role() != null && part.role() == other.role();
            default ->
                part.group() == other.group() && numbers(part).equals(numbers(other)) && sharesAWord(part, other);
        };
    }

    /** "Reverser 1" and "Reverser 2" share a word and are not the same. */
    private static String numbers(Part part) {
        return plain(part.name()).replaceAll("[^\\p{N}]+", " ").strip();
    }

    private static boolean sharesAWord(Part part, Part other) {
        Set<String> words = new HashSet<>(List.of(plain(part.name()).split(" ")));
        words.removeAll(Set.of("wheel", "spring", "the", "of", "with", "its"));
        words.retainAll(new HashSet<>(List.of(plain(other.name()).split(" "))));
        return words.stream().anyMatch(w -> w.length() > 3);
    }

    /** Letters and digits of any script; what stands in brackets is left out. */
    private static String plain(String name) {
        return name.toLowerCase(Locale.ROOT)
                .replaceAll("\\(.*?\\)", "")
                .replaceAll("[^\\p{L}\\p{M}\\p{N} ]", " ")
                .replaceAll(" +", " ")
                .strip();
    }
}
