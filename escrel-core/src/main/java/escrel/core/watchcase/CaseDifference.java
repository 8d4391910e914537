package escrel.core.watchcase;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Trait;
import escrel.core.learning.LearntSheet;
import escrel.core.learning.SeenOrders;
import escrel.core.learning.SheetDifference;
import escrel.core.service.JobHistory;
import escrel.core.watchcase.CasePart.Inside;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a job adds to the sheet of its watch's case, line by line, so that each can be accepted or left: what is learnt of
 * the case goes to the case, never to the calibre in it.
 */
public final class CaseDifference {
    private static final String OPENS = "FACT:OPENS";
    private static final String CROWN = "FACT:SCREW_DOWN_CROWN";
    private static final String HOLDS = "HOLDS:";

    /**
     * One line.
     *
     * @param key stays the same while sheet and job do
     * @param words what accepting it does
     * @param accepted what is proposed
     */
    public record Line(String key, String words, boolean accepted) {}

    private final CaseSheet base;
    private final CaseSheet known;
    /** The case alone as its sheet has it. */
    private final CalibreSheet before;

    private final SheetDifference parts;
    private final Map<String, Line> lines = new LinkedHashMap<>();

    private CaseDifference(CaseSheet base, CaseSheet known, CalibreSheet joined) {
        this.base = base;
        this.known = known;
        this.before = ofCase(Cased.of(LearntSheet.unknown(), base, Set.of()));
        this.parts = SheetDifference.between(before, ofCase(joined), SeenOrders.of(List.of()));
        parts.lines().forEach(l -> lines.put(l.key(), new Line(l.key(), l.words(), l.accepted())));
        facts();
        holds(joined);
    }

    /**
     * The difference.
     *
     * @param bound the newest version of the case's sheet; nothing while the job is bound to none
     * @param joined the movement in its case as the job knows it
     */
    public static CaseDifference of(@Nullable CaseSheet bound, JobHistory history, CalibreSheet joined) {
        CaseSheet known = CaseOfJob.of(bound, history).orElseGet(() -> CaseSheet.plain(Opens.NOT_SAID));
        // of a case without a sheet, what every case has is no news: it stands on the new sheet anyway
        return new CaseDifference(bound == null ? CaseSheet.plain(known.opens()) : bound, known, joined);
    }

    /** A learnt sheet without what belongs to the case, as far as the calibre's own sheet does not carry it. */
    public static CalibreSheet withoutCase(CalibreSheet learnt, CalibreSheet base) {
        return learnt.among(p -> !CaseSheet.isOfCase(p) || base.part(p.code()).isPresent());
    }

    /** Of movement and case together the case alone; where the movement comes out stays a place for screws. */
    private static CalibreSheet ofCase(CalibreSheet joined) {
        CalibreSheet alone = joined.among(CaseSheet::isOfCase);
        return LearntSheet.unknown().with(alone.parts(), alone.screws(), alone.holds());
    }

    private void facts() {
        if (known.opens() != base.opens() && known.opens() != Opens.NOT_SAID) {
            line(OPENS, "it opens " + known.opens().words(), base.opens() == Opens.NOT_SAID);
        }
        Boolean screwed = known.screwDown();
        if (screwed != null && !screwed.equals(base.screwDown())) {
            line(
                    CROWN,
                    screwed ? "its crown is screwed down" : "its crown is not screwed down",
                    base.screwDown() == null);
        }
    }

    /** What was said on the bench to be held by a part of the case. */
    private void holds(CalibreSheet joined) {
        Set<String> followsFromLayers = Cased.of(CaseCheck.anyMovement(), known, Set.of()).holds().stream()
                .map(CaseDifference::said)
                .collect(Collectors.toSet());
        for (Hold hold : joined.holds()) {
            Optional<Part> by = joined.part(hold.by()).filter(CaseSheet::isOfCase);
            Optional<Part> part = joined.part(hold.part()).filter(p -> !CaseSheet.isOfCase(p));
            boolean byItsLayers = hold.by().equals(CalibreSheet.CASED) || followsFromLayers.contains(said(hold));
            if (by.isPresent() && part.isPresent() && hold.basis() == Hold.Basis.STATED && !byItsLayers) {
                Inside what = Inside.of(part.get());
                boolean knows = base.part(hold.by())
                        .filter(p -> p.holds().contains(what))
                        .isPresent();
                if (!knows) {
                    line(
                            HOLDS + hold.by() + ">" + what,
                            by.get().name() + " comes out before the "
                                    + what.name().toLowerCase(Locale.ROOT),
                            true);
                }
            }
        }
    }

    private static String said(Hold hold) {
        return hold.by() + ": " + hold.why();
    }

    private void line(String key, String words, boolean accepted) {
        lines.put(key, new Line(key, words, accepted));
    }

    /** The lines: parts, screws and holds, then what was said of the case. */
    public List<Line> lines() {
        return List.copyOf(lines.values());
    }

    /** The case with the accepted lines on it; a new part gets what its kind usually has. */
    public CaseSheet apply(Collection<String> accepted) {
        Set<String> keys = Set.copyOf(accepted);
        CalibreSheet merged = parts.apply(accepted);
        List<CasePart> all = new ArrayList<>();
        for (CasePart old : base.parts()) {
            Part now = merged.requirePart(old.code());
            boolean same = now.equals(before.requirePart(old.code()));
            all.add(same ? old : old.with(merged(old.part(), now, before.requirePart(old.code()))));
        }
        merged.parts().stream()
                .filter(p -> base.part(p.code()).isEmpty() && !p.code().equals(CalibreSheet.CASED))
                .map(CasePart::named)
                .forEach(all::add);
        all.replaceAll(p -> withHolds(p, keys));
        List<ScrewPlace> screws = merged.screws();
        List<Hold> holds = new ArrayList<>(base.holds());
        merged.holds().stream()
                .filter(h -> lines.containsKey("NEW_HOLD:" + h.by() + ">" + h.part())
                        && keys.contains("NEW_HOLD:" + h.by() + ">" + h.part()))
                .forEach(holds::add);
        CaseSheet sheet = base.with(all, screws, holds);
        if (keys.contains(OPENS) && lines.containsKey(OPENS)) {
            sheet = sheet.opening(known.opens());
        }
        if (keys.contains(CROWN) && lines.containsKey(CROWN)) {
            sheet = sheet.withCrowns(known.crowns());
        }
        return sheet;
    }

    private CasePart withHolds(CasePart part, Set<String> keys) {
        CasePart held = part;
        for (Inside what : Inside.values()) {
            String key = HOLDS + part.code() + ">" + what;
            if (keys.contains(key) && lines.containsKey(key)) {
                held = held.holding(what);
            }
        }
        return held;
    }

    /** What the joining adds to a part (a role, "fits two ways") stays with the joining. */
    private static Part merged(Part own, Part now, Part before) {
        Part part = own.withName(now.name());
        for (Trait trait : Trait.values()) {
            if (!Objects.equals(trait.of(now), trait.of(before))) {
                part = part.with(trait, trait.of(now));
            }
        }
        return part;
    }
}
