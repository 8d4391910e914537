package escrel.core.diagnosis;

import java.util.List;

/** Where the walk ends: what may be the matter, each with how it is confirmed. Source: craft 7. */
public enum StopCause {
    BALANCE(
            "The balance itself",
            new Suspect(
                    "a bent or broken balance pivot",
                    "look along the staff under the microscope; turn it between finger and thumb in its cock"),
            new Suspect(
                    "dry, dirty or cracked caps and hole jewels",
                    "take the cap off; look for a ring of old oil or a line"),
            new Suspect(
                    "the hairspring touches cock, arm or itself", "look from the side and from above while it swings"),
            new Suspect("a balance setting that is too tight", "end-shake by feel, dial up and dial down")),
    SPRING(
            "No power from the barrel",
            new Suspect("the mainspring is broken or slips", "open the barrel; look at both ends and the hook"),
            new Suspect("click or ratchet does not hold", "wind and watch the click")),
    TRAIN(
            "The train is blocked",
            new Suspect("a fibre or dirt between teeth", "turn each wheel by hand, look at every leaf"),
            new Suspect(
                    "a bent or broken pivot in the train",
                    "lift wheel by wheel; it runs again when the right one is out"),
            new Suspect("chronograph or automatic work jams it", "uncouple it and try again")),
    BARREL(
            "Power is lost on the way",
            new Suspect("the barrel is seized or its lid rubs", "end-shake of drum and arbor, lid even all round"),
            new Suspect(
                    "too much side pressure on the centre wheel",
                    "try with the cannon pinion and the motion work off")),
    ESCAPEMENT(
            "The fork snaps, the balance is dead",
            new Suspect("out of beat", "roller on the line of centres with no power"),
            new Suspect("impulse jewel loose, broken or missing", "look at it from below"),
            new Suspect("roller or guard pin rubs", "shake of the fork at the banking, both sides"),
            new Suspect("magnetism", "compass beside it, then demagnetise")),
    PERIOD(
            "It runs, then stops",
            new Suspect(
                    "one tooth or leaf", "stop it where it stops, mark the tooth in mesh, let it go round once more"),
            new Suspect(
                    "one wheel whose turn is the time between two stops",
                    "note how long it runs each time and hold it against the turns of the train"));

    /**
     * Something that may be so.
     *
     * @param confirm how one finds out
     */
    public record Suspect(String words, String confirm) {}

    private final String words;
    private final List<Suspect> suspects;

    StopCause(String words, Suspect... suspects) {
        this.words = words;
        this.suspects = List.of(suspects);
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** What may be the matter, the likeliest first. */
    public List<Suspect> suspects() {
        return suspects;
    }
}
