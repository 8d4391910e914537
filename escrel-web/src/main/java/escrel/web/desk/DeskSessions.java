package escrel.web.desk;

import escrel.core.MendableException;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * The live listenings that are open: few at a time. A new one takes the place of the one that has been silent longest, a page
 * left open or a browser that is gone; one that is being listened to is never ended by another.
 */
@Component
class DeskSessions {
    static final int MOST = 4;
    /** A page sends sound seven times a second; one that has sent none for so long is not listening. */
    static final long SILENT_NANOS = 5_000_000_000L;

    /** In the order in which they were last heard of, the longest ago first. */
    private final Map<String, Open> open = new LinkedHashMap<>(MOST * 2, 0.75f, true);

    private final LongSupplier nanos;

    @Autowired
    DeskSessions() {
        this(System::nanoTime);
    }

    DeskSessions(LongSupplier nanos) {
        this.nanos = nanos;
    }

    private static final class Open {
        final DeskSession session;
        boolean listening;
        long heardAt;

        Open(DeskSession session) {
            this.session = session;
        }
    }

    /**
     * @throws MendableException when as many as there may be are being listened to
     */
    synchronized String add(DeskSession session) {
        if (open.size() >= MOST) {
            makeRoom();
        }
        String id = UUID.randomUUID().toString();
        open.put(id, new Open(session));
        return id;
    }

    private void makeRoom() {
        long now = nanos.getAsLong();
        Iterator<Open> all = open.values().iterator();
        while (all.hasNext()) {
            Open one = all.next();
            if (!one.listening || now - one.heardAt > SILENT_NANOS) {
                all.remove();
                return;
            }
        }
        throw new MendableException(
                "%d watches are being listened to at once already".formatted(MOST),
                "They go on; nothing was recorded here.",
                "Stop one of them, then begin again.");
    }

    /** The listening that is to hear a piece of sound; from now on it is being listened to. */
    synchronized DeskSession hearing(int job, String id) {
        DeskSession session = find(job, id);
        Open one = open.get(id);
        if (one != null) {
            one.listening = true;
            one.heardAt = nanos.getAsLong();
        }
        return session;
    }

    synchronized DeskSession find(int job, String id) {
        Open one = open.get(id);
        if (one == null || one.session.job != job) {
            throw new MendableException(
                    "This listening has ended",
                    "Readings taken are recorded; the sound since the last one is gone.",
                    "Begin to listen again.");
        }
        return one.session;
    }

    /** Ends a listening of this job; that of another is left alone. */
    synchronized void close(int job, String id) {
        Open one = open.get(id);
        if (one != null && one.session.job == job) {
            open.remove(id);
        }
    }
}
