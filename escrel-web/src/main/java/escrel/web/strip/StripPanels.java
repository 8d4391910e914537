package escrel.web.strip;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Trait;
import escrel.core.learning.Vocabulary;
import escrel.core.parts.FragmentFound;
import escrel.core.parts.Gauged;
import escrel.core.service.PowerNoted;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.Intervened;
import escrel.web.job.OpenJob;
import escrel.web.ladder.Ladder;
import escrel.web.strip.StripPanel.Item;
import escrel.web.strip.StripPanel.Say;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The panels of the strip, by the name that the page sends. */
final class StripPanels {
    /** Groups as they are met on the way down, nine on the first page. */
    private static final List<Group> GROUPS = List.of(
            Group.CASE,
            Group.DIAL_AND_HANDS,
            Group.MOTION_WORK,
            Group.KEYLESS,
            Group.BALANCE_AND_ESCAPEMENT,
            Group.TRAIN,
            Group.BARREL,
            Group.CALENDAR,
            Group.AUTOMATIC,
            Group.CHRONOGRAPH,
            Group.ALARM,
            Group.PLATES);

    private static final int PER_PAGE = 9;
    /** Of a part whose screws nobody counted. */
    private static final int SCREWS_OFFERED = 4;

    private StripPanels() {}

    /**
     * A panel.
     *
     * @param name such as {@code more}, {@code name}, {@code kind:TRAIN:0}; an unknown one is no panel
     * @param part on the card, or nothing while none has a name
     */
    static @Nullable StripPanel of(@Nullable String name, OpenJob job, @Nullable Part part) {
        if (name == null || name.isEmpty()) {
            return null;
        }
        String[] words = name.split(":", 3);
        try {
            return panel(words, job, part);
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            // an address typed by hand: no panel, the card as it is
            return null;
        }
    }

    private static @Nullable StripPanel panel(String[] words, OpenJob job, @Nullable Part part) {
        return switch (words[0]) {
            case "name" -> groups(page(words, 1));
            case "kind" -> kinds(words);
            case "free" ->
                say("Name the part", "its name", "text", StripAct.NAME_FREELY, words.length > 1 ? words[1] : "");
            default -> part == null ? groups(0) : ofPart(words, job, part);
        };
    }

    private static @Nullable StripPanel ofPart(String[] words, OpenJob job, Part part) {
        return switch (words[0]) {
            case "more" -> more(job, part);
            case "held" -> others(job, part, "What was it under, or held by?", StripAct.HELD_BY);
            case "with" -> others(job, part, "What did it come away with?", StripAct.CAME_WITH);
            case "screws" ->
                DescribePanels.screwCount(
                        words.length > 1 ? words[1] : null,
                        !job.movement().screwsOf(part.code()).isEmpty());
            case "length" -> DescribePanels.screwLengths(words[1]);
            case "heads" -> DescribePanels.heads();
            case "finish" -> DescribePanels.finishes();
            case "is" -> DescribePanels.traits(part);
            case "trait" -> DescribePanels.trait(part, Trait.valueOf(words[1]));
            case "mate" -> others(job, part, "What is it pressed to?", StripAct.STAYS_WITH);
            case "eased" -> eased();
            case "which" -> say("Which part?", "three letters of its name", "text", StripAct.CHOOSE, "");
            case "what" -> what(job, part);
            case "look" -> LookPanels.look(job, part);
            case "marks" -> LookPanels.marks();
            case "place" -> LookPanels.places(job.movement(), part);
            case "places" -> LookPanels.kinds();
            case "grade" -> LookPanels.grades(words[1]);
            case "defect" -> LookPanels.defects(words[1], false);
            case "defects" -> LookPanels.defects(words[1], true);
            case "feel" -> LookPanels.feel(words[1]);
            case "suspicions" -> LookPanels.suspicions(job, part);
            case "measure" -> measures();
            case "mm" ->
                say(
                        "Measured, in millimetres",
                        words[1].toLowerCase().replace('_', ' '),
                        "number",
                        StripAct.MEASURED,
                        words[1]);
            case "happened" -> happened(job, part);
            case "to-come" -> toCome(job, part);
            case "fragments" -> fragments(job);
            case "power" -> power();
            case "between" -> between();
            case "reopen" -> words.length > 1 ? ReopenPanels.howFar(words[1], job) : ReopenPanels.why(job);
            case "say" ->
                say(
                        part.name(),
                        sayLabel(StripAct.valueOf(words[1])),
                        sayKind(words[1]),
                        StripAct.valueOf(words[1]),
                        words.length > 2 ? words[2] : "");
            default -> null;
        };
    }

