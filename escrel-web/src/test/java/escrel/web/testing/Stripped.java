package escrel.web.testing;

import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Washed;
import escrel.core.condition.Grade;
import escrel.core.parts.Judged;
import escrel.core.service.PartOff;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.List;

/** Watches that are already apart, so that a test can begin where it means to. */
public final class Stripped {
    private Stripped() {}

    /** A new CV-12 job with so many parts off, as proposed; returns its number. */
    public static int cv12(EscrelServer server, int parts) {
        int job = new Visitor(server.url()).openJob("Tidewell service watch", "cv-12");
        Workshop workshop = server.bean(Workshop.class);
        OpenJob open = workshop.load(job);
        List<PartOff> steps = open.job().wayDown().remaining().stream()
                .limit(parts)
                .map(Part::code)
                .map(PartOff::plain)
                .toList();
        workshop.append(job, open.sequence(), steps);
        return job;
    }

    /** The same, cleaned and looked at: ready to go together. */
    public static int cleanCv12(EscrelServer server) {
        int job = cv12(server, Integer.MAX_VALUE);
        Workshop workshop = server.bean(Workshop.class);
        for (Wash way : Wash.values()) {
            OpenJob open = workshop.load(job);
            List<String> due =
                    open.job().cleaning().due(way).stream().map(Part::code).toList();
            if (!due.isEmpty()) {
                workshop.append(job, open.sequence(), new Washed(due, way, ""));
            }
        }
        OpenJob open = workshop.load(job);
        List<String> look =
                open.job().cleaning().toLookAt().stream().map(Part::code).toList();
        workshop.append(job, open.sequence(), new Judged(look, Grade.GOOD));
        return job;
    }
}
