package escrel.core.calibre;

import java.lang.reflect.RecordComponent;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * In what another sheet of a calibre says something else than the one that is used, thing by thing. It is read off the
 * fields of the sheet, so that a field added to it later is compared from the first day.
 *
 * @param lines in the order of a sheet: figures, parts, screws, holds, and so on
 */
public record VersionDifference(List<Line> lines) {
    /** What a line is about. */
    public enum Subject {
        FIGURES,
        STEM_RELEASE,
        PARTS,
        SCREWS,
        HOLDS,
        EARLY_IN,
        OIL_POINTS,
        TESTS,
        JEWELS,
        TRAIN,
        TRAPS,
        LORE,
        PICTURES
    }

    /** How the other sheet differs in it. */
    public enum Kind {
        /** Only the other sheet has it. */
        MORE,
        /** The other sheet does not have it. */
        FEWER,
        /** Both have it and say something else of it. */
        OTHERWISE
    }

    /**
     * One difference.
     *
     * @param part code of the part it belongs to, nothing for what belongs to the whole
     * @param name of the thing, as said at the bench
     * @param field which of its fields, in words; empty when the whole thing is meant
     * @param here what the sheet that is used says, empty when it says nothing, or when one of them has not the thing at all
     * @param there what the other sheet says, likewise
     */
    public record Line(
            Subject subject, Kind kind, @Nullable String part, String name, String field, String here, String there) {}

    public VersionDifference {
        lines = Copies.list(lines);
    }

    /** What {@code there} says otherwise than {@code here}; nothing for equal sheets. */
    public static VersionDifference between(CalibreSheet here, CalibreSheet there) {
        Collector all = new Collector();
        Function<String, String> names = code ->
                here.part(code).or(() -> there.part(code)).map(Part::name).orElse(code);
        if (!here.name().equals(there.name())) {
            all.add(Subject.FIGURES, Kind.OTHERWISE, null, "the calibre", "name", here.name(), there.name());
        }
        all.fields(Subject.FIGURES, null, "the calibre", here.data(), there.data());
        all.fields(Subject.STEM_RELEASE, null, "stem release", here.stemRelease(), there.stemRelease());
        all.keyed(Subject.PARTS, here.parts(), there.parts(), Part::code, Part::code, Part::name);
        all.keyed(
                Subject.SCREWS,
                here.screws(),
                there.screws(),
                ScrewPlace::code,
                ScrewPlace::part,
                s -> "screw " + s.code() + ", " + names.apply(s.part()));
        all.keyed(
                Subject.HOLDS,
                here.holds(),
                there.holds(),
                h -> h.part() + " " + h.by(),
                Hold::part,
                h -> names.apply(h.part()) + ", held by " + names.apply(h.by()));
        all.keyed(
                Subject.EARLY_IN,
                here.earlyIns(),
                there.earlyIns(),
                e -> e.part() + " " + e.before(),
                EarlyIn::part,
                e -> names.apply(e.part()) + " before " + names.apply(e.before()));
        all.keyed(
                Subject.OIL_POINTS,
                here.oilPoints(),
                there.oilPoints(),
                OilPoint::code,
                OilPoint::part,
                OilPoint::name);
        all.keyed(
                Subject.TESTS,
                here.tests(),
                there.tests(),
                AssemblyTest::code,
                AssemblyTest::after,
                AssemblyTest::name);
        all.each(
                Subject.JEWELS,
                here.jewels(),
                there.jewels(),
                Jewel::part,
                j -> words(j.kind()) + " jewel, " + names.apply(j.part()));
        all.keyed(
                Subject.TRAIN,
                here.train() == null ? List.of() : here.train().mobiles(),
                there.train() == null ? List.of() : there.train().mobiles(),
                Train.Mobile::part,
                Train.Mobile::part,
                m -> names.apply(m.part()));
        all.each(Subject.TRAPS, here.traps(), there.traps(), t -> null, t -> t);
        all.fields(Subject.LORE, null, "what the bench knows", here.lore(), there.lore());
        all.each(
                Subject.PICTURES,
                here.pictures(),
                there.pictures(),
                p -> null,
                p -> words(p.side()) + " side" + (p.caption().isEmpty() ? "" : ", " + p.caption()));
        return new VersionDifference(all.lines);
    }

    /** Codes of the parts in which they differ, or to which something that differs belongs. */
    public Set<String> parts() {
        Set<String> parts = new LinkedHashSet<>();
        lines.stream().map(Line::part).filter(Objects::nonNull).forEach(parts::add);
        return parts;
    }

