package escrel.core.service;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The job is bound to a sheet, now or later, and the steps already recorded stay: parts that had working names are said
 * to be parts of the sheet.
 *
 * @param calibre id of the sheet
 * @param version of the sheet, 1 for the first
 * @param variant which variant of it, or empty
 * @param as how sure that is
 * @param sameAs from working codes of this job to codes on the sheet
 */
public record CalibreBound(String calibre, int version, String variant, As as, Map<String, String> sameAs)
        implements Step {
    /** How sure the binding is. */
    public enum As {
        /** It is this calibre. */
        CALIBRE,
        /** It is of its family: the sheet helps, and may be replaced by the right one. */
        FAMILY
    }

    public CalibreBound {
        variant = variant == null ? "" : variant;
        as = as == null ? As.CALIBRE : as;
        sameAs = sameAs == null ? Map.of() : Map.copyOf(sameAs);
    }

    /** Bound to the sheet of its own calibre, before anything had a working name. */
    public CalibreBound(String calibre, int version) {
        this(calibre, version, "", As.CALIBRE, Map.of());
    }

    /** The code on the sheet for a code used in this job so far. */
    public String onSheet(@Nullable String code) {
        return code == null ? "" : sameAs.getOrDefault(code, code);
    }

    @Override
    public boolean canBeTakenBack() {
        return false;
    }
}
