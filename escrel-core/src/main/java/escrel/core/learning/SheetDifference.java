package escrel.core.learning;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.StemRelease;
import escrel.core.calibre.Trait;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a teardown adds to a sheet, corrects on it or contradicts, line by line, so that each can be accepted or left.
 * A stated hold that a teardown contradicts is a conflict to settle, never dropped in silence. Source: M16.
 */
public final class SheetDifference {
    /** What a line is about. */
    public enum Kind {
        NEW_PART,
        NEW_NAME,
        NEW_PLACE,
        NEW_UNIT,
        /** How it lies, lifts, is clipped, what it does when freed. */
        NEW_TRAIT,
        NEW_SCREWS,
        /** A lubrication point said in the act. */
        NEW_OIL,
        /** The stem's release, the balance's setting. */
        NEW_FIGURE,
        NEW_HOLD,
        /** Always came off in this order, though nobody said why. */
        SEEN_SO,
        /** Was always seen so, and is no longer: it was never a hold. */
        NO_LONGER_SEEN,
        /** Somebody stated it, and a teardown went the other way. */
        CONFLICT
    }

    /**
     * One line.
     *
     * @param key stays the same while the sheet and the teardowns do
     * @param words what accepting it does
     * @param accepted what is proposed; a conflict is never accepted by itself
     * @param part code of the part it belongs to on the plan; nothing for what is of the whole calibre
     */
    public record Line(
            String key,
            Kind kind,
            String words,
            boolean accepted,
            @Nullable String part) {}

    private final CalibreSheet base;
    private final CalibreSheet learnt;
    private final SeenOrders orders;
    private final HoldDifference holds;
    private final Map<String, Line> lines = new LinkedHashMap<>();

    private SheetDifference(CalibreSheet base, CalibreSheet learnt, SeenOrders orders) {
        this.base = base;
        this.learnt = learnt;
        this.orders = orders;
        this.holds = new HoldDifference(base, learnt, orders);
        parts();
        screws();
        holds.into(this::line);
        climb();
    }

    private void climb() {
        ClimbDifference climb = new ClimbDifference(base, learnt);
        climb.newPoints()
                .forEach(p -> line(Kind.NEW_OIL, p.code(), "oil point: %s, %s".formatted(p.name(), p.amount()), true));
        StemRelease release = climb.newRelease();
        if (release != null) {
            String crown = release.crownPosition().isEmpty() ? "" : ", crown " + release.crownPosition();
            line(Kind.NEW_FIGURE, "stem", "stem released by: " + release.kind() + crown, base.stemRelease() == null);
        }
        CalibreData.Setting setting = climb.newSetting();
        if (setting != null) {
            line(
                    Kind.NEW_FIGURE,
                    "setting",
                    setting == CalibreData.Setting.SHOCK ? "the balance has shock settings" : "no shock setting",
                    base.data().setting() == CalibreData.Setting.NOT_SAID);
        }
    }

    /**
     * The difference between a sheet and what is known now.
     *
     * @param base the sheet as it stands; without parts when there was none
     * @param learnt the sheet as the job knows it
     * @param orders every teardown of the calibre, this one included, in codes of the learnt sheet
     */
    public static SheetDifference between(CalibreSheet base, CalibreSheet learnt, SeenOrders orders) {
        return new SheetDifference(base, learnt, orders);
    }

    /** How many teardowns of the calibre were seen, this one included. */
    public int teardowns() {
        return orders.teardowns();
    }

    /** The lines: parts, then screws, then holds, then what was seen. */
    public List<Line> lines() {
        return List.copyOf(lines.values());
    }

    private void line(Kind kind, String subject, String words, boolean accepted) {
        String key = kind + ":" + subject;
        lines.put(key, new Line(key, kind, words, accepted, partOf(subject)));
    }

    /** Of a pair it is the one that is held; a subject may say more behind a stroke. */
    private @Nullable String partOf(String subject) {
        String code = subject.substring(subject.indexOf('>') + 1).split("[:/]")[0];
        return Stream.of(learnt, base)
                .flatMap(s -> Stream.concat(
                        s.part(code).map(Part::code).stream(), s.oilPoint(code).map(OilPoint::part).stream()))
                .findFirst()
                .orElse(null);
    }

    private boolean taken(Set<String> keys, Kind kind, String subject) {
        String key = kind + ":" + subject;
        return lines.containsKey(key) && keys.contains(key);
    }

