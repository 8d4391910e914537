package escrel.core.calibre;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a workshop knows of a calibre beyond its parts: what stays when the watch has gone home. Source: craft 2.19.
 *
 * @param family name shared with related calibres, or empty
 * @param variants later or special versions, and how they are told apart
 * @param weakPoints what is almost always worn on it
 * @param interchange which parts fit from related calibres
 * @param settingOpens how the balance settings open, or empty
 * @param pushers which pusher does what
 * @param tools sizes that fitted
 * @param documents found elsewhere, with their source
 * @param targets the workshop's own limits for this calibre; nothing = those of its class
 * @param expected what it usually shows after a service, in words, or empty
 */
public record Lore(
        String family,
        List<Variant> variants,
        List<WeakPoint> weakPoints,
        List<Interchange> interchange,
        String settingOpens,
        List<Pusher> pushers,
        List<ToolFit> tools,
        List<Source> documents,
        @Nullable Limits targets,
        String expected) {
    /** A sheet without any. */
    public static final Lore NONE =
            new Lore("", List.of(), List.of(), List.of(), "", List.of(), List.of(), List.of(), null, "");

    /**
     * A version of the calibre.
     *
     * @param toldBy how it is told apart
     * @param changes of named parts; everything else is as on the sheet
     */
    public record Variant(String name, String toldBy, List<Change> changes) {
        public Variant {
            changes = Copies.list(changes);
        }

        /** A version of which nobody said which parts differ. */
        public Variant(String name, String toldBy) {
            this(name, toldBy, List.of());
        }
    }

    /**
     * What a version has otherwise.
     *
     * @param part code on the sheet
     * @param name what the part is there; nothing when the version has none
     * @param note what is to be known of it; may be empty
     */
    public record Change(String part, @Nullable String name, String note) {
        public Change {
            name = name == null || name.isBlank() ? null : name.strip();
            note = Copies.text(note);
        }
    }

    /**
     * Something that wears.
     *
     * @param part code on the sheet, or nothing for the whole
     */
    public record WeakPoint(@Nullable String part, String words) {}

    /**
     * A part that fits from another calibre, or every part that both sheets call the same.
     *
     * @param part code on the sheet, or {@link #ALL}
     * @param calibre id of the other sheet
     * @param otherPart code of the part there; where it is of all of them, the codes of those that do not fit, parted by commas
     */
    public record Interchange(String part, String calibre, String otherPart, String note) {
        /** Stands for every part of the sheet. */
        public static final String ALL = "all";

        /** Whether it is of every part, but those it excepts. */
        public boolean isOfAll() {
            return ALL.equals(part);
        }

        /** Codes of the parts that do not fit; empty where it is of one part. */
        public Set<String> except() {
            return isOfAll()
                    ? Arrays.stream(otherPart.split(","))
                            .map(String::strip)
                            .filter(c -> !c.isEmpty())
                            .collect(Collectors.toUnmodifiableSet())
                    : Set.of();
        }

        /** The part there that takes the place of this one; nothing where it says nothing of it. */
        public Optional<String> there(String code) {
            if (isOfAll()) {
                return except().contains(code) ? Optional.empty() : Optional.of(code);
            }
            return part.equals(code) ? Optional.of(otherPart) : Optional.empty();
        }

        /** The part here that takes the place of one there. */
        public Optional<String> here(String codeThere) {
            if (isOfAll()) {
                return there(codeThere);
            }
            return otherPart.equals(codeThere) ? Optional.of(part) : Optional.empty();
        }

        /** As it is said: "barrel with cv-12", "all with cv-12 but the date ring". */
        public String words() {
            return isOfAll()
                    ? "all with " + calibre
                            + (except().isEmpty() ? "" : " but " + String.join(", ", new TreeSet<>(except())))
                    : part + " with " + calibre;
        }
    }

    /** What a pusher does. */
    public record Pusher(String place, String does) {}

    /** A tool that fitted. */
    public record ToolFit(String task, String size) {}

    /** A document found elsewhere. */
    public record Source(String title, String from) {}

    /**
     * Limits of a calibre that take the place of those of its class. Source: M11.
     *
     * @param lowRate lower end for the mean rate, s/d
     * @param highRate upper end, s/d
     * @param spread largest, s/d
     * @param lowestAmplitude degrees at full wind
     * @param beatError largest, ms
     */
    public record Limits(double lowRate, double highRate, double spread, double lowestAmplitude, double beatError) {}

    public Lore {
        family = Copies.text(family);
        variants = Copies.list(variants);
        weakPoints = Copies.list(weakPoints);
        interchange = Copies.list(interchange);
        settingOpens = Copies.text(settingOpens);
        pushers = Copies.list(pushers);
        tools = Copies.list(tools);
        documents = Copies.list(documents);
        expected = Copies.text(expected);
    }

    /** The same with other weak points and interchange. */
    public Lore with(List<WeakPoint> otherWeakPoints, List<Interchange> otherInterchange) {
        return new Lore(
                family,
                variants,
                otherWeakPoints,
                otherInterchange,
                settingOpens,
                pushers,
                tools,
                documents,
                targets,
                expected);
    }

    /** What is known of a version that has not these parts; which versions there are is said on the sheet. */
    Lore without(Set<String> parts) {
        return new Lore(
                family,
                List.of(),
                weakPoints.stream()
                        .filter(w -> w.part() == null || !parts.contains(w.part()))
                        .toList(),
                interchange.stream().filter(i -> !parts.contains(i.part())).toList(),
                settingOpens,
                pushers,
                tools,
                documents,
                targets,
                expected);
    }
}