    private static int page(String[] words, int at) {
        return words.length > at && words[at].equals("1") ? 1 : 0;
    }

    private static StripPanel groups(int page) {
        List<Item> items = new ArrayList<>();
        List<Group> shown = page == 0 ? GROUPS.subList(0, PER_PAGE) : GROUPS.subList(PER_PAGE, GROUPS.size());
        for (Group group : shown) {
            items.add(Item.to(items.size() + 1, Ladder.groupName(group), "kind:" + group + ":0"));
        }
        items.add(Item.to(10, page == 0 ? "other groups" : "back", page == 0 ? "name:1" : "name:0"));
        return new StripPanel("Name a part: which group?", items, null);
    }

    private static StripPanel kinds(String[] words) {
        Group group = Group.valueOf(words[1]);
        List<Vocabulary.Kind> kinds = Vocabulary.of(group);
        boolean second = page(words, 2) == 1;
        int from = second ? PER_PAGE - 1 : 0;
        int to = second || kinds.size() <= PER_PAGE ? kinds.size() : PER_PAGE - 1;
        List<Item> items = new ArrayList<>();
        for (int i = from; i < to; i++) {
            items.add(Item.acts(items.size() + 1, kinds.get(i).name(), StripAct.NAME_KIND, group + ":" + i));
        }
        if (to < kinds.size()) {
            items.add(Item.to(9, "more kinds", "kind:" + group + ":1"));
        }
        items.add(Item.to(10, "another name", "free:" + group));
        return new StripPanel(Ladder.groupName(group) + ": which kind?", items, null);
    }

    private static StripPanel more(OpenJob job, Part part) {
        TeardownState state = job.teardown();
        boolean inUnit = part.unit() != null && state.isOff(part.unit());
        List<Item> items = List.of(
                Item.acts(
                        1,
                        inUnit ? "leave it together in its unit" : "leave it fitted",
                        inUnit ? StripAct.LEFT_WITH_UNIT : StripAct.LEFT_FITTED,
                        ""),
                Item.to(2, "eased only …", "eased"),
                Item.to(3, "how it lies, lifts, flies …", "is"),
                Item.to(4, "was held by …", "held"),
                Item.to(5, "came away with …", "with"),
                Item.to(6, "its screws …", "screws"),
                Item.to(7, "look: a finding, play, a mark, a suspicion …", "look"),
                Item.to(8, "something happened …", "happened"),
                Item.to(9, "rename …", "say:RENAME"),
                Item.to(10, "name a new part …", "name"));
        return new StripPanel(part.name() + ": what else?", items, null);
    }

    /** What can be said of a part from any room. */
    private static StripPanel what(OpenJob job, Part part) {
        List<Item> items = List.of(
                Item.to(1, "something happened …", "happened"),
                Item.to(2, "look: a finding, play, a mark, a suspicion …", "look"),
                Item.to(3, "observed …", "say:OBSERVED"),
                Item.acts(4, "was fitted the wrong way round", StripAct.WRONG_WAY_ROUND, ""),
                Item.to(5, "another part …", "which"),
                Item.presses(6, "a photo", "photo-file"),
                Item.to(7, "measure in millimetres …", "measure"),
                Item.to(8, "a screw of it is not in yet …", "to-come"));
        return new StripPanel(part.name() + ": what of it?", items, null);
    }

    /** Noticed late, on a part that is on: as many as it has holes, or a few where nobody said how many. */
    private static StripPanel toCome(OpenJob job, Part part) {
        int holes = job.job().screws().of(part.code()).holes().size();
        List<Item> items = new ArrayList<>();
        for (int i = 1; i <= (holes == 0 ? SCREWS_OFFERED : Math.min(holes, PER_PAGE)); i++) {
            items.add(Item.acts(i, i + " still to come", StripAct.SCREWS_TO_COME, String.valueOf(i)));
        }
        return new StripPanel(part.name() + ": how many of its screws?", items, null);
    }

