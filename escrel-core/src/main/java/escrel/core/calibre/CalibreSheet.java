package escrel.core.calibre;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Everything known about a calibre. A sheet may be faulty (it comes from a file or a learner): {@link SheetCheck} names
 * the faults, and only a sound one is kept.
 *
 * @param id short name in addresses: lower case, digits and hyphens
 * @param name as said at the bench
 * @param train nothing when the counts are unknown
 * @param traps what bites, a sentence each
 * @param lore everything else worth keeping
 * @param pictures photographs of its sides
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
        List<String> traps,
        Lore lore,
        List<SidePicture> pictures) {
    /** Id of a sheet that only one job knows so far. */
    public static final String LEARNT_HERE = "learnt-here";

    /** Code of the act of casing: windows of points and tests may name it, whatever case the movement sits in. */
    public static final String CASED = "watchcase";

    /** Code of what closes the case: windows may name it as well. */
    public static final String CLOSED = "case-back";

    public CalibreSheet {
        parts = Copies.list(parts);
        screws = Copies.list(screws);
        holds = Copies.list(holds);
        earlyIns = Copies.list(earlyIns);
        oilPoints = Copies.list(oilPoints);
        tests = Copies.list(tests);
        jewels = Copies.list(jewels);
        traps = Copies.list(traps);
        lore = lore == null ? Lore.NONE : lore;
        pictures = Copies.list(pictures);
    }

    /** A sheet without lore and pictures. */
    public CalibreSheet(
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
        this(
                id,
                name,
                data,
                stemRelease,
                parts,
                screws,
                holds,
                earlyIns,
                oilPoints,
                tests,
                jewels,
                train,
                traps,
                Lore.NONE,
                List.of());
    }

    /** The same sheet with other parts, screws and holds. */
    public CalibreSheet with(List<Part> otherParts, List<ScrewPlace> otherScrews, List<Hold> otherHolds) {
        Draft draft = new Draft(this);
        draft.parts = otherParts;
        draft.screws = otherScrews;
        draft.holds = otherHolds;
        return draft.sheet();
    }

    /** The same sheet with some of its parts only: with their screws, and with what holds them among themselves. */
    public CalibreSheet among(Predicate<Part> some) {
        List<Part> chosen = parts.stream().filter(some).toList();
        Set<String> codes = chosen.stream().map(Part::code).collect(Collectors.toSet());
        return with(
                chosen,
                screws.stream().filter(s -> codes.contains(s.part())).toList(),
                holds.stream()
                        .filter(h -> codes.contains(h.part()) && codes.contains(h.by()))
                        .toList());
    }

    /** The same sheet under another id and name, with other figures and pictures. */
    public CalibreSheet called(String newId, String newName, CalibreData newData, List<SidePicture> newPictures) {
        Draft draft = new Draft(this);
        draft.id = newId;
        draft.name = newName;
        draft.data = newData;
        draft.pictures = newPictures;
        return draft.sheet();
    }

    /** The same sheet with other figures and another stem release. */
    public CalibreSheet withFigures(CalibreData newData, @Nullable StemRelease newRelease) {
        Draft draft = new Draft(this);
        draft.data = newData;
        draft.stemRelease = newRelease;
        return draft.sheet();
    }

    /** The same sheet with other lubrication points and tests. */
    public CalibreSheet withClimb(List<OilPoint> newPoints, List<AssemblyTest> newTests) {
        return withRest(newPoints, newTests, traps);
    }

    /** The same sheet with other lubrication points, tests and traps. */
    public CalibreSheet withRest(List<OilPoint> newPoints, List<AssemblyTest> newTests, List<String> newTraps) {
        Draft draft = new Draft(this);
        draft.oilPoints = newPoints;
        draft.tests = newTests;
        draft.traps = newTraps;
        return draft.sheet();
    }

    /** The same sheet with other parts that have to be in early, and other jewels. */
    CalibreSheet withInside(List<EarlyIn> newEarlyIns, List<Jewel> newJewels) {
        Draft draft = new Draft(this);
        draft.earlyIns = newEarlyIns;
        draft.jewels = newJewels;
        return draft.sheet();
    }

    /** The same sheet with other lore. */
    public CalibreSheet withLore(Lore newLore) {
        Draft draft = new Draft(this);
        draft.lore = newLore;
        return draft.sheet();
    }

    /** Whether no library knows it: it grows while one movement is stripped. */
    public boolean isLearntHere() {
        return id.equals(LEARNT_HERE);
    }

    /** The part with this code, if the sheet has it. */
    public Optional<Part> part(String code) {
        // asked for at every step of a job: a plain loop is several times quicker than a stream
        for (Part part : parts) {
            if (part.code().equals(code)) {
                return Optional.of(part);
            }
        }
        return Optional.empty();
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

    /** All parts with this role, in the order of the sheet: two barrels have two power-downs. */
    public List<Part> allWithRole(Role role) {
        return parts.stream().filter(p -> p.role() == role).toList();
    }

    /** The parts that travel with this one as a unit and are parted from it in the hand. */
    public List<Part> unitOf(String part) {
        return parts.stream().filter(p -> part.equals(p.unit())).toList();
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

    /** The test with this code, among the sheet's own and the routine ones. */
    public Optional<AssemblyTest> test(String code) {
        return tests.stream()
                .filter(t -> t.code().equals(code))
                .findFirst()
                .or(() ->
                        climbTests().stream().filter(t -> t.code().equals(code)).findFirst());
    }

    /** The lubrication point with this code, if the sheet has it. */
    public Optional<OilPoint> oilPoint(String code) {
        return oilPoints.stream().filter(p -> p.code().equals(code)).findFirst();
    }

    /** The tests of the way up: the sheet's own, and the routine of every running movement. */
    public List<AssemblyTest> climbTests() {
        return RoutineTests.with(this);
    }

    /** The parts that have a home in the movement: all but the power-down. */
    public List<Part> homes() {
        return parts.stream().filter(p -> !p.isPowerDown()).toList();
    }

    /** A copy in the making: what is not said otherwise stays. */
    private static final class Draft {
        private final CalibreSheet from;
        private String id;
        private String name;
        private CalibreData data;
        private @Nullable StemRelease stemRelease;
        private List<Part> parts;
        private List<ScrewPlace> screws;
        private List<Hold> holds;
        private List<EarlyIn> earlyIns;
        private List<Jewel> jewels;
        private List<OilPoint> oilPoints;
        private List<AssemblyTest> tests;
        private List<String> traps;
        private Lore lore;
        private List<SidePicture> pictures;

        Draft(CalibreSheet from) {
            this.from = from;
            this.id = from.id;
            this.name = from.name;
            this.data = from.data;
            this.stemRelease = from.stemRelease;
            this.parts = from.parts;
            this.screws = from.screws;
            this.holds = from.holds;
            this.earlyIns = from.earlyIns;
            this.jewels = from.jewels;
            this.oilPoints = from.oilPoints;
            this.tests = from.tests;
            this.traps = from.traps;
            this.lore = from.lore;
            this.pictures = from.pictures;
        }

        CalibreSheet sheet() {
            return new CalibreSheet(
                    id,
                    name,
                    data,
                    stemRelease,
                    parts,
                    screws,
                    holds,
                    earlyIns,
                    oilPoints,
                    tests,
                    jewels,
                    from.train,
                    traps,
                    lore,
                    pictures);
        }
    }

    /** Whether a part is a cap jewel, or carries one. */
    public boolean isCap(String part) {
        return jewels.stream()
                .anyMatch(j -> j.kind() == Jewel.Kind.CAP && j.part().equals(part));
    }

    /** Whether epilame is put on it where a workshop uses any: cap jewels, fork and escape wheel. Source: craft 2.12. */
    public boolean takesEpilame(Part part) {
        return part.role() == Role.PALLET_FORK || part.role() == Role.ESCAPE_WHEEL || isCap(part.code());
    }
}
