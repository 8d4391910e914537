package escrel.core.teardown;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Something said before a step. A question wants a second press of the key; a remark does not.
 *
 * @param kind question or remark
 * @param title a few words, readable at arm's length
 * @param words what to do
 */
public record Caution(Kind kind, String title, String words) {
    /** Whether the step waits for an answer. */
    public enum Kind {
        ASKS,
        SAYS
    }

    /** Everything to be said before this part comes off, questions first. Source: ordering rules 1, 6, 7 and 8. */
    public static List<Caution> before(CalibreSheet sheet, Part part) {
        List<Caution> all = new ArrayList<>();
        threads(sheet, part, all);
        power(part, all);
        hazards(part, all);
        if (part.role() == Role.BALANCE_COCK && sheet.data().setting() == CalibreData.Setting.NONE) {
            all.add(says(
                    "No shock setting",
                    "Lay the cock upside down at once, so that the balance does not hang on its hairspring."));
        }
        all.sort(Comparator.comparing(Caution::kind));
        return List.copyOf(all);
    }

    private static void threads(CalibreSheet sheet, Part part, List<Caution> all) {
        List<ScrewPlace> screws = sheet.screwsOf(part.code());
        if (screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.LEFT)) {
            all.add(asks("Left-hand thread", "Undo it clockwise. Forced the other way it shears."));
        }
        if (screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.ODD)) {
            all.add(asks("Odd thread", "This screw fits no other hole: keep it with its part."));
        }
    }

    private static void power(Part part, List<Caution> all) {
        if (part.isPowerDown()) {
            all.add(asks(
                    "Hold the crown",
                    "Draw the click back and let the crown turn slowly between the fingers until nothing pulls. Shield"
                            + " your eyes while a spring is under tension."));
        } else if (part.role() == Role.RATCHET_WHEEL) {
            all.add(asks(
                    "Is the power really down?",
                    "A gummed mainspring can hold hidden power and let go now. Press the ratchet wheel back with"
                            + " pegwood: it must not turn by itself."));
        } else if (part.role() == Role.MAINSPRING) {
            all.add(asks(
                    "The spring can leap out",
                    "Arbor out first; cover the drum with a finger and let the spring uncoil in the hand. Eye"
                            + " protection on."));
        }
    }

    private static void hazards(Part part, List<Caution> all) {
        if (part.has(Hazard.FLIES)) {
            all.add(asks("This one flies", "Hold it down with pegwood before freeing it, under a film or a bell."));
        }
        if (part.has(Hazard.LONG_PIVOT)) {
            all.add(says("Long pivot below", "Lift square, with no tilt, until the pivot is clear."));
        }
        if (part.has(Hazard.FRICTION_FIT)) {
            all.add(says("Friction fit", "Draw it along its axis with a pulling tool; never wrench it with tweezers."));
        }
        if (part.has(Hazard.ECCENTRIC)) {
            all.add(says("Adjuster, not a screw", "Photograph where it stands and do not turn it."));
        }
        if (part.has(Hazard.FRAGILE)) {
            all.add(says("Fragile", "Touch it only where it is strong."));
        }
        if (part.has(Hazard.COATED)) {
            all.add(says("Coated", "Keep it apart: it never goes into the machine."));
        }
    }

    private static Caution asks(String title, String words) {
        return new Caution(Kind.ASKS, title, words);
    }

    private static Caution says(String title, String words) {
        return new Caution(Kind.SAYS, title, words);
    }
}
