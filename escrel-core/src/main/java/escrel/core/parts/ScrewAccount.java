package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.service.Episode;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.RuleBook;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Tally;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Screws counted by the hole in which they live. Those that only ease lie in no tray; a hole found empty stays empty, over
 * later rounds too, until another screw is supplied. Source: M17.
 */
public final class ScrewAccount {
    /** Holes of one kind, of which so many are empty and so many filled with another screw. */
    private record Gap(int empty, int supplied) {}

    private final TeardownState state;
    private final Findings findings;
    private final Map<String, PartScrews> parts = new LinkedHashMap<>();

    private ScrewAccount(TeardownState state, Findings findings) {
        this.state = state;
        this.findings = findings;
        Map<String, List<ScrewPlace>> byPart = state.sheet().screws().stream()
                .collect(Collectors.groupingBy(ScrewPlace::part, LinkedHashMap::new, Collectors.toList()));
        for (Part part : state.sheet().parts()) {
            List<ScrewPlace> screws = byPart.getOrDefault(part.code(), List.of());
            parts.put(
                    part.code(),
                    new PartScrews(part, screws.isEmpty() ? List.of() : holes(part, screws), remark(part)));
        }
    }

    /** The account as the job stands. */
    public static ScrewAccount of(TeardownState state, Findings findings) {
        return new ScrewAccount(state, findings);
    }

    /** The screws of a part of the sheet. */
    public PartScrews of(String part) {
        PartScrews screws = parts.get(part);
        if (screws == null) {
            throw new IllegalArgumentException("no part '" + part + "' on the sheet");
        }
        return screws;
    }

    /** The parts that have screws, in the order of the sheet. */
    public List<PartScrews> all() {
        return parts.values().stream().filter(p -> !p.holes().isEmpty()).toList();
    }

    /** How many screws lie in the tray. */
    public int out() {
        return all().stream().mapToInt(p -> p.count(PartScrews.Where.OUT)).sum();
    }

    /** The account: screws in the tray, and those eased in their place that wait to be tightened. */
    public Tally tally(RuleBook book) {
        List<OpenItem> open = new ArrayList<>();
        for (PartScrews screws : all()) {
            String part = screws.part().code();
            if (!state.isLeftOut(part)) {
                screws.holes().forEach(hole -> open(screws, hole, open));
            }
        }
        int waiting = open.size();
        int empty =
                all().stream().mapToInt(p -> p.count(PartScrews.Where.EMPTY)).sum();
        int unsaid =
                all().stream().mapToInt(p -> p.count(PartScrews.Where.UNSAID)).sum();
        int total = state.sheet().screws().size();
        if (book.asksForAll()) {
            state.lives()
                    .eased()
                    .forEach((part, at) -> open.add(new OpenItem(
                            "eased:" + part + "@" + at,
                            part,
                            state.sheet().requirePart(part).name() + " was eased: tighten it again",
                            OpenItem.Place.CLIMB)));
            state.lives().screwsToCome().forEach((part, come) -> unknownToCome(part, come, open));
        }
        String settled = total - waiting - empty - unsaid + " in their holes"
                + (empty == 0 ? "" : ", " + empty + " missing")
                + (unsaid == 0 ? "" : ", " + unsaid + " of parts that were missing on arrival");
        return new Tally(Tally.Kind.SCREWS, total, open, settled);
    }

    /** Screws to come of which nobody said where they belong stand for themselves. */
    private void unknownToCome(String part, Lives.ToCome come, List<OpenItem> open) {
        int beyond = come.count() - of(part).toDrive();
        if (beyond > 0) {
            open.add(new OpenItem(
                    "to-come:" + part + "@" + come.at(),
                    part,
                    state.sheet().requirePart(part).name() + ": " + beyond + (beyond == 1 ? " screw is" : " screws are")
                            + " not in yet",
                    OpenItem.Place.CLIMB));
        }
    }

    private void open(PartScrews screws, PartScrews.Hole hole, List<OpenItem> open) {
        boolean out = hole.where() == PartScrews.Where.OUT
                // in for a visit it holds its part, and is not counted as fitted any more than that
                || hole.where() == PartScrews.Where.IN
                        && state.visiting().contains(screws.part().code());
        if (out || hole.where() == PartScrews.Where.EASED) {
            ScrewPlace screw = hole.screw();
            open.add(new OpenItem(
                    "screw:" + screw.code() + "@" + state.lives().offAt(screw.part()),
                    screw.part(),
                    "%s of %s (%s) is %s"
                            .formatted(
                                    screw.code(),
                                    screws.part().name(),
                                    screw.kindWords(),
                                    out ? "out" : "eased: tighten it again"),
                    OpenItem.Place.CLIMB));
        }
    }

