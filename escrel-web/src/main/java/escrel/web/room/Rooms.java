package escrel.web.room;

import escrel.core.MendableException;
import escrel.core.job.Job;
import escrel.core.service.Tally;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The rooms there are. A new one is a line here and a package; everything that goes through the rooms finds it. */
@Component("rooms")
public final class Rooms {
    private static final List<Room> OF_A_JOB = List.of(
            Room.ofAJob("arrival", "Arrival")
                    .counting(job -> job.lume().left().size())
                    .with("arrival", "as it came")
                    .with("outside", "outside")
                    .with("checks", "first checks")
                    .leadingTo("/jobs/{job}/outside?piece=CRYSTAL")
                    .leadingTo("/jobs/{job}/outside?piece=CRYSTAL&grade=MEND")
                    .leadingTo("/jobs/{job}/outside?panel=rest")
                    .leadingTo("/jobs/{job}/which?diameter=23.7&jewels=17")
                    .with("lume", "luminous paint")
                    .with("owner", "owner asked")
                    .leadingTo("/jobs/{job}/schools")
                    .in("arrival", "settings"),
            Room.ofAJob("readings", "Readings")
                    .counting(job -> openIn(job, Tally.Kind.READINGS))
                    .with("readings", "readings")
                    .with("stopped", "it does not run")
                    .leadingTo("/jobs/{job}/desk")
                    .leadingTo("/jobs/{job}/running")
                    .leadingTo("/jobs/{job}/recordings/1")
                    .in("readings", "desk", "csv"),
            Room.ofAJob("strip", "Strip")
                    .with("strip", "bench")
                    .with("tray", "tray")
                    .with("way", "way in")
                    .with("film", "photos")
                    .with("plate", "photo plan")
                    .with("learnt", "learnt")
                    .with("log", "log")
                    .leadingTo("/jobs/{job}/strip?panel=more")
                    .leadingTo("/jobs/{job}/strip?panel=what")
                    .leadingTo("/jobs/{job}/strip?panel=look")
                    .leadingTo("/jobs/{job}/strip?panel=place")
                    .leadingTo("/jobs/{job}/strip?panel=happened")
                    .leadingTo("/jobs/{job}/strip?panel=screws")
                    .leadingTo("/jobs/{job}/bind?calibre=cv-12")
                    .leadingTo("/jobs/{job}/tray/labels")
                    .leadingTo("/jobs/{job}/pairs")
                    .leadingTo("/jobs/{job}/phone")
                    .in("strip", "tray", "wayin", "film", "learnt", "log", "phone"),
            Room.ofAJob("inspect", "Inspect")
                    .counting(job -> openIn(job, Tally.Kind.FINDINGS))
                    .with("inspect", "look")
                    .with("findings", "decide")
                    .with("mainspring", "mainspring")
                    .leadingTo("/jobs/{job}/mainspring?inside=10&arbor=2.8&width=1.5&thickness=0.1&length=360&hours=6")
                    .leadingTo("/jobs/{job}/inspect?panel=place")
                    .leadingTo("/jobs/{job}/inspect?panel=what&grade=MEND")
                    .leadingTo("/jobs/{job}/inspect?panel=rest")
                    .in("inspection"),
            Room.ofAJob("wash", "Wash")
                    .counting(job -> job.cleaning().tally().open().size())
                    .in("washing"),
            Room.ofAJob("climb", "Climb")
                    .with("climb", "way up")
                    .with("oil", "oiling chart")
                    .counting(job -> openIn(job, Tally.Kind.HOMES)
                            + openIn(job, Tally.Kind.LUBRICATION)
                            + openIn(job, Tally.Kind.TESTS)),
            Room.ofAJob("turn", "The turn").leadingTo("/jobs/{job}/expected"),
            Room.ofAJob("handover", "Hand over")
                    .with("handover", "accounts")
                    .with("case-work", "case and water")
                    .leadingTo("/jobs/{job}/case-work?task=POLISHED")
                    .leadingTo("/jobs/{job}/old-parts")
                    .leadingTo("/jobs/{job}/report"));

