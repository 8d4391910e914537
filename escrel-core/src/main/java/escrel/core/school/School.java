package escrel.core.school;

import java.util.Arrays;
import java.util.List;

/** A question on which good people differ. Source: craft, schools. */
public enum School {
    AFTER_DIAL(
            "When the balance comes off",
            "Without shock settings it comes off before anything else on the movement side, always."),
    DIAL_WHEN("When hands and dial come off", "Hands before the dial, always."),
    FORK_AND_TRAIN("Fork and train", "The power is down either way, unless it is let down through the train."),
    FIRST_SIDE("Which side first", "The proposal follows it as far as holds and safety let it."),
    CANNON_PINION("When the cannon pinion is drawn", ""),
    HANDS_OFF("How hands are lifted", ""),
    WASHING_BALANCE("How the balance is washed", ""),
    FORK_AND_ESCAPE("Fork and escape wheel", "Coated ones never go into the machine, whatever is chosen."),
    OLD_MAINSPRING("The old mainspring", ""),
    NEW_MAINSPRING("A new mainspring", ""),
    SPRING_WITHOUT_WINDER("A mainspring no winder fits", ""),
    EPILAME("Oil-repellent film", ""),
    BALANCE_SETTINGS("When the balance settings are oiled", ""),
    FORK_LUBRICATION("How the fork is lubricated", ""),
    TRAIN_OIL("Oil of the train", ""),
    OILING_WHEN("When the train is oiled", "Points that will be covered are oiled before, always."),
    REGULATE_WHEN("When it is regulated", ""),
    BEAT_ERROR_FIXED_STUD("Beat error on a fixed stud", ""),
    HAIRSPRING_DAMAGE("A damaged hairspring", ""),
    COSMETICS("Cosmetics, unless agreed otherwise", "The stance agreed with the owner goes before the habit."),
    SERVICE_MARK("The mark of the service", ""),
    TRAY("How parts are laid out", "");

    private final String question;
    private final String always;

    School(String question, String always) {
        this.question = question;
        this.always = always;
    }

    /** The question as said at the bench. */
    public String question() {
        return question;
    }

    /** What holds whatever is chosen; may be empty. */
    public String always() {
        return always;
    }

    /** The sides, the one a new workshop starts with first. */
    public List<Choice> choices() {
        return Arrays.stream(Choice.values()).filter(c -> c.school() == this).toList();
    }
}
