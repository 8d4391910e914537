package escrel.core.watchcase;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.watchcase.CasePart.Inside;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Everything known about a case. A sheet may be faulty (it comes from a file): {@link CaseCheck} names the faults, and only
 * a sound one is kept.
 *
 * @param id short name in addresses: lower case, digits and hyphens
 * @param maker on the dial
 * @param reference of the watch
 * @param crowns each with what it is; empty while nobody said
 * @param parts in the order in which they come off; of the layers of a face the outermost first
 * @param screws of its parts, and case screws (of {@link CalibreSheet#CASED})
 * @param holds among its own parts, beside what follows from the layers
 * @param traps what bites, a sentence each
 */
public record CaseSheet(
        String id,
        String maker,
        String reference,
        Opens opens,
        List<Crown> crowns,
        List<CasePart> parts,
        List<ScrewPlace> screws,
        List<Hold> holds,
        List<String> traps) {
    /** Id of a case no sheet is known of. */
    public static final String PLAIN = "plain-case";

    /**
     * A crown.
     *
     * @param place "at 3", "lower"
     * @param screwDown whether it is screwed to its tube; nothing when nobody said
     */
    public record Crown(String place, @Nullable Boolean screwDown) {
        public Crown {
            place = place == null ? "" : place;
        }
    }

    public CaseSheet {
        maker = maker == null ? "" : maker;
        reference = reference == null ? "" : reference;
        opens = opens == null ? Opens.NOT_SAID : opens;
        crowns = crowns == null ? List.of() : List.copyOf(crowns);
        parts = parts == null ? List.of() : List.copyOf(parts);
        screws = screws == null ? List.of() : List.copyOf(screws);
        holds = holds == null ? List.of() : List.copyOf(holds);
        traps = traps == null ? List.of() : List.copyOf(traps);
    }

    /** A case of which nothing is known but how it opens, if that. */
    public static CaseSheet plain(Opens opens) {
        List<CasePart> parts = new ArrayList<>();
        if (opens.atTheFront()) {
            parts.add(CasePart.of(CasePart.Kind.BEZEL, "bezel", "with crystal"));
        }
        if (opens.atTheBack()) {
            parts.add(CasePart.of(CasePart.Kind.BACK, CalibreSheet.CLOSED, ""));
        }
        return new CaseSheet(PLAIN, "", "", opens, List.of(), parts, List.of(), List.of(), List.of());
    }

    /** Maker and reference, as said at the bench. */
    public String name() {
        return (maker + " " + reference).strip();
    }

    /** The part with this code, if the case has it. */
    public Optional<CasePart> part(String code) {
        return parts.stream().filter(p -> p.code().equals(code)).findFirst();
    }

    /** The layers of a face in the order in which they come off, the outermost first. */
    public List<CasePart> layers(CasePart.Face face) {
        return parts.stream().filter(p -> p.face() == face).toList();
    }

    /**
     * Whether a part stays in the case unless it is wanted: what lies at a face that is not opened, what is pressed to
     * another part, and most of the body.
     */
    public boolean staysBesides(CasePart part) {
        return part.part().staysWith() != null
                || switch (part.face()) {
                    case FRONT -> !opens.atTheFront();
                    case BACK -> !opens.atTheBack();
                    case INSIDE -> false;
                    case BODY -> part.kind() != CasePart.Kind.PUSHERS && part.kind() != CasePart.Kind.STRAP;
                };
    }

    /** Whether a crown is screwed down: yes where any is, no where all are said not to be, nothing otherwise. */
    public @Nullable Boolean screwDown() {
        if (crowns.stream().anyMatch(c -> Boolean.TRUE.equals(c.screwDown()))) {
            return true;
        }
        return crowns.isEmpty() || crowns.stream().anyMatch(c -> c.screwDown() == null) ? null : Boolean.FALSE;
    }

    /** The same case opened another way. */
    public CaseSheet opening(Opens otherOpens) {
        return new CaseSheet(id, maker, reference, otherOpens, crowns, parts, screws, holds, traps);
    }

    /** The same case with other crowns. */
    public CaseSheet withCrowns(List<Crown> otherCrowns) {
        return new CaseSheet(id, maker, reference, opens, otherCrowns, parts, screws, holds, traps);
    }

    /** The same case with other traps. */
    public CaseSheet withTraps(List<String> otherTraps) {
        return new CaseSheet(id, maker, reference, opens, crowns, parts, screws, holds, otherTraps);
    }

    /** The same case with this part in the place of the one of its code, or last where there is none. */
    public CaseSheet withPart(CasePart part) {
        List<CasePart> all = new ArrayList<>(parts);
        int at = indexOf(part.code());
        if (at < 0) {
            all.add(part);
        } else {
            all.set(at, part);
        }
        return with(all, screws, holds);
    }

    /** The same case with a part nearer to the outside of its face, or further from it; as it is where it cannot go. */
    public CaseSheet moved(String code, boolean outwards) {
        List<CasePart> all = new ArrayList<>(parts);
        int from = indexOf(code);
        if (from < 0) {
            return this;
        }
        CasePart part = all.get(from);
        List<CasePart> face = layers(part.face());
        int place = face.indexOf(part) + (outwards ? -1 : 1);
        if (place >= 0 && place < face.size()) {
            int to = indexOf(face.get(place).code());
            all.set(from, all.get(to));
            all.set(to, part);
        }
        return with(all, screws, holds);
    }

    /** The same case without a part, its screws and what it holds. */
    public CaseSheet without(String code) {
        return with(
                parts.stream().filter(p -> !p.code().equals(code)).toList(),
                screws.stream().filter(s -> !s.part().equals(code)).toList(),
                holds.stream()
                        .filter(h -> !h.part().equals(code) && !h.by().equals(code))
                        .toList());
    }

    private int indexOf(String code) {
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i).code().equals(code)) {
                return i;
            }
        }
        return -1;
    }

    /** The same case with other parts, screws and holds. */
    CaseSheet with(List<CasePart> otherParts, List<ScrewPlace> otherScrews, List<Hold> otherHolds) {
        return new CaseSheet(id, maker, reference, opens, crowns, otherParts, otherScrews, otherHolds, traps);
    }

    /** The same case under another id, maker and reference. */
    public CaseSheet called(String newId, String newMaker, String newReference) {
        return new CaseSheet(newId, newMaker, newReference, opens, crowns, parts, screws, holds, traps);
    }

    /** Whether a part of a movement's sheet belongs to the case: of its group, and no stem, which is the movement's. */
    public static boolean isOfCase(Part part) {
        return part.group() == Group.CASE && Inside.of(part) != Inside.STEM;
    }
}