    private List<PartScrews.Hole> holes(Part part, List<ScrewPlace> screws) {
        Map<String, Gap> gaps = gaps(part, screws);
        Map<String, Integer> seen = new LinkedHashMap<>();
        Map<String, Long> totals =
                screws.stream().collect(Collectors.groupingBy(ScrewAccount::kind, Collectors.counting()));
        List<PartScrews.Hole> holes = new ArrayList<>();
        for (ScrewPlace screw : screws) {
            String kind = kind(screw);
            int fromEnd = (int) (totals.getOrDefault(kind, 0L) - seen.merge(kind, 1, Integer::sum));
            Gap gap = gaps.getOrDefault(kind, new Gap(0, 0));
            // which hole of several alike it is was not said: the last ones of the kind stand for it
            boolean empty = fromEnd < gap.empty();
            boolean supplied = !empty && fromEnd < gap.empty() + gap.supplied();
            holes.add(new PartScrews.Hole(screw, empty ? PartScrews.Where.EMPTY : where(part, screw), supplied));
        }
        return toCome(part, holes);
    }

    /** Which of them are not in yet was not said: the last ones stand for them. */
    private List<PartScrews.Hole> toCome(Part part, List<PartScrews.Hole> holes) {
        Lives.ToCome come = state.lives().screwsToCome().get(part.code());
        int left = come == null ? 0 : come.count();
        for (int i = holes.size() - 1; i >= 0 && left > 0; i--) {
            PartScrews.Hole hole = holes.get(i);
            if (hole.where() == PartScrews.Where.IN && !hole.screw().staysInHole()) {
                holes.set(i, new PartScrews.Hole(hole.screw(), PartScrews.Where.OUT, hole.supplied()));
                left--;
            }
        }
        return holes;
    }

    private PartScrews.Where where(Part part, ScrewPlace screw) {
        if (!state.isOff(part.code()) || state.visiting().contains(part.code())) {
            return PartScrews.Where.IN;
        }
        if (state.stepOf(part.code()).isEmpty()) {
            return PartScrews.Where.UNSAID;
        }
        return screw.staysInHole() ? PartScrews.Where.EASED : PartScrews.Where.OUT;
    }

    /** What every look at the screws of a part found missing, less what was decided to be replaced. */
    private Map<String, Gap> gaps(Part part, List<ScrewPlace> screws) {
        Map<String, Gap> gaps = new LinkedHashMap<>();
        for (Episode episode : state.lives().episodesOf(part.code())) {
            PartOff off = episode.off();
            if (off == null) {
                continue;
            }
            for (ScrewsFound.State how : ScrewsFound.State.values()) {
                boolean supplied = isReplaced(episode.offAt(), how, part.code());
                if (off.screws().count(how) == 0 || !how.emptiesHole() && !supplied) {
                    continue;
                }
                int rest = off.screws().countOfNoKind(how);
                for (String kind : kinds(screws)) {
                    ScrewPlace one = screws.stream()
                            .filter(s -> kind(s).equals(kind))
                            .findFirst()
                            .orElseThrow();
                    long room =
                            screws.stream().filter(s -> kind(s).equals(kind)).count()
                                    - gaps.getOrDefault(kind, new Gap(0, 0)).empty();
                    int said = off.screws().count(how, one.length(), one.thread());
                    int here = (int) Math.min(room, said + (long) rest);
                    rest -= Math.max(0, here - said);
                    gaps.merge(
                            kind,
                            supplied ? new Gap(0, here) : new Gap(here, 0),
                            (a, b) -> new Gap(a.empty() + b.empty(), a.supplied() + b.supplied()));
                }
            }
        }
        return gaps;
    }

    private boolean isReplaced(int offAt, ScrewsFound.State how, String part) {
        return findings.on(part).stream().anyMatch(f -> f.raisedAt() == offAt && how == f.screw() && f.replaces());
    }

    private static Set<String> kinds(List<ScrewPlace> screws) {
        return screws.stream().map(ScrewAccount::kind).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static String kind(ScrewPlace screw) {
        return screw.length() + "/" + screw.thread();
    }

    private String remark(Part part) {
        PartOff off = state.stepOf(part.code()).orElse(null);
        if (off == null) {
            return "";
        }
        CalibreSheet sheet = state.sheet();
        int onSheet = sheet.screwsOf(part.code()).size();
        Integer counted = off.screwsCounted();
        return counted != null && counted != onSheet
                ? counted + " came off, the sheet has " + onSheet
                : off.screws().words();
    }
}
