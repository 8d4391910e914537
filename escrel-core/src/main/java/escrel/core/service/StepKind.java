package escrel.core.service;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One kind of step, declared once in the package of its concept: its name in files, its words, the parts it touches.
 *
 * @param name in files and databases; stays for good
 * @param type the record
 * @param words what it says, as listed and as said when it is taken back
 * @param parts codes of the parts it is about
 * @param rooms in which it is recorded and taken back, by the last part of their addresses; none for what stays
 */
public record StepKind<S extends Step>(
        String name,
        Class<S> type,
        BiFunction<S, Names, String> words,
        Function<S, List<String>> parts,
        Set<String> rooms) {
    /** The rooms there are steps of, as they are called in addresses; a new room names its own. */
    public static final String ARRIVAL = "arrival";

    public static final String READINGS = "readings";
    public static final String STRIP = "strip";
    public static final String INSPECT = "inspect";
    public static final String WASH = "wash";
    public static final String CLIMB = "climb";
    public static final String HANDOVER = "handover";

    /** The names a sheet gives to codes; a code by itself where the sheet does not know it. */
    public record Names(@Nullable CalibreSheet sheet) {
        /** Name of a part. */
        public String part(String code) {
            return sheet == null ? code : sheet.part(code).map(Part::name).orElse(code);
        }

        /** Name of a lubrication point. */
        public String point(String code) {
            return sheet == null
                    ? code
                    : sheet.oilPoint(code).map(OilPoint::name).orElse(code);
        }

        /** Name of a test. */
        public String test(String code) {
            return sheet == null
                    ? code
                    : sheet.test(code).map(AssemblyTest::name).orElse(code);
        }
    }

    /** A kind about no part. */
    public static <S extends Step> StepKind<S> of(String name, Class<S> type, BiFunction<S, Names, String> words) {
        return about(name, type, s -> List.of(), words);
    }

    /** A kind about one part, or about none where the function gives none. */
    public static <S extends Step> StepKind<S> of(
            String name, Class<S> type, Function<S, @Nullable String> part, BiFunction<S, Names, String> words) {
        return about(
                name,
                type,
                s -> {
                    String code = part.apply(s);
                    return code == null || code.isEmpty() ? List.of() : List.of(code);
                },
                words);
    }

    /** A kind about several parts. */
    public static <S extends Step> StepKind<S> about(
            String name, Class<S> type, Function<S, List<String>> parts, BiFunction<S, Names, String> words) {
        return new StepKind<>(name, type, words, parts, Set.of());
    }

    /** The same kind, recorded and taken back in these rooms. */
    public StepKind<S> in(String... where) {
        return new StepKind<>(name, type, words, parts, Set.of(where));
    }

    /** The words of a step of this kind. */
    public String wordsOf(Step step, Names names) {
        return words.apply(type.cast(step), names);
    }

    /** The parts a step of this kind is about. */
    public List<String> partsOf(Step step) {
        return parts.apply(type.cast(step));
    }

    /** A constant as it is said: lower case, words apart. */
    public static String said(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
