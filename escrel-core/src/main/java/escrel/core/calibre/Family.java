package escrel.core.calibre;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What the other calibres of a family know and a sheet does not say yet: how the stem is released, traps, what wears on a part
 * both have, what interchanges. Each line can be taken over; what a variant has otherwise is left. Source: craft 2.10, 2.19.
 */
public final class Family {
    /**
     * One line.
     *
     * @param key stays the same while the sheets do
     * @param words what taking it over says on the sheet
     * @param from name of the calibre that knows it
     */
    public record Line(String key, String words, String from) {}

    private final CalibreSheet sheet;
    private final Map<String, Line> lines = new LinkedHashMap<>();
    private final Map<String, UnaryOperator<CalibreSheet>> taking = new LinkedHashMap<>();

    private Family(CalibreSheet sheet) {
        this.sheet = sheet;
    }

    /**
     * What a family knows beside a sheet.
     *
     * @param all sheets among which its family is looked for; those of no family or another are left aside
     */
    public static Family of(CalibreSheet sheet, Collection<CalibreSheet> all) {
        Family family = new Family(sheet);
        if (!sheet.lore().family().isEmpty()) {
            all.stream()
                    .filter(s -> !s.id().equals(sheet.id())
                            && s.lore().family().equals(sheet.lore().family()))
                    .forEach(family::look);
        }
        return family;
    }

    private void look(CalibreSheet other) {
        StemRelease release = other.stemRelease();
        if (sheet.stemRelease() == null && release != null) {
            line(
                    "STEM:" + other.id(),
                    "stem released by: " + release.kind() + ", crown " + release.crownPosition(),
                    other,
                    s -> s.withFigures(s.data(), release));
        }
        for (String trap : other.traps()) {
            if (!sheet.traps().contains(trap)) {
                line(
                        "TRAP:" + trap,
                        "trap: " + trap,
                        other,
                        s -> s.withRest(s.oilPoints(), s.tests(), more(s.traps(), trap)));
            }
        }
        for (Lore.WeakPoint weak : other.lore().weakPoints()) {
            boolean shared = weak.part() != null && sheet.part(weak.part()).isPresent();
            if (shared && !sheet.lore().weakPoints().contains(weak)) {
                line(
                        "WEAK:" + weak.part() + ":" + weak.words(),
                        name(weak.part()) + " wears: " + weak.words(),
                        other,
                        s -> s.withLore(s.lore()
                                .with(
                                        more(s.lore().weakPoints(), weak),
                                        s.lore().interchange())));
            }
        }
        for (Lore.Interchange change : other.lore().interchange()) {
            boolean elsewhere = !change.calibre().equals(sheet.id())
                    && (change.isOfAll() || sheet.part(change.part()).isPresent());
            if (elsewhere && !sheet.lore().interchange().contains(change)) {
                line(
                        "CHANGE:" + change.part() + ":" + change.calibre(),
                        change.isOfAll()
                                ? change.words() + " interchange"
                                : name(change.part()) + " fits from " + change.calibre(),
                        other,
                        s -> s.withLore(s.lore()
                                .with(s.lore().weakPoints(), more(s.lore().interchange(), change))));
            }
        }
    }

    private String name(@Nullable String code) {
        return code == null ? "" : sheet.part(code).map(Part::name).orElse(code);
    }

    private static <T> List<T> more(List<T> list, T one) {
        List<T> all = new ArrayList<>(list);
        all.add(one);
        return all;
    }

    private void line(String key, String words, CalibreSheet from, UnaryOperator<CalibreSheet> how) {
        lines.putIfAbsent(key, new Line(key, words, from.name()));
        taking.putIfAbsent(key, how);
    }

    /** The lines, calibre by calibre. */
    public List<Line> lines() {
        return List.copyOf(lines.values());
    }

    /** The sheet with some lines taken over; keys of no line are left aside. */
    public CalibreSheet taking(Collection<String> keys) {
        CalibreSheet taken = sheet;
        for (Map.Entry<String, UnaryOperator<CalibreSheet>> each : taking.entrySet()) {
            if (keys.contains(each.getKey())) {
                taken = each.getValue().apply(taken);
            }
        }
        return taken;
    }
}
