package escrel.core.calibre;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Everything known about a calibre. A sheet may be faulty (it comes from a file or a learner): {@link SheetCheck} names
 * the faults, and only a sound one is kept.
 *
 * @param id short name in addresses: lower case, digits and hyphens
 * @param name as said at the bench
 * @param train nothing when the counts are unknown
 * @param traps what bites, a sentence each
 */
public record CalibreSheet(
        String id,
        String name,
        CalibreData data,
        @Nullable StemRelease stemRelease,
        List<Part> parts,
        List<ScrewPlace> screws,
        List<Hold> holds,
        List<EarlyIn> earlyIns,
        List<OilPoint> oilPoints,
        List<AssemblyTest> tests,
        List<Jewel> jewels,
        @Nullable Train train,
        List<String> traps) {
    public CalibreSheet {
        parts = Copies.list(parts);
        screws = Copies.list(screws);
        holds = Copies.list(holds);
        earlyIns = Copies.list(earlyIns);
        oilPoints = Copies.list(oilPoints);
        tests = Copies.list(tests);
        jewels = Copies.list(jewels);
        traps = Copies.list(traps);
    }

    /** The part with this code, if the sheet has it. */
    public Optional<Part> part(String code) {
        return parts.stream().filter(p -> p.code().equals(code)).findFirst();
    }

    /** The part with this code; an {@link IllegalArgumentException} names the code when there is none. */
    public Part requirePart(String code) {
        return part(code)
                .orElseThrow(() -> new IllegalArgumentException("no part '" + code + "' on the sheet of " + name));
    }

    /** The first part with this role, if any. */
    public Optional<Part> withRole(Role role) {
        return parts.stream().filter(p -> p.role() == role).findFirst();
    }

    /** The screws that hold this part, in the order of the sheet. */
    public List<ScrewPlace> screwsOf(String part) {
        return screws.stream().filter(s -> s.part().equals(part)).toList();
    }

    /** What holds this part. */
    public List<Hold> holdsOn(String part) {
        return holds.stream().filter(h -> h.part().equals(part)).toList();
    }

    /** What this part holds down or covers. */
    public List<Hold> heldBy(String part) {
        return holds.stream().filter(h -> h.by().equals(part)).toList();
    }

    /** The parts that have a home in the movement: all but the power-down. */
    public List<Part> homes() {
        return parts.stream().filter(p -> !p.isPowerDown()).toList();
    }
}
