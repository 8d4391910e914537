package escrel.web.watches;

import escrel.core.MendableException;
import escrel.core.handover.Stage;
import escrel.core.parts.CopyAtHand;
import escrel.core.workshop.OwnersMerged;
import escrel.core.workshop.Spellings;
import escrel.core.workshop.WatchName;
import escrel.core.workshop.WatchesMerged;
import escrel.web.format.Texts;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.list.Listed;
import escrel.web.storage.JobMapper;
import escrel.web.storage.JobMapper.Called;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Watches and owners as things of their own. */
@Controller
class WatchesController {
    private static final int MOST = 120;
    private static final int MOST_WORDS = 8;
    private static final int MOST_SERVICES = 40;
    private static final String END = String.valueOf(Character.MAX_VALUE);

    private final JobMapper jobs;
    private final Workshop workshop;
    private final WorkshopLogs log;

    WatchesController(JobMapper jobs, Workshop workshop, WorkshopLogs log) {
        this.jobs = jobs;
        this.workshop = workshop;
        this.log = log;
    }

    /** A watch with how often it was here, under whatever name. */
    record Watch(WatchName name, int jobs) {}

    /** An owner with their watches. */
    record Owner(String name, List<Watch> watches) {}

    /**
     * A service in the history of a watch.
     *
     * @param done what was replaced and found, in a line
     */
    record Service(OpenJob job, String stage, String done) {
        /** Where it is looked at: what is gone shows its turn. */
        public String address() {
            return "/jobs/" + job.number() + (job.stage() == Stage.HANDED_OVER ? "/turn" : "/arrival");
        }
    }

    @GetMapping("/watches")
    String watches(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute("q", q);
        model.addAttribute("owners", owners(jobs.watches(words(q), END, MOST)));
        return "watches/watches";
    }

    private static List<String> words(String typed) {
        return Texts.wordsTyped(typed).stream().limit(MOST_WORDS).toList();
    }

    private List<Owner> owners(List<Called> called) {
        Spellings spellings = log.load().spellings();
        Map<String, Map<WatchName, Integer>> owners = new LinkedHashMap<>();
        for (Called one : called) {
            WatchName name = spellings.watch(new WatchName(one.watch(), one.owner()));
            owners.computeIfAbsent(name.owner(), k -> new LinkedHashMap<>()).merge(name, one.jobs(), Integer::sum);
        }
        return owners.entrySet().stream()
                .map(e -> new Owner(
                        e.getKey(),
                        e.getValue().entrySet().stream()
                                .map(w -> new Watch(w.getKey(), w.getValue()))
                                .toList()))
                .toList();
    }

    @GetMapping("/watches/one")
    String one(
            @RequestParam String watch,
            @RequestParam String owner,
            @RequestParam(defaultValue = "") String q,
            Model model) {
        Spellings spellings = log.load().spellings();
        WatchName name = made(() -> spellings.watch(new WatchName(watch, owner)));
        List<WatchName> names = spellings.ofWatch(name);
        List<OpenJob> services = services(names);
        if (services.isEmpty()) {
            throw new MendableException(
                    "No job knows a watch called so",
                    "Nothing was changed.",
                    "Look for it by some letters of its name.");
        }
        model.addAttribute("name", name);
        model.addAttribute("spelt", names.stream().filter(n -> !n.equals(name)).toList());
        model.addAttribute(
                "services",
                services.stream()
                        .sorted(Comparator.comparing(OpenJob::openedAt).reversed())
                        .map(j -> new Service(j, Listed.words(j.stage()), done(j)))
                        .toList());
        model.addAttribute("chart", YearsChart.of(services));
        model.addAttribute(
                "others",
                owners(spellings.ofOwner(name.owner()).stream()
                                .flatMap(o -> jobs.watchesOf(o).stream())
                                .toList())
                        .stream()
                        .flatMap(o -> o.watches().stream())
                        .filter(w -> !w.name().equals(name))
                        .toList());
        model.addAttribute("q", q);
        model.addAttribute(
                "found",
                q.isBlank()
                        ? List.of()
                        : owners(jobs.watches(words(q), END, MOST)).stream()
                                .flatMap(o -> o.watches().stream())
                                .filter(w -> !w.name().equals(name))
                                .toList());
        return "watches/one";
    }

    private List<OpenJob> services(List<WatchName> names) {
        List<OpenJob> all = new ArrayList<>();
        for (WatchName name : names) {
            jobs.allOfWatch(name.watch(), name.owner()).stream()
                    .limit(MOST_SERVICES)
                    .map(workshop::load)
                    .forEach(all::add);
        }
        all.sort(Comparator.comparing(OpenJob::openedAt));
        return all;
    }

    private static String done(OpenJob job) {
        String anew = job.job().copies().fittedAnew().stream()
                .filter(c -> c.origin() != CopyAtHand.Origin.ORIGINAL)
                .map(c -> job.movement().requirePart(c.part()).name() + " "
                        + c.origin().words())
                .distinct()
                .collect(Collectors.joining(", "));
        return anew.isEmpty() ? job.job().agreed().map(a -> a.work().words()).orElse("") : anew;
    }

    @PostMapping("/watches/merge")
    @Transactional
    public String merge(
            @RequestParam String watch,
            @RequestParam String owner,
            @RequestParam String otherWatch,
            @RequestParam String otherOwner,
            RedirectAttributes flash) {
        Spellings spellings = log.load().spellings();
        WatchName into = made(() -> spellings.watch(new WatchName(watch, owner)));
        WatchName from = made(() -> spellings.watch(new WatchName(otherWatch, otherOwner)));
        if (services(spellings.ofWatch(into)).isEmpty()
                || services(spellings.ofWatch(from)).isEmpty()) {
            throw refuse("No job knows a watch called so");
        }
        log.append(made(() -> new WatchesMerged(from, into)));
        flash.addAttribute("watch", into.watch());
        flash.addAttribute("owner", into.owner());
        return "redirect:/watches/one";
    }

    @PostMapping("/watches/merge-owners")
    @Transactional
    public String mergeOwners(@RequestParam String from, @RequestParam String into) {
        Spellings spellings = log.load().spellings();
        if (jobs.ofOwner(from).isEmpty() || jobs.ofOwner(into).isEmpty()) {
            throw refuse("No job knows an owner called so");
        }
        log.append(made(() -> new OwnersMerged(spellings.owner(from), spellings.owner(into))));
        return "redirect:/watches";
    }

    private static <T> T made(Supplier<T> act) {
        try {
            return act.get();
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing was recorded; every name is as it was.", "Choose it from the list.");
    }
}
