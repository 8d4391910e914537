package escrel.web.job;

import escrel.core.MendableException;

/** The job moved on in another tab since this page was made. */
public class RecordedElsewhereException extends MendableException {
    private static final long serialVersionUID = 1L;

    RecordedElsewhereException(int number) {
        super(
                "Job " + number + " was moved on in another tab or window since this page was shown",
                "What was recorded there is kept; this step was not recorded.",
                "Look at the page as it stands now, and record the step again if it is still due.");
    }
}
