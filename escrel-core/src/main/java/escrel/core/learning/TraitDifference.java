package escrel.core.learning;

import escrel.core.calibre.Part;
import escrel.core.calibre.Trait;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What a teardown says of a part's traits that its sheet does not. */
final class TraitDifference {
    private TraitDifference() {}

    /** Subject of a line of the difference: the part and the trait. */
    static String subject(Part part, Trait trait) {
        return part.code() + "/" + trait;
    }

    /** Traits that differ. */
    static List<Trait> between(Part old, Part now) {
        List<Trait> other = new ArrayList<>();
        for (Trait trait : Trait.values()) {
            if (!trait.of(old).equals(trait.of(now))) {
                other.add(trait);
            }
        }
        return other;
    }

    /** What accepting it does, in words. */
    static String words(Part old, Part now, Trait trait) {
        String is = trait.of(now);
        if (trait.isHazard()) {
            return old.name() + (is.isEmpty() ? ": no longer “" : ": ") + trait.words() + (is.isEmpty() ? "”" : "");
        }
        String was = trait.of(old);
        return "%s %s: %s%s"
                .formatted(
                        old.name(),
                        trait.words(),
                        is.isEmpty() ? "nothing" : is,
                        was.isEmpty() ? "" : "; the sheet says “" + was + "”");
    }

    /** The part of the sheet with the traits that were accepted. */
    static Part merged(Part old, Part now, Set<Trait> accepted) {
        Part part = old;
        for (Trait trait : accepted) {
            part = part.with(trait, trait.of(now));
        }
        return part;
    }
}
