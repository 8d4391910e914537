package escrel.web.ground;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;

/** A database made anew from a base and the journal since. */
final class Rebuilt {
    private Rebuilt() {}

    /**
     * Makes it.
     *
     * @param file where; nothing may be there
     * @throws IOException when base and journal do not follow on each other, or cannot be read
     */
    static void from(Path base, Journal.Read journal, Path file) throws IOException, SQLException {
        Database.unpack(base, file);
        try (Database database = Database.open(file)) {
            Database.Position at = database.position().orElseThrow(() -> new IOException("the base has no place"));
            if (at.number() < journal.last()) {
                if (!at.hash().equals(journal.hashOf(at.number()))) {
                    throw new IOException("the journal does not follow on the base");
                }
                database.apply(journal, at.number());
            }
            database.readThrough();
            database.shutDown();
        }
    }
}
