package escrel.web.job;

import escrel.core.MendableException;

/** There is no job with this number. */
public class NoSuchJobException extends MendableException {
    private static final long serialVersionUID = 1L;

    NoSuchJobException(int number) {
        super("There is no job " + number, "Nothing was changed.", "Go back to today and choose a job from the list.");
    }
}
