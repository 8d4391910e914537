package escrel.core.supply;

import escrel.core.service.Step;
import java.util.List;

/**
 * An incomplete movement from which parts are taken; said again, it takes the place of what was said before.
 *
 * @param id names it for good; no two workshops make the same
 * @param name as it is called on the bench
 * @param calibre id of its sheet
 * @param lacks codes of the parts that are not on it, or are no good
 * @param words what is to be known of it
 */
public record DonorKept(String id, String name, String calibre, List<String> lacks, String words) implements Step {
    private static final int MOST = 1000;

    public DonorKept {
        id = Texts.required("Its mark", id);
        name = Texts.required("What it is called", name);
        calibre = Texts.required("Its calibre", calibre);
        lacks = lacks == null ? List.of() : List.copyOf(lacks);
        words = Texts.orEmpty("What is to be known", words);
        if (lacks.size() > MOST) {
            throw new IllegalArgumentException("A donor lacks " + MOST + " parts at most");
        }
    }

    /** Begins what a copy says that was taken from it: see {@link escrel.core.parts.CopyAtHand#from()}. */
    public String asSource() {
        return "donor:" + id + "/";
    }

    /**
     * What a copy says that was taken from it.
     *
     * @param part code of the part on the donor's sheet, which may call it otherwise than the watch's
     */
    public String asSource(String part) {
        return asSource() + part;
    }
}
