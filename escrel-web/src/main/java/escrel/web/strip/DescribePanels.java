package escrel.web.strip;

import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Trait;
import escrel.web.strip.StripPanel.Item;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The panels that say how a part lies, lifts and behaves, and of what kind its screws are. */
final class DescribePanels {
    /** What is usually said of a trait, in the order of its keys. */
    private static final Map<Trait, List<String>> USUAL = Map.of(
            Trait.LIES,
            List.of(
                    "marks up",
                    "marks down",
                    "chamfer up",
                    "chamfer down",
                    "flat face up",
                    "long side up",
                    "first of two positions",
                    "second of two positions"),
            Trait.LIFTS_FROM,
            List.of(
                    "slot at 12 o'clock",
                    "slot at half past 1",
                    "slot at 3 o'clock",
                    "slot at half past 4",
                    "slot at 6 o'clock",
                    "slot at half past 7",
                    "slot at 9 o'clock",
                    "slot at half past 10"),
            Trait.CLIP,
            List.of(
                    "chamfer down, gap at 12",
                    "chamfer down, gap at 3",
                    "chamfer down, gap at 6",
                    "chamfer down, gap at 9",
                    "chamfer up, gap at 12",
                    "chamfer up, gap at 3",
                    "chamfer up, gap at 6",
                    "chamfer up, gap at 9"),
            Trait.STATE_BEFORE,
            List.of(
                    "crown pushed in",
                    "crown at setting",
                    "power down",
                    "hammer in reset",
                    "chronograph stopped",
                    "date just jumped"),
            Trait.NOTE,
            List.of("opens at the lid's side", "opens at the toothed side"));

    private DescribePanels() {}

    /** What can be said of the part itself. */
    static StripPanel traits(Part part) {
        List<Item> items = List.of(
                Item.to(1, "which face is up, which position …", "trait:LIES"),
                Item.to(2, "lifts first where the slot is …", "trait:LIFTS_FROM"),
                Item.to(3, "its clip: face and gap …", "trait:CLIP"),
                Item.to(4, "state before it is freed …", "trait:STATE_BEFORE"),
                hazard(5, part, Trait.FLIES, "it flies"),
                hazard(6, part, Trait.FRAGILE, "fragile"),
                hazard(7, part, Trait.LONG_PIVOT, "long pivot"),
                hazard(8, part, Trait.FRICTION_FIT, "friction fit"),
                Item.to(9, "pressed to another …", "mate"),
                Item.to(10, "tool, blade, where it opens …", "trait:NOTE"));
        return new StripPanel(part.name() + ": how it is", items, null);
    }

    private static Item hazard(int key, Part part, Trait trait, String words) {
        boolean there = !trait.of(part).isEmpty();
        return Item.acts(
                key, there ? "not: " + words : words, StripAct.DESCRIBED, trait + ":" + (there ? "" : Trait.YES));
    }

    /** What is usually said of one trait, or words of one's own. */
    static StripPanel trait(Part part, Trait trait) {
        List<Item> items = new ArrayList<>();
        for (String usual : USUAL.getOrDefault(trait, List.of())) {
            items.add(Item.acts(items.size() + 1, usual, StripAct.DESCRIBED, trait + ":" + usual));
        }
        if (!trait.of(part).isEmpty()) {
            items.add(Item.acts(9, "not so: “" + trait.of(part) + "”", StripAct.DESCRIBED, trait + ":"));
        }
        items.add(Item.to(10, "in other words …", "say:DESCRIBED:" + trait));
        return new StripPanel(part.name() + " " + trait.words() + " …", items, null);
    }

    /** How many screws held it; where some are known already, of what kind they are. */
    static StripPanel screwCount(@Nullable String also, boolean known) {
        List<Item> items = new ArrayList<>();
        String act = also == null ? "" : "+";
        for (int count = 1; count <= 7; count++) {
            items.add(Item.to(count, count == 1 ? "one" : String.valueOf(count), "length:" + act + count));
        }
        if (also == null && known) {
            items.add(Item.to(8, "others as well, of another kind …", "screws:also"));
            items.add(Item.to(9, "their head, finish, own hole …", "heads"));
        }
        if (also == null) {
            items.add(Item.acts(10, "none", StripAct.SCREWS, "0:SHORT:RIGHT"));
        }
        return new StripPanel(also == null ? "How many screws held it?" : "How many of the other kind?", items, null);
    }

    /** Of which length and thread; a count that begins with + is of a further kind. */
    static StripPanel screwLengths(String count) {
        StripAct act = count.startsWith("+") ? StripAct.SCREWS_ALSO : StripAct.SCREWS;
        String number = count.startsWith("+") ? count.substring(1) : count;
        List<Item> items = new ArrayList<>();
        for (ScrewPlace.LengthClass length : ScrewPlace.LengthClass.values()) {
            items.add(Item.acts(items.size() + 1, said(length), act, number + ":" + length + ":RIGHT"));
        }
        for (ScrewPlace.LengthClass length : List.of(ScrewPlace.LengthClass.SHORT, ScrewPlace.LengthClass.MIDDLE)) {
            items.add(Item.acts(items.size() + 1, said(length) + ", left-hand", act, number + ":" + length + ":LEFT"));
        }
        items.add(Item.acts(7, "long, left-hand", act, number + ":LONG:LEFT"));
        items.add(Item.acts(8, "short, odd thread", act, number + ":SHORT:ODD"));
        items.add(Item.acts(9, "long, odd thread", act, number + ":LONG:ODD"));
        return new StripPanel("Of which length?", items, null);
    }

    /** Head, finish and home of the kind of screw stated last. */
    static StripPanel heads() {
        List<Item> items = new ArrayList<>();
        for (ScrewPlace.Head head : ScrewPlace.Head.values()) {
            items.add(Item.acts(items.size() + 1, said(head) + " head", StripAct.SCREWS_ARE, "HEAD:" + head));
        }
        items.add(Item.to(7, "finish …", "finish"));
        items.add(Item.acts(8, "each back into its own hole", StripAct.SCREWS_ARE, "HOME:OWN_HOLE"));
        items.add(Item.acts(9, "a pair with this spring", StripAct.SCREWS_ARE, "HOME:PAIRED_WITH_PART"));
        items.add(Item.acts(10, "any hole of its kind", StripAct.SCREWS_ARE, "HOME:ANY_OF_ITS_KIND"));
        return new StripPanel("Those screws have, or go", items, null);
    }

    /** How the heads of the kind stated last are finished. */
    static StripPanel finishes() {
        List<Item> items = new ArrayList<>();
        for (ScrewPlace.Finish finish : ScrewPlace.Finish.values()) {
            items.add(Item.acts(items.size() + 1, said(finish), StripAct.SCREWS_ARE, "FINISH:" + finish));
        }
        return new StripPanel("Their heads are", items, null);
    }

    private static String said(Enum<?> value) {
        return value.name().toLowerCase().replace('_', ' ');
    }
}
