package escrel.core.teardown;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.StemRelease;
import escrel.core.order.Power;
import escrel.core.teardown.Caution.Answer;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What is asked of a movement by the kind of part that is about to be lifted, where no sheet knows better. Each question has
 * answers that are kept, so that it is asked once. Source: craft 10.
 */
final class ByKind {
    private static final Set<Role> BEARS_POWER = EnumSet.of(
            Role.PALLET_BRIDGE, Role.TRAIN_BRIDGE, Role.BARREL_BRIDGE, Role.RATCHET_WHEEL, Role.ESCAPE_WHEEL);
    private static final Set<Group> AROUND_BALANCE = EnumSet.of(
            Group.BALANCE_AND_ESCAPEMENT, Group.TRAIN, Group.BARREL, Group.CHRONOGRAPH, Group.AUTOMATIC, Group.ALARM);

    private ByKind() {}

    /** Adds what is to be asked before a part comes off. */
    static void before(CalibreSheet sheet, Part part, List<Caution> all) {
        if (bearsPower(part) && sheet.allWithRole(Role.POWER_DOWN).stream().noneMatch(p -> Power.holds(p, part))) {
            all.add(Caution.asks(
                    "Is the power down, and how?",
                    "A train released under power spins and breaks pivots."
                            + (part.role() == Role.RATCHET_WHEEL
                                    ? " A gummed mainspring can hold hidden power and let go now."
                                    : ""),
                    List.of(
                            new Answer("by the crown", "POWER:CROWN"),
                            new Answer("by the ratchet screw", "POWER:RATCHET_SCREW"),
                            new Answer("by a train wheel", "POWER:TRAIN_WHEEL"),
                            new Answer("nothing was wound", "POWER:NOTHING_WOUND"))));
        }
        if (part.role() == Role.CROWN_WHEEL
                && sheet.isLearntHere()
                && sheet.screwsOf(part.code()).isEmpty()) {
            all.add(Caution.asks(
                    "Try left-hand first",
                    "A single screw in the middle of a crown wheel is nearly always left-handed; an off-centre core is"
                            + " right-hand.",
                    List.of(
                            new Answer("it is left-hand", "CROWN_WHEEL:1:SHORT:LEFT"),
                            new Answer("it is right-hand", "CROWN_WHEEL:1:SHORT:RIGHT"),
                            new Answer("no screw holds it", "CROWN_WHEEL:0:SHORT:RIGHT"))));
        }
        setting(sheet, part, all);
        stem(sheet, part, all);
        if (part.code().equals(CalibreSheet.CASED)
                && sheet.allWithRole(Role.STEM).isEmpty()) {
            all.add(Caution.asks(
                    "No stem is named yet",
                    "It passes through the case: name it and take it out first, or the movement leaves with it bent."));
        }
        if (sheet.isLearntHere()) {
            machine(part, all);
        }
    }

    private static boolean bearsPower(Part part) {
        boolean wheel = part.group() == Group.TRAIN
                && part.name().toLowerCase(Locale.ROOT).contains("wheel")
                && part.side() != Side.IN_HAND;
        return wheel || part.role() != null && BEARS_POWER.contains(part.role());
    }

    private static void setting(CalibreSheet sheet, Part part, List<Caution> all) {
        boolean balance = part.role() == Role.BALANCE_COCK;
        boolean beside = sheet.withRole(Role.BALANCE_COCK).isEmpty()
                && AROUND_BALANCE.contains(part.group())
                && part.side() == Side.TRAIN
                && !part.isPowerDown();
        if (sheet.data().setting() == CalibreData.Setting.NOT_SAID && (balance || beside)) {
            all.add(Caution.asks(
                    "Has the balance shock settings?",
                    balance
                            ? "Without them the cock is laid upside down at once, so that nothing hangs on the hairspring."
                            : "Without them it comes off before anything else on the movement side; with them it may"
                                    + " stay.",
                    List.of(new Answer("shock settings", "SETTING:SHOCK"), new Answer("none", "SETTING:NONE"))));
        } else if (sheet.data().setting() == CalibreData.Setting.NONE && beside && sheet.isLearntHere()) {
            all.add(Caution.asks(
                    "The balance is still on",
                    "Without shock setting it comes off before anything else on the movement side."));
        }
    }

    private static void stem(CalibreSheet sheet, Part part, List<Caution> all) {
        if (part.role() != Role.STEM) {
            return;
        }
        StemRelease release = sheet.stemRelease();
        if (release == null || release.kind().isEmpty()) {
            all.add(Caution.asks(
                    "How does the stem let go?",
                    "A screw is loosened by two turns and a half at most; a button is pressed no deeper than it wants.",
                    List.of(
                            new Answer("button beside the stem", "STEM_RELEASE:button beside the stem"),
                            new Answer("button inside a slot", "STEM_RELEASE:button inside a slot"),
                            new Answer("a screw, loosened", "STEM_RELEASE:screw, loosened only"),
                            new Answer("a detent", "STEM_RELEASE:detent"))));
        } else if (release.crownPosition().isEmpty()) {
            all.add(Caution.asks(
                    "Where does the crown stand for it?",
                    "Kept for the stem card.",
                    List.of(
                            new Answer("pushed in", "CROWN_POSITION:pushed in"),
                            new Answer("half out", "CROWN_POSITION:half out"),
                            new Answer("at setting", "CROWN_POSITION:at setting"))));
        }
    }

    private static void machine(Part part, List<Caution> all) {
        switch (part.wash()) {
            case MACHINE -> {}
            case STANCE ->
                all.add(Caution.says("Not into the machine", "Dial and hands go into a closed box at once."));
            default -> all.add(Caution.says("Not into the machine", part.washNote()));
        }
    }
}
