package escrel.core.teardown;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.StemRelease;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Something said before a step. A question wants a second press of the key; a remark does not.
 *
 * @param kind question or remark
 * @param title a few words, readable at arm's length
 * @param words what to do
 * @param answers to a question that are kept, so that it is asked once; empty where the same key says yes
 */
public record Caution(Kind kind, String title, String words, List<Answer> answers) {
    /**
     * An answer.
     *
     * @param words on its key
     * @param value what it records, for whoever records it
     */
    public record Answer(String words, String value) {}

    /** Whether the step waits for an answer. */
    public enum Kind {
        ASKS,
        SAYS
    }

    /** Everything to be said before this part comes off, in a workshop of the usual habits. */
    public static List<Caution> before(CalibreSheet sheet, Part part) {
        return before(sheet, part, Schools.DEFAULT);
    }

    /** Everything to be said before this part comes off, questions first. Source: ordering rules 1, 6, 7, 8 and 9. */
    public static List<Caution> before(CalibreSheet sheet, Part part, Schools schools) {
        List<Caution> all = new ArrayList<>();
        state(sheet, part, all);
        habits(part, schools, all);
        threads(sheet, part, all);
        power(sheet, part, all);
        ByKind.before(sheet, part, all);
        hazards(part, all);
        if (part.role() == Role.BALANCE_COCK && sheet.data().setting() == CalibreData.Setting.NONE) {
            all.add(says(
                    "No shock setting",
                    "Lay the cock upside down at once, so that the balance does not hang on its hairspring."));
        }
        all.sort(Comparator.comparing(Caution::kind));
        return List.copyOf(all);
    }

    /**
     * Everything to be said as this part goes on again: the thread of its screws, what it must be in before, how it lies,
     * and what the workshop's habits say; questions first. Source: ordering rules 7 and 9.
     */
    public static List<Caution> onTheWayUp(CalibreSheet sheet, Part part, Schools schools) {
        List<Caution> all = new ArrayList<>();
        threadsBack(sheet, part, all);
        backOn(sheet, part, all);
        if (part.role() == Role.MAINSPRING) {
            habit(School.NEW_MAINSPRING, schools, all);
            habit(School.SPRING_WITHOUT_WINDER, schools, all);
        }
        if (sheet.takesEpilame(part) && !schools.has(Choice.FILM_NONE)) {
            habit(School.EPILAME, schools, all);
        }
        return List.copyOf(all);
    }

    /** What to be told as the screws of a fitted part are driven: which of them turn the other way. */
    public static List<Caution> asItsScrewsAreDriven(CalibreSheet sheet, Part part) {
        List<Caution> all = new ArrayList<>();
        threadsBack(sheet, part, all);
        return List.copyOf(all);
    }

    private static void habit(School school, Schools schools, List<Caution> all) {
        schools.of(school).ifPresent(c -> all.add(says(school.question(), c.words() + ": " + c.reason() + ".")));
    }

    private static void state(CalibreSheet sheet, Part part, List<Caution> all) {
        if (!part.stateBefore().isEmpty()) {
            all.add(asks("First: " + part.stateBefore(), "It is released in this state only. Confirm that it is so."));
        }
        StemRelease release = sheet.stemRelease();
        if (part.role() == Role.STEM
                && release != null
                && !release.crownPosition().isEmpty()) {
            String turns = release.turns().isEmpty() ? "" : ", " + release.turns();
            String tool = release.tool() + turns;
            all.add(says(
                    "Stem release: " + release.kind(),
                    ("Crown " + release.crownPosition() + ". " + (tool.isEmpty() ? "" : tool + ". ")
                                    + release.warning())
                            .strip()));
        }
        String mate = part.staysWith();
        if (mate != null) {
            all.add(says(
                    "Stays with " + sheet.part(mate).map(Part::name).orElse(mate),
                    "The two are pressed together: lift them as one, do not separate them."));
        }
        if (!part.clip().isEmpty()) {
            all.add(says("Held by a clip", part.clip() + ". Note how it lies; it flies when it lets go."));
        }
    }

    private static void habits(Part part, Schools schools, List<Caution> all) {
        if (part.role() == Role.HANDS) {
            schools.of(School.HANDS_OFF)
                    .ifPresent(c -> all.add(says(
                            c.words(),
                            "A film over the dial; under small hands the tool reaches right beneath the tube.")));
        }
        if (part.role() == Role.MAINSPRING && schools.has(Choice.ALWAYS_REPLACE)) {
            all.add(says("This workshop replaces it", Choice.ALWAYS_REPLACE.reason() + "."));
        }
    }

    /** What was learnt of the part on the way down, where it matters on the way up. */
    private static void backOn(CalibreSheet sheet, Part part, List<Caution> all) {
        if (!part.clip().isEmpty()) {
            all.add(says("Its clip", part.clip() + ". It flies until it snaps home."));
        }
        if (!part.stateBefore().isEmpty()) {
            all.add(says("Goes back in the same state", part.stateBefore() + "."));
        }
        String mate = part.staysWith();
        if (mate != null) {
            all.add(says("Stays with " + sheet.part(mate).map(Part::name).orElse(mate), "The two go on as one piece."));
        }
        if (part.has(Hazard.FLIES)) {
            all.add(says("This one flies", "Hold it down with pegwood until it sits."));
        }
        if (part.has(Hazard.LONG_PIVOT)) {
            all.add(says("Long pivot", "Lower it square; no bridge is pressed until the pivot is home."));
        }
        if (part.has(Hazard.FRAGILE)) {
            all.add(says("Fragile", "Touch it only where it is strong."));
        }
    }

    private static void threadsBack(CalibreSheet sheet, Part part, List<Caution> all) {
        List<ScrewPlace> screws = sheet.screwsOf(part.code());
        if (screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.LEFT)) {
            all.add(asks("Left-hand thread", "Drive it anticlockwise. In a right-hand hole it cuts the thread away."));
        }
        if (screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.ODD)) {
            all.add(asks("Odd thread", "It goes into its own hole and no other: any other it cuts."));
        }
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

    private static void power(CalibreSheet sheet, Part part, List<Caution> all) {
        if (part.isPowerDown()) {
            all.add(asks(
                    "Hold the crown",
                    "Draw the click back and let the crown turn slowly between the fingers until nothing pulls. Where"
                            + " neither crown nor ratchet screw will do, the train is the way left: the fork comes out"
                            + " first, while there is power, and a train wheel is held and let creep. Shield your eyes"
                            + " while a spring is under tension."));
        } else if (part.role() == Role.RATCHET_WHEEL
                && !sheet.allWithRole(Role.POWER_DOWN).isEmpty()) {
            all.add(asks(
                    "Is the power really down?",
                    "A gummed mainspring can hold hidden power and let go now. Press the ratchet wheel back with"
                            + " pegwood: it must not turn by itself. If it lets go, say so: it is one key."));
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

    static Caution asks(String title, String words) {
        return asks(title, words, List.of());
    }

    static Caution asks(String title, String words, List<Answer> answers) {
        return new Caution(Kind.ASKS, title, words, answers);
    }

    static Caution says(String title, String words) {
        return new Caution(Kind.SAYS, title, words, List.of());
    }
}
