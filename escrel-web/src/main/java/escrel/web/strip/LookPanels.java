package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Place;
import escrel.core.marks.MarkSeen;
import escrel.core.parts.Felt;
import escrel.core.parts.PlacesOfPart;
import escrel.core.parts.Suspicions;
import escrel.web.format.Texts;
import escrel.web.job.OpenJob;
import escrel.web.plan.Spots;
import escrel.web.strip.StripPanel.Item;
import java.util.ArrayList;
import java.util.List;

/** The panels by which a part is judged on the bench: a finding at a place of it, its play, what is suspected of it. */
final class LookPanels {
    private static final List<Defect> USUAL = List.of(
            Defect.WORN,
            Defect.DIRTY,
            Defect.GUMMED,
            Defect.SCORED,
            Defect.BENT,
            Defect.CRACKED,
            Defect.CHIPPED,
            Defect.BROKEN,
            Defect.RUSTED);
    private static final List<Defect> FURTHER = List.of(
            Defect.DRY,
            Defect.SET,
            Defect.MAGNETISED,
            Defect.LOOSE,
            Defect.OVER_TIGHT,
            Defect.OUT_OF_ROUND,
            Defect.WRONG_PART,
            Defect.ALTERED,
            Defect.OTHER);
    private static final List<Grade> GRADES = List.of(Grade.WORN, Grade.MEND, Grade.BROKEN, Grade.NOT_JUDGED);
    private static final int PLACES = 8;

    private LookPanels() {}

    /** What can be said of its condition. */
    static StripPanel look(OpenJob job, Part part) {
        boolean suspected = !job.job().suspicions().openOn(part.code()).isEmpty();
        List<Item> items = new ArrayList<>(List.of(
                Item.to(1, "a finding …", "place"),
                Item.to(2, "measure in millimetres …", "measure"),
                Item.to(3, "end-shake by feel …", "feel:END_SHAKE"),
                Item.to(4, "side-shake by feel …", "feel:SIDE_SHAKE"),
                Item.acts(5, "cannot tell until it is clean", StripAct.FOUND, ":" + Grade.NOT_JUDGED + ":DIRTY"),
                Item.acts(6, "missing on arrival", StripAct.FOUND, ":" + Grade.MISSING + ":ABSENT"),
                Item.to(7, "something is suspected …", "say:SUSPECTED")));
        items.add(Item.to(9, "a number or another mark …", "marks"));
        if (suspected) {
            items.add(Item.to(8, "what was suspected is so, or not …", "suspicions"));
        }
        return new StripPanel(part.name() + ": look", items, null);
    }

    /** What kind of mark stands there. */
    static StripPanel marks() {
        List<Item> items = new ArrayList<>();
        for (MarkSeen.Kind kind : MarkSeen.Kind.values()) {
            items.add(Item.to(items.size() + 1, kind.words() + " …", "say:MARK:" + kind));
        }
        return new StripPanel("What stands there?", items, null);
    }

    /** Where on the part: its jewels as the sheet has them, or a kind of place. */
    static StripPanel places(CalibreSheet sheet, Part part) {
        List<Item> items = new ArrayList<>();
        items.add(Item.to(1, "the part as a whole", "grade:"));
        List<PlacesOfPart.Known> known = PlacesOfPart.of(sheet, part);
        for (PlacesOfPart.Known place : known) {
            if (items.size() < PLACES) {
                items.add(Item.to(
                        items.size() + 1,
                        place.place().words(),
                        "grade:" + place.place().kind() + "/" + place.place().name()));
            }
        }
        for (Place.Kind kind : Place.Kind.values()) {
            boolean listed = kind == Place.Kind.JEWEL && !known.isEmpty();
            if (items.size() < PLACES && kind != Place.Kind.OTHER && !listed) {
                items.add(Item.to(items.size() + 1, kind.words(), "grade:" + kind + "/"));
            }
        }
        items.add(Item.to(9, "other kinds of place …", "places"));
        items.add(Item.to(10, "another place …", "say:PLACE"));
        return new StripPanel("Where on " + part.name() + "?", items, null);
    }

    /** The same jewels on the plan, under the same keys. */
    static List<Spots.Spot> spots(OpenJob job, Part part, Side side) {
        CalibreSheet sheet = job.movement();
        List<PlacesOfPart.Known> known = PlacesOfPart.of(sheet, part);
        List<PlacesOfPart.Known> listed = known.subList(0, Math.min(PLACES - 1, known.size()));
        String to =
                "/jobs/" + job.number() + "/strip?part=" + Texts.inAddress(part.code()) + "&side=" + side + "&panel=";
        return Spots.of(sheet, side, listed, 2, i -> {
            Place place = listed.get(i).place();
            return to + Texts.inAddress("grade:" + place.kind() + "/" + place.name());
        });
    }

    /** Every kind of place. */
    static StripPanel kinds() {
        List<Item> items = new ArrayList<>();
        for (Place.Kind kind : Place.Kind.values()) {
            items.add(Item.to(items.size() + 1, kind.words(), "grade:" + kind + "/"));
        }
        return new StripPanel("What kind of place?", items, null);
    }

    /** How bad it is. */
    static StripPanel grades(String place) {
        List<Item> items = new ArrayList<>();
        for (Grade grade : GRADES) {
            items.add(Item.to(
                    items.size() + 1,
                    grade.mark() + " · " + grade.name().toLowerCase().replace('_', ' '),
                    "defect:" + grade + "/" + place));
        }
        return new StripPanel("How bad is it?", items, null);
    }

    /** What it is; the grade and place come along. */
    static StripPanel defects(String gradeAndPlace, boolean further) {
        String[] words = gradeAndPlace.split("/", 2);
        List<Item> items = new ArrayList<>();
        for (Defect defect : further ? FURTHER : USUAL) {
            items.add(Item.acts(
                    items.size() + 1,
                    defect.name().toLowerCase().replace('_', ' '),
                    StripAct.FOUND,
                    words[1] + ":" + words[0] + ":" + defect));
        }
        items.add(Item.to(10, further ? "back" : "other …", (further ? "defect:" : "defects:") + gradeAndPlace));
        return new StripPanel("What is it?", items, null);
    }

    /** How much play there is. */
    static StripPanel feel(String play) {
        List<Item> items = new ArrayList<>();
        for (Felt.Feel feel : Felt.Feel.values()) {
            items.add(Item.acts(items.size() + 1, feel.words(), StripAct.FELT, play + ":" + feel));
        }
        return new StripPanel(play.toLowerCase().replace('_', '-') + " by feel", items, null);
    }

    /** The open suspicions on the part: each confirmed or cleared, with what was seen. */
    static StripPanel suspicions(OpenJob job, Part part) {
        List<Item> items = new ArrayList<>();
        for (Suspicions.Suspicion each : job.job().suspicions().openOn(part.code())) {
            if (items.size() < PLACES) {
                items.add(Item.to(items.size() + 1, "so: " + each.words(), "say:CONFIRMED:" + each.at()));
                items.add(Item.to(items.size() + 1, "not so: " + each.words(), "say:CLEARED:" + each.at()));
            }
        }
        return new StripPanel("What was suspected", items, null);
    }
}
