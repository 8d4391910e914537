package escrel.web.job;

import escrel.core.MendableException;

/** Something was asked that needs a sheet, and the job has none yet. */
public class CalibreUnknownException extends MendableException {
    private static final long serialVersionUID = 1L;

    CalibreUnknownException(int number) {
        super(
                "The calibre of job " + number + " is not known yet",
                "Everything recorded so far stays.",
                "Bind the job to a sheet on its arrival page, then come back.");
    }
}
