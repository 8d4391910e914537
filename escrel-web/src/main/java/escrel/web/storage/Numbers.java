package escrel.web.storage;

import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Gives out numbers, each once: whoever takes one in a transaction lets others wait until it has ended, so two at a time
 * never take the same. Called within the transaction that uses the number.
 */
@Component
public class Numbers {
    /** Jobs of the workshop. */
    public static final String JOB = "job";
    /** Acts in the log of the workshop. */
    public static final String ACT = "act";

    private final CounterMapper counters;

    Numbers(CounterMapper counters) {
        this.counters = counters;
    }

    /** Photos of a job. */
    public static String photo(int job) {
        return "photo " + job;
    }

    /** Recordings of a job. */
    public static String recording(int job) {
        return "recording " + job;
    }

    /** Versions of a calibre's sheet. */
    public static String sheet(String calibre) {
        return "sheet " + calibre;
    }

    /** Versions of a case's sheet. */
    public static String watchcase(String id) {
        return "case " + id;
    }

    /** Pictures of a calibre. */
    public static String picture(String calibre) {
        return "picture " + calibre;
    }

    /** Documents of a calibre. */
    public static String document(String calibre) {
        return "document " + calibre;
    }

    /** The next number of a kind, 1 for the first. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int next(String scope) {
        require(scope);
        counters.raise(scope);
        return counters.last(scope);
    }

    /** Makes sure that a number given from outside is not given out again. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void taken(String scope, int number) {
        require(scope);
        counters.raiseTo(scope, number);
    }

    private void require(String scope) {
        if (counters.count(scope) == 0) {
            try {
                counters.begin(scope, 0);
            } catch (DuplicateKeyException e) {
                // somebody else began it at the same moment
            }
        }
    }
}
