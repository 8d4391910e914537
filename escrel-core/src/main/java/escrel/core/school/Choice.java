package escrel.core.school;

/** One side of a question, with its reason. The first of each question is what a new workshop starts with. */
public enum Choice {
    BALANCE_FIRST(School.AFTER_DIAL, "First on the movement side", "nothing can slip onto it"),
    BALANCE_AT_ONCE(School.AFTER_DIAL, "At once, still in the case", "it is safe before anything else is touched"),
    POWER_DOWN_FIRST(School.AFTER_DIAL, "After the power is down", "one handling less under tension"),
    BALANCE_LATE(School.AFTER_DIAL, "Late, after the automatic work", "its setting takes care of it, hands are freer"),
    DIAL_FIRST(School.DIAL_WHEN, "First, before anything of the movement", "nothing presses on them"),
    DIAL_WITH_ITS_SIDE(School.DIAL_WHEN, "When their side is reached", "they protect what lies beneath"),
    FORK_BEFORE_TRAIN(School.FORK_AND_TRAIN, "Before the train", "the train is free to be felt"),
    FORK_AFTER_TRAIN(School.FORK_AND_TRAIN, "After it, as the bridges allow", "the fork is safe under its bridge"),
    FEWEST_TURNS(School.FIRST_SIDE, "As the movement asks", "the fewest turn-overs"),
    DIAL_SIDE_FIRST(School.FIRST_SIDE, "Dial side to the bare plate, then the train", "small springs are away early"),
    TRAIN_FIRST(School.FIRST_SIDE, "Train first, keyless work last", "winding can be tried as long as possible"),
    AFTER_MINUTE_WHEEL(School.CANNON_PINION, "After the minute wheel", "protects the minute wheel's teeth"),
    CANNON_PINION_FIRST(School.CANNON_PINION, "First, before turning over", "the tool has room while all is in place"),
    LEVERS(School.HANDS_OFF, "A pair of levers", "each side is felt and controlled"),
    SPRING_PULLER(School.HANDS_OFF, "A spring puller", "lifts evenly on both sides"),
    BALANCE_ON_PLATE(School.WASHING_BALANCE, "On its cock on the bare plate", "a safe place for its hairspring"),
    BALANCE_APART(School.WASHING_BALANCE, "Apart, in solvent only", "no bath moves the hairspring"),
    FORK_IN_MACHINE(School.FORK_AND_ESCAPE, "Through the machine", "the cleanest stones"),
    FORK_DIPPED(School.FORK_AND_ESCAPE, "A dip only", "nothing can loosen the shellac"),
    REUSE_LIVELY(School.OLD_MAINSPRING, "Reuse it if it is lively", "a good spring is not waste"),
    ALWAYS_REPLACE(School.OLD_MAINSPRING, "Always replace it", "the one part that tires unseen"),
    AS_IT_COMES(School.NEW_MAINSPRING, "Fit it as it comes", "it is treated by its maker"),
    GREASE_FLOOR(School.NEW_MAINSPRING, "A trace of grease on the drum's floor as well", "the floor is bare metal"),
    NEVER_BY_HAND(School.SPRING_WITHOUT_WINDER, "Never by hand", "a cone stays in the spring and rubs the lid"),
    BY_HAND_WITH_CARE(School.SPRING_WITHOUT_WINDER, "By hand, clean and with care", "better than a wrong winder"),
    FILM_ALL(School.EPILAME, "Cap jewels, fork and escape wheel", "oil stays wherever it is put"),
    FILM_TIP(School.EPILAME, "Caps, escape wheel, the exit stone's tip", "keeps the film off the fork's pivots"),
    FILM_NONE(School.EPILAME, "None", "clean metal and the right dose suffice"),
    SETTINGS_FIRST(School.BALANCE_SETTINGS, "First of all, on the bare plate, with a swing test", "faults show alone"),
    SETTINGS_IN_PLACE(
            School.BALANCE_SETTINGS, "In place with the balance fitted, from both sides", "no part is handled twice"),
    SETTINGS_WITH_BALANCE(School.BALANCE_SETTINGS, "When the balance goes in", "the oil is freshest"),
    EXIT_STONE(School.FORK_LUBRICATION, "On the exit stone's face, in rounds", "every tooth takes its share"),
    ESCAPE_TEETH(School.FORK_LUBRICATION, "On a few escape teeth", "the stone carries it on"),
    FINE_BUT_CENTRE(School.TRAIN_OIL, "Fine oil on all but centre and barrel", "fewer bottles, less drag"),
    SPLIT_AT_THIRD(School.TRAIN_OIL, "Two oils, split at the third wheel", "slow, loaded pivots want body"),
    AS_BRIDGES_GO_ON(School.OILING_WHEN, "As each bridge goes on", "nothing is forgotten underneath"),
    TRAIN_AT_END(School.OILING_WHEN, "All train jewels at the end", "one handling of the oiler, no dust in between"),
    AT_ONCE_AND_AGAIN(School.REGULATE_WHEN, "At once, and again after a day", "a fault shows early"),
    AFTER_A_DAY(School.REGULATE_WHEN, "Only after a day's running", "oil and spring settle first"),
    LEAVE_IN_BAND(School.BEAT_ERROR_FIXED_STUD, "Leave it once inside the band", "each turn risks the hairspring"),
    GO_ON(School.BEAT_ERROR_FIXED_STUD, "Go on towards zero", "it starts more readily"),
    REPLACE_HAIRSPRING(School.HAIRSPRING_DAMAGE, "Replace it from a donor", "an hour's fiddling seldom pays"),
    CORRECT_HAIRSPRING(School.HAIRSPRING_DAMAGE, "Correct it by hand", "keeps the vibrated pair together"),
    SYMPATHETIC(School.COSMETICS, "Sympathetic", "sound and wearable, age kept"),
    CONSERVE(School.COSMETICS, "Conserve", "every mark of age stays"),
    RENEW(School.COSMETICS, "Renew", "as new"),
    RECORDS_ONLY(School.SERVICE_MARK, "In the records only", "the case stays as it is"),
    SCRATCH_INSIDE(School.SERVICE_MARK, "Scratched inside the case back", "the next restorer finds it"),
    TRAY_IN_ORDER(School.TRAY, "In the order of removal", "backwards is the way up"),
    TRAY_BY_GROUP(School.TRAY, "By group", "a group is washed and built together"),
    TRAY_BY_PLACE(School.TRAY, "By the place in the movement", "the tray is a map of the plate");

    private final School school;
    private final String words;
    private final String reason;

    Choice(School school, String words, String reason) {
        this.school = school;
        this.words = words;
        this.reason = reason;
    }

    /** The question it answers. */
    public School school() {
        return school;
    }

    /** The side in a few words. */
    public String words() {
        return words;
    }

    /** Why one would. */
    public String reason() {
        return reason;
    }
}