    private void parts() {
        for (Part part : learnt.parts()) {
            Part old = base.part(part.code()).orElse(null);
            if (old == null) {
                line(Kind.NEW_PART, part.code(), part.name() + " is added", true);
                continue;
            }
            if (!old.name().equals(part.name())) {
                line(
                        Kind.NEW_NAME,
                        part.code(),
                        "“%s” is called “%s”; the old name stays as an alias".formatted(old.name(), part.name()),
                        true);
            }
            if (!Objects.equals(old.unit(), part.unit())) {
                line(Kind.NEW_UNIT, part.code(), part.name() + unitWords(part), true);
            }
            for (Trait trait : TraitDifference.between(old, part)) {
                line(
                        Kind.NEW_TRAIT,
                        TraitDifference.subject(old, trait),
                        TraitDifference.words(old, part, trait),
                        // what the sheet says already is not written over in passing
                        trait.of(old).isEmpty());
            }
            if (moved(old.shape(), part.shape())) {
                line(Kind.NEW_PLACE, part.code(), part.name() + " has its place on the plan", true);
            }
        }
    }

    private String unitWords(Part part) {
        return part.unit() == null
                ? " is no longer part of a unit"
                : " comes away with " + learnt.requirePart(part.unit()).name();
    }

    private static boolean moved(@Nullable Shape old, @Nullable Shape now) {
        if (now == null || now.kind() != Shape.Kind.PIN) {
            return false;
        }
        return old == null || Math.hypot(old.x() - now.x(), old.y() - now.y()) > 1e-6;
    }

    private void screws() {
        for (Part part : learnt.parts()) {
            int was = base.screwsOf(part.code()).size();
            int is = learnt.screwsOf(part.code()).size();
            boolean otherwise = !kinds(base, part).equals(kinds(learnt, part));
            if (otherwise) {
                line(
                        Kind.NEW_SCREWS,
                        part.code(),
                        "%s: %s %s%s"
                                .formatted(
                                        part.name(),
                                        is == 0 ? "no" : ScrewPlace.words(learnt.screwsOf(part.code())),
                                        is <= 1 ? "screw" : "screws",
                                        was > 0
                                                ? ", the sheet has " + ScrewPlace.words(base.screwsOf(part.code()))
                                                        + ": accept to change them"
                                                : ""),
                        // what the sheet knows of screws goes by nobody's count in passing
                        was == 0);
            }
        }
    }

    /** Length, thread and head of each screw; where it stands within its part does not matter here. */
    private static List<String> kinds(CalibreSheet sheet, Part part) {
        return sheet.screwsOf(part.code()).stream()
                .map(s -> s.length() + "/" + s.thread() + "/" + s.head() + "/" + s.finish() + "/" + s.home())
                .toList();
    }

    /**
     * The sheet with the accepted lines on it. Parts of lines left out stay as they were; a line whose part was not
     * accepted falls with it. New parts stand in the order in which they came off.
     */
    public CalibreSheet apply(Collection<String> accepted) {
        Set<String> keys = Set.copyOf(accepted);
        List<Part> parts = new ArrayList<>();
        for (Part part : learnt.parts()) {
            Part old = base.part(part.code()).orElse(null);
            if (old != null) {
                parts.add(merged(old, part, keys));
            } else if (taken(keys, Kind.NEW_PART, part.code())) {
                parts.add(part);
            }
        }
        Set<String> codes = new HashSet<>();
        parts.forEach(p -> codes.add(p.code()));
        List<Part> whole = parts.stream()
                .map(p -> p.unit() != null && !codes.contains(p.unit()) ? p.withUnit(null) : p)
                .toList();
        List<ScrewPlace> screws = new ArrayList<>();
        for (Part part : whole) {
            CalibreSheet from = taken(keys, Kind.NEW_SCREWS, part.code()) ? learnt : base;
            screws.addAll(from.screwsOf(part.code()));
        }
        ClimbDifference climb = new ClimbDifference(base, learnt);
        CalibreData.Setting setting = climb.newSetting();
        CalibreSheet merged = base.with(
                        whole, screws, holds.merged((kind, subject) -> taken(keys, kind, subject), codes))
                .withFigures(
                        setting != null && taken(keys, Kind.NEW_FIGURE, "setting")
                                ? base.data().withSetting(setting)
                                : base.data(),
                        taken(keys, Kind.NEW_FIGURE, "stem") ? learnt.stemRelease() : base.stemRelease());
        return climb.merged(merged, codes, p -> taken(keys, Kind.NEW_OIL, p.code()));
    }

    private Part merged(Part old, Part now, Set<String> keys) {
        Part part = old;
        if (taken(keys, Kind.NEW_NAME, old.code())) {
            part = part.withName(now.name());
        }
        if (taken(keys, Kind.NEW_UNIT, old.code())) {
            part = part.withUnit(now.unit());
        }
        if (taken(keys, Kind.NEW_PLACE, old.code())) {
            part = part.withShape(now.shape());
        }
        Set<Trait> traits = TraitDifference.between(old, now).stream()
                .filter(t -> taken(keys, Kind.NEW_TRAIT, TraitDifference.subject(old, t)))
                .collect(Collectors.toSet());
        return TraitDifference.merged(part, now, traits);
    }
}
