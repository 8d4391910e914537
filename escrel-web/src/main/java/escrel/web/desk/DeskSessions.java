package escrel.web.desk;

import escrel.core.MendableException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The live listenings that are open. Few at a time, and an old one makes room for a new. */
@Component
class DeskSessions {
    private static final int MOST = 4;

    private final Map<String, DeskSession> open = new LinkedHashMap<>();

    synchronized String add(DeskSession session) {
        if (open.size() >= MOST) {
            open.remove(open.keySet().iterator().next());
        }
        String id = UUID.randomUUID().toString();
        open.put(id, session);
        return id;
    }

    synchronized DeskSession find(int job, String id) {
        DeskSession session = open.get(id);
        if (session == null || session.job != job) {
            throw new MendableException(
                    "This listening has ended",
                    "Readings taken are recorded; the sound since the last one is gone.",
                    "Begin to listen again.");
        }
        return session;
    }

    /** Ends a listening of this job; that of another is left alone. */
    synchronized void close(int job, String id) {
        DeskSession session = open.get(id);
        if (session != null && session.job == job) {
            open.remove(id);
        }
    }
}