    private static final List<Room> OF_THE_WORKSHOP = List.of(
            Room.ofTheWorkshop("today", "Today", "/")
                    .leadingTo("/jobs?q=watch&stage=HANDED_OVER")
                    .in("today", "find", "dossier"),
            Room.ofTheWorkshop("new", "New job", "/jobs/new").in("arrival"),
            Room.ofTheWorkshop("parts", "Parts", "/parts")
                    .leadingTo("/parts/stores")
                    .leadingTo("/parts/bottles")
                    .in("supply"),
            Room.ofTheWorkshop("clocks", "Clocks", "/clocks"),
            Room.ofTheWorkshop("watches", "Watches", "/watches").leadingTo("/watches?q=tid"),
            Room.ofTheWorkshop("calibres", "Calibres", "/calibres")
                    .leadingTo("/calibres/{calibre}")
                    .leadingTo("/calibres/{calibre}/versions/1")
                    .leadingTo("/calibres/{calibre}/plan?part=balance-cock")
                    .leadingTo("/calibres/{calibre}/edit"),
            Room.ofTheWorkshop("cases", "Cases", "/cases")
                    .leadingTo("/cases/{case}")
                    .leadingTo("/cases/{case}?part=new"),
            Room.ofTheWorkshop("settings", "Schools", "/settings")
                    .leadingTo("/settings/play")
                    .leadingTo("/settings/years"),
            Room.ofTheWorkshop("devices", "Sound devices", "/devices"),
            Room.ofTheWorkshop("safe", "Safe keeping", "/safe"));

    /** Packages with doors but no page of their own in the navigation. */
    private static final List<String> DOORS = List.of("undo", "simulated", "security", "trouble");

    private static int openIn(Job job, Tally.Kind kind) {
        return job.accounts().stream()
                .filter(a -> a.kind() == kind)
                .mapToInt(a -> a.blocking().size())
                .sum();
    }

    /** The rooms of a job, along the way of a watch. */
    public List<Room> ofAJob() {
        return OF_A_JOB;
    }

    /** The rooms of the workshop. */
    public List<Room> ofTheWorkshop() {
        return OF_THE_WORKSHOP;
    }

    /** All of them. */
    public static List<Room> all() {
        return Stream.concat(OF_A_JOB.stream(), OF_THE_WORKSHOP.stream()).toList();
    }

    /** Packages of rooms and doors: none of them knows another. */
    public static List<String> packages() {
        List<String> all = new ArrayList<>(DOORS);
        all().forEach(r -> all.addAll(r.packages()));
        return all.stream().distinct().toList();
    }

    /** The room of a job that is called so. */
    public static Optional<Room> called(String path) {
        return OF_A_JOB.stream().filter(r -> r.path().equals(path)).findFirst();
    }

    /** The room of the workshop that is called so. */
    public static Optional<Room> ofTheWorkshopCalled(String path) {
        return OF_THE_WORKSHOP.stream().filter(r -> r.path().equals(path)).findFirst();
    }

    /** Whether a room of a job, or a page beside one, is called so: where one may be led back to. */
    public static boolean leadsTo(String path) {
        return OF_A_JOB.stream()
                .anyMatch(r -> r.path().equals(path)
                        || r.beside().stream().anyMatch(p -> p.path().equals(path)));
    }

    /** The same, where there must be one. */
    public static Room require(String path) {
        return called(path)
                .orElseThrow(() -> new MendableException(
                        "There is no room called so", "Nothing was changed.", "Go back and reload the page."));
    }

    /** For templates. */
    public Room named(String path) {
        return require(path);
    }

    /** What is open for a job, by the label of its room; rooms where nothing is are left out. */
    public static Map<String, Integer> open(Job job) {
        Map<String, Integer> open = new LinkedHashMap<>();
        for (Room room : OF_A_JOB) {
            int count = room.open().applyAsInt(job);
            if (count > 0) {
                open.put(room.label(), count);
            }
        }
        return open;
    }
}