    private static StripPanel happened(OpenJob job, Part part) {
        boolean lost = job.job().searches().isLost(part.code());
        List<Item> items = List.of(
                lost
                        ? Item.acts(1, "found again", StripAct.FOUND_AGAIN, "")
                        : Item.acts(1, "lost: open a search", StripAct.LOST, ""),
                Item.acts(2, "lay loose", StripAct.FOUND_LOOSE, ""),
                Item.to(3, "damaged just now …", "say:DAMAGED_NOW"),
                Item.to(4, "taken apart by mistake …", "say:TAKEN_APART"),
                Item.to(5, "a fragment nobody can place …", "say:FRAGMENT"),
                Item.to(6, "a fragment is explained …", "fragments"),
                Item.to(7, "observed …", "say:OBSERVED"),
                Item.to(8, "of the power …", "power"),
                Item.to(9, "open again from here …", "reopen"),
                Item.to(10, "done between readings …", "between"));
        return new StripPanel("What happened?", items, null);
    }

    private static StripPanel between() {
        List<Item> items = new ArrayList<>();
        for (Intervened.What what : Intervened.What.values()) {
            items.add(Item.acts(items.size() + 1, what.words(), StripAct.INTERVENED, what.name()));
        }
        return new StripPanel("What was done?", items, null);
    }

    private static StripPanel power() {
        List<Item> items = new ArrayList<>();
        for (PowerNoted.What what : PowerNoted.What.values()) {
            items.add(Item.acts(items.size() + 1, what.words(), StripAct.POWER, what.name()));
        }
        return new StripPanel("What of the power?", items, null);
    }

    private static StripPanel fragments(OpenJob job) {
        List<Item> items = new ArrayList<>();
        for (Map.Entry<Integer, FragmentFound> entry :
                job.job().searches().unexplained().entrySet()) {
            items.add(Item.to(items.size() + 1, entry.getValue().words(), "say:EXPLAINED:" + entry.getKey()));
        }
        return new StripPanel(items.isEmpty() ? "No fragment is unexplained" : "Which fragment?", items, null);
    }

    /** The parts worked on last, latest first: what held a part is nearly always among them. */
    private static StripPanel others(OpenJob job, Part part, String title, StripAct act) {
        TeardownState state = job.teardown();
        CalibreSheet sheet = state.sheet();
        List<String> near = new ArrayList<>(state.order());
        Collections.reverse(near);
        sheet.parts().stream().map(Part::code).filter(c -> !near.contains(c)).forEach(near::add);
        List<Item> items = new ArrayList<>();
        near.stream()
                .filter(c -> !c.equals(part.code()))
                .limit(PER_PAGE)
                .forEach(c -> items.add(
                        Item.acts(items.size() + 1, sheet.requirePart(c).name(), act, c)));
        items.add(Item.to(10, "another, by three letters …", "say:" + act));
        return new StripPanel(title, items, null);
    }

    private static StripPanel eased() {
        List<Item> items = List.of(
                Item.acts(1, "loosened by half a turn", StripAct.LOOSENED, "0.5"),
                Item.acts(2, "loosened by one turn", StripAct.LOOSENED, "1"),
                Item.acts(3, "loosened by two turns", StripAct.LOOSENED, "2"),
                Item.acts(4, "half-moon turned to free", StripAct.TURNED_TO_FREE, ""),
                Item.acts(5, "loosened, not counted", StripAct.LOOSENED, "0"),
                Item.to(10, "by so many turns …", "say:LOOSENED"));
        return new StripPanel("Eased, not taken out", items, null);
    }

    private static StripPanel measures() {
        List<Item> items = new ArrayList<>();
        for (Gauged.What what : Gauged.What.values()) {
            items.add(Item.to(items.size() + 1, what.name().toLowerCase().replace('_', ' '), "mm:" + what));
        }
        return new StripPanel("Measure what?", items, null);
    }

    private static StripPanel say(String title, String label, String kind, StripAct act, String value) {
        return new StripPanel(title, List.of(), new Say(label, kind, act.name(), value));
    }

    private static String sayKind(String act) {
        return act.equals("LOOSENED") ? "number" : "text";
    }

    private static String sayLabel(StripAct act) {
        return switch (act) {
            case LOOSENED -> "loosened by how many turns";
            case HELD_BY, CAME_WITH, STAYS_WITH -> "three letters of the other part's name";
            case RENAME -> "its right name (the old one stays as an alias)";
            case DAMAGED_NOW -> "what broke, and what was done about it";
            case TAKEN_APART -> "how it was put right";
            case FRAGMENT -> "what it looks like and where it lay";
            case EXPLAINED -> "where it comes from";
            case SUSPECTED -> "what may be so";
            case CONFIRMED, CLEARED -> "what was seen";
            case PLACE -> "which place of it";
            case MARK -> "as it stands there";
            default -> "in words";
        };
    }
}
