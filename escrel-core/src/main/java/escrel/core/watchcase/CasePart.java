package escrel.core.watchcase;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.calibre.Wash;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;

/**
 * A part of a case with what only cases have: where it lies among the layers, its size and fit.
 *
 * @param part what any part has: code, name, how it lies, how it flies, its note
 * @param diameterMillimetres outer, 0 when nobody measured it
 * @param heightMillimetres of a ring or crystal, or the cord of a seal; 0 when nobody measured it
 * @param fit how it sits, in words: "pressed in, 0.3 mm over its groove"; empty when not said
 * @param fitsTwoWays whether it goes back in two ways, of which one is right
 * @param alwaysNew whether it is replaced unless there is a reason not to
 * @param holds what of the movement cannot come away while it is in
 */
public record CasePart(
        Part part,
        Kind kind,
        Face face,
        double diameterMillimetres,
        double heightMillimetres,
        String fit,
        boolean fitsTwoWays,
        boolean alwaysNew,
        Set<Inside> holds) {
    /** Where it lies among the layers. */
    public enum Face {
        FRONT,
        /** Between the case and the movement. */
        INSIDE,
        BACK,
        /** On the case's body, beside the layers: tube, pushers, strap. */
        BODY
    }

    /** What of a movement a case holds, whatever the movement is. */
    public enum Inside {
        STEM,
        HANDS,
        MOVEMENT;

        /**
         * What a part of a sheet is to the case round it: by its role or, since the rules know one stem and speak of the
         * hands as one, by its name.
         */
        public static Inside of(Part part) {
            String name = part.name().toLowerCase(Locale.ROOT);
            // a seal of the stem is the case's
            boolean stem = part.group() == Group.CASE && name.contains("stem") && Kind.like(name) == Kind.OTHER;
            if (part.role() == Role.STEM || stem) {
                return STEM;
            }
            boolean hand = part.group() == Group.DIAL_AND_HANDS && name.endsWith("hand");
            return part.role() == Role.HANDS || hand ? HANDS : MOVEMENT;
        }
    }

    /** What a part of a case is. The words are what it is called where nobody says more. */
    public enum Kind {
        BACK("Case back", Face.BACK),
        DUST_COVER("Dust cover", Face.BACK),
        BEZEL("Bezel", Face.FRONT),
        TURNING_RING("Turning ring", Face.FRONT),
        RETAINING_RING("Retaining ring", Face.FRONT),
        CRYSTAL("Crystal", Face.FRONT),
        TENSION_RING("Tension ring", Face.FRONT),
        SEAL("Seal", Face.BACK),
        HOLDING_RING("Holding ring", Face.INSIDE),
        CASING_RING("Casing ring", Face.INSIDE),
        GONG_RING("Gong ring", Face.INSIDE),
        CLAMPS("Clamps", Face.INSIDE),
        BEZEL_SPRING("Bezel spring", Face.BODY),
        CROWN_SEAL("Crown seal", Face.BODY),
        CROWN_WASHER("Crown washer", Face.BODY),
        TUBE("Crown tube", Face.BODY),
        PUSHERS("Pushers", Face.BODY),
        STRAP("Strap", Face.BODY),
        OTHER("Part of the case", Face.BODY);

        private final String words;
        private final Face face;

        Kind(String words, Face face) {
            this.words = words;
            this.face = face;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Where such a part usually lies. */
        public Face usualFace() {
            return face;
        }

        /** What of the movement such a part usually holds. */
        public Set<Inside> usualHolds() {
            return this == CLAMPS || this == HOLDING_RING || this == PUSHERS ? Set.of(Inside.MOVEMENT) : Set.of();
        }

        /** Whether it is a seal of any kind. */
        public boolean isSeal() {
            return this == SEAL || this == CROWN_SEAL;
        }

        /** The kind a name in free words speaks of: the longest of our words that stands in it. */
        public static Kind like(String name) {
            String said = name.toLowerCase(Locale.ROOT);
            if (said.contains("gasket")) {
                return said.contains("crown") ? CROWN_SEAL : SEAL;
            }
            return Arrays.stream(values())
                    .filter(k -> k != OTHER && said.contains(k.words.toLowerCase(Locale.ROOT)))
                    .max(Comparator.comparingInt(k -> k.words.length()))
                    .orElse(said.contains("back") ? BACK : said.contains("pusher") ? PUSHERS : OTHER);
        }
    }

    public CasePart {
        fit = fit == null ? "" : fit;
        holds = holds == null ? Set.of() : Collections.unmodifiableSet(new TreeSet<>(holds));
    }

    /** A part of a case as it is named on the bench: what its kind usually is, nothing measured. */
    public static CasePart named(Part part) {
        Kind kind = Kind.like(part.name());
        return new CasePart(part, kind, kind.usualFace(), 0, 0, "", false, kind.isSeal(), kind.usualHolds());
    }

    /** A part of a case by its kind, with the code its kind usually has. */
    static CasePart of(Kind kind, String code, String note) {
        Part plain = Part.of(code, kind.words(), Group.CASE, kind.usualFace() == Face.FRONT ? Side.DIAL : Side.TRAIN);
        Part washed = plain.withWash(Wash.WATER_BATH, "cases go through their own water-based bath");
        return named(note.isEmpty() ? washed : washed.with(Trait.NOTE, note));
    }

    /** Code of the part. */
    public String code() {
        return part.code();
    }

    /** The same with what any part has said otherwise. */
    CasePart with(Part otherPart) {
        return new CasePart(
                otherPart, kind, face, diameterMillimetres, heightMillimetres, fit, fitsTwoWays, alwaysNew, holds);
    }

    /** The same, holding this of the movement too. */
    CasePart holding(Inside what) {
        Set<Inside> more = new TreeSet<>(holds);
        more.add(what);
        return new CasePart(
                part, kind, face, diameterMillimetres, heightMillimetres, fit, fitsTwoWays, alwaysNew, more);
    }

    /** Size and fit in words: "24.5 × 0.8 mm, pressed in"; empty when nothing was said. */
    public String sizeWords() {
        String size = diameterMillimetres <= 0
                ? ""
                : heightMillimetres <= 0
                        ? number(diameterMillimetres) + " mm"
                        : number(diameterMillimetres) + " × " + number(heightMillimetres) + " mm";
        return List.of(size, fit).stream()
                .filter(w -> !w.isEmpty())
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