    /** The lines about one thing. */
    public List<Line> of(Subject subject) {
        return lines.stream().filter(l -> l.subject() == subject).toList();
    }

    /** Number of things of a kind of difference within a subject; fields of one thing count as one. */
    public int count(Subject subject, Kind kind) {
        return (int) of(subject).stream()
                .filter(l -> l.kind() == kind)
                .map(Line::name)
                .distinct()
                .count();
    }

    /** A value of a field as it is read in a table. */
    static String words(@Nullable Object value) {
        if (value == null) {
            return "";
        }
        if (value instanceof Enum<?> constant) {
            return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
        if (value instanceof Number number) {
            return new DecimalFormat("0.###", DecimalFormatSymbols.getInstance(Locale.ROOT)).format(number);
        }
        if (value instanceof Shape shape) {
            return "drawn as " + words(shape.kind());
        }
        if (value instanceof Collection<?> many) {
            return String.join("; ", many.stream().map(VersionDifference::words).toList());
        }
        if (value instanceof Record thing) {
            List<String> said = new ArrayList<>();
            for (RecordComponent field : thing.getClass().getRecordComponents()) {
                String one = words(Fields.read(thing, field));
                if (!one.isEmpty()) {
                    said.add(one);
                }
            }
            return String.join(", ", said);
        }
        return String.valueOf(value);
    }

    /** Gathers the lines. */
    private static final class Collector {
        private final List<Line> lines = new ArrayList<>();

        private void add(
                Subject subject,
                Kind kind,
                @Nullable String part,
                String name,
                String field,
                String here,
                String there) {
            lines.add(new Line(subject, kind, part, name, field, here, there));
        }

        /** Field by field. */
        private void fields(
                Subject subject, @Nullable String part, String name, @Nullable Record here, @Nullable Record there) {
            if (here == null || there == null) {
                if (here != there) {
                    add(subject, there == null ? Kind.FEWER : Kind.MORE, part, name, "", words(here), words(there));
                }
                return;
            }
            for (RecordComponent field : here.getClass().getRecordComponents()) {
                Object was = Fields.read(here, field);
                Object is = Fields.read(there, field);
                if (!same(was, is)) {
                    String named = field.getName().replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
                    String first = words(was);
                    String second = words(is);
                    boolean visible = !first.equals(second);
                    add(
                            subject,
                            Kind.OTHERWISE,
                            part,
                            name,
                            named,
                            first,
                            visible ? second : second + ", otherwise than here");
                }
            }
        }

        /** Things told apart by a key of their own. */
        private <T extends Record> void keyed(
                Subject subject,
                List<T> here,
                List<T> there,
                Function<T, String> key,
                Function<T, @Nullable String> part,
                Function<T, String> name) {
            Map<String, T> theirs = new LinkedHashMap<>();
            there.forEach(t -> theirs.put(key.apply(t), t));
            for (T ours : here) {
                T other = theirs.remove(key.apply(ours));
                if (other == null) {
                    add(subject, Kind.FEWER, part.apply(ours), name.apply(ours), "", "", "");
                } else {
                    fields(subject, part.apply(ours), name.apply(ours), ours, other);
                }
            }
            theirs.values().forEach(t -> add(subject, Kind.MORE, part.apply(t), name.apply(t), "", "", ""));
        }

        /** Things without a key: there or not there, as often as they are. */
        private <T> void each(
                Subject subject,
                List<T> here,
                List<T> there,
                Function<T, @Nullable String> part,
                Function<T, String> name) {
            List<T> left = new ArrayList<>(there);
            for (T ours : here) {
                if (!left.remove(ours)) {
                    add(subject, Kind.FEWER, part.apply(ours), name.apply(ours), "", "", "");
                }
            }
            left.forEach(t -> add(subject, Kind.MORE, part.apply(t), name.apply(t), "", "", ""));
        }

        /** Equal as a sheet is kept: outlines hold their corners as arrays, which are no equals of each other. */
        private static boolean same(@Nullable Object one, @Nullable Object other) {
            if (one instanceof Shape a && other instanceof Shape b) {
                return a.kind() == b.kind()
                        && a.x() == b.x()
                        && a.y() == b.y()
                        && a.radius() == b.radius()
                        && a.teeth() == b.teeth()
                        && Objects.deepEquals(
                                a.points().toArray(new double[0][]), b.points().toArray(new double[0][]));
            }
            return Objects.equals(one, other);
        }
    }
}
