package escrel.web.washing;

import escrel.core.MendableException;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.EpilameApplied;
import escrel.core.cleaning.JarFilled;
import escrel.core.cleaning.Jars;
import escrel.core.cleaning.LoadStarted;
import escrel.core.cleaning.ProgrammeKept;
import escrel.core.cleaning.WashPlan;
import escrel.core.cleaning.Washed;
import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockStarted;
import escrel.core.clock.Clocks;
import escrel.core.service.Step;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What is recorded of a wash: in the job what is clean, in the workshop's log what went through the machine. */
@Component
class WashActions {
    /** How long epilame is left to dry. Ours. */
    private static final int DRIES_SECONDS = 600;

    private final Workshop workshop;
    private final WorkshopLogs log;

    WashActions(Workshop workshop, WorkshopLogs log) {
        this.workshop = workshop;
        this.log = log;
    }

    /** Adds steps; a load of which nothing waits any more is out. */
    void append(int number, int seq, List<Step> steps) {
        workshop.append(number, seq, steps);
        CleaningState now = workshop.load(number).job().cleaning();
        for (Clocks.Running running : loads(number)) {
            LoadStarted load = (LoadStarted) running.clock();
            if (load.parts().stream().allMatch(p -> now.wayOf(p).isPresent())) {
                log.append(new ClockEnded(load.id(), true));
            }
        }
    }

    private List<Clocks.Running> loads(int number) {
        return log.load().running().of(number).stream()
                .filter(r -> r.clock() instanceof LoadStarted)
                .toList();
    }

    void prepared(int number, int seq) {
        Map<Wash, List<String>> all = new EnumMap<>(Wash.class);
        for (WashPlan.Batch batch : workshop.load(number).job().wash().baskets()) {
            batch.lines()
                    .forEach(l -> l.first()
                            .forEach(way -> all.computeIfAbsent(way, k -> new ArrayList<>())
                                    .add(l.part().code())));
        }
        if (all.isEmpty()) {
            throw refuse("Nothing has to be prepared", "Go on with the baskets.");
        }
        List<Step> steps = new ArrayList<>();
        all.forEach((way, parts) -> steps.add(new Washed(parts, way, "")));
        workshop.append(number, seq, steps);
    }

    void load(int number, int seq) {
        OpenJob job = workshop.load(number);
        job.requireSequence(seq);
        if (!loads(number).isEmpty()) {
            throw refuse("A load of this job is in the machine already", "Take it out first.");
        }
        List<String> parts = job.job().wash().baskets().stream()
                .filter(b -> b.basket().way() == Wash.MACHINE)
                .flatMap(b -> b.codes().stream())
                .toList();
        if (parts.isEmpty()) {
            throw refuse("Nothing waits for the machine", "Take parts off first.");
        }
        Jars jars = log.load().jars();
        ProgrammeKept programme = jars.programme();
        log.append(new LoadStarted(
                UUID.randomUUID().toString(),
                programme.name(),
                number,
                parts,
                job.job().wash().soil().score(),
                programme.stretches(),
                programme.jars()));
    }

    void out(int number, int seq) {
        Clocks.Running running = loads(number).stream()
                .findFirst()
                .orElseThrow(
                        () -> refuse("No load of this job is in the machine", "Load it, or tick its baskets off."));
        OpenJob job = workshop.load(number);
        CleaningState now = job.job().cleaning();
        // parts may be called otherwise since: a calibre that was recognised meanwhile brings its own codes
        List<String> waiting = ((LoadStarted) running.clock())
                .parts().stream()
                        .filter(p -> job.movement().part(p).isPresent()
                                && now.wayOf(p).isEmpty())
                        .toList();
        if (waiting.isEmpty()) {
            log.append(new ClockEnded(running.clock().id(), true));
            return;
        }
        append(number, seq, List.of(new Washed(waiting, Wash.MACHINE, "")));
    }

    /** What waits for its film has it; a clock says when it is dry. */
    void film(int number, int seq, EpilameApplied.How how) {
        OpenJob job = workshop.load(number);
        List<String> parts = job.job().epilame().due().stream().map(Part::code).toList();
        if (parts.isEmpty()) {
            throw refuse("Nothing waits for a film", "What is clean and was looked at gets it, by the school chosen.");
        }
        workshop.append(number, seq, new EpilameApplied(parts, how));
        log.append(ClockStarted.of("epilame dries", number, DRIES_SECONDS));
    }

    /** What the machine does from now on; a load that is in it goes on as it began. */
    void programme(String name, String text, String changeAfter) {
        try {
            log.append(Programmes.of(name, text, changeAfter));
        } catch (IllegalArgumentException e) {
            throw new MendableException(
                    String.valueOf(e.getMessage()),
                    "The programme is as it was.",
                    "A line each, as: wash; 8; first jar. Drying has no jar.");
        }
    }

    void jar(String jar, boolean strained) {
        if (log.load().jars().all().stream().noneMatch(j -> j.name().equals(jar))) {
            throw refuse("The machine has no jar “" + jar + "”", "Choose one that is drawn.");
        }
        log.append(new JarFilled(jar, strained));
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
