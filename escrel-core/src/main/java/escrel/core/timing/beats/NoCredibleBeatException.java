package escrel.core.timing.beats;

import escrel.core.MendableException;

/** The sound was read but no beat in it is believed: too short, silent, too noisy, or beating at another rate. */
public class NoCredibleBeatException extends MendableException {
    private static final long serialVersionUID = 1L;

    /** Of these two sentences; what is safe is always the same. */
    public NoCredibleBeatException(String whatHappened, String whatToDo) {
        super(whatHappened, "No reading was taken from it.", whatToDo);
    }
}
