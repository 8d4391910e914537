package escrel.web.handover;

import escrel.core.MendableException;
import escrel.core.casework.ParcelSent;
import escrel.core.handover.Account;
import escrel.core.handover.HandedOver;
import escrel.core.handover.ItemWaived;
import escrel.core.handover.Stage;
import escrel.core.outside.Outside;
import escrel.core.outside.ParcelCame;
import escrel.core.outside.ParcelItem;
import escrel.core.parts.OldPart;
import escrel.core.service.OpenItem;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The accounts, and the way out. */
@Controller
class HandoverController {
    private static final int NAMED = 8;

    private final Workshop workshop;

    HandoverController(Workshop workshop) {
        this.workshop = workshop;
    }

    /** An account as shown. */
    record Row(Account account, String name, List<OpenLine> lines) {
        static Row of(int job, Account account) {
            return new Row(
                    account,
                    account.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    account.open().stream()
                            .map(i -> OpenLine.of(job, account, i))
                            .toList());
        }
    }

    @GetMapping("/jobs/{number}/handover")
    String handover(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.HANDOVER));
        model.addAttribute(
                "rows",
                job.job().accounts().stream().map(a -> Row.of(number, a)).toList());
        model.addAttribute("mayLeave", job.job().mayLeave());
        model.addAttribute("gone", job.stage() == Stage.HANDED_OVER);
        model.addAttribute("agreed", job.job().agreed().orElse(null));
        List<OldParts> old = OldParts.of(job.job());
        Optional<ParcelCame> came = Outside.of(job.history()).parcel();
        model.addAttribute("old", old);
        model.addAttribute("came", came.orElse(null));
        model.addAttribute("parcel", job.history().last(ParcelSent.class).orElse(null));
        model.addAttribute("contents", contents(came, !old.isEmpty()));
        return "handover/handover";
    }

    /** The list that lies in the bag with the old parts. */
    @GetMapping("/jobs/{number}/old-parts")
    String bag(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("arrival", job.arrival());
        model.addAttribute("old", OldParts.of(job.job()));
        return "handover/bag";
    }

    /** What came goes back, and old parts in their bag with it. */
    private static String contents(Optional<ParcelCame> came, boolean oldParts) {
        List<String> all = new ArrayList<>(came.stream()
                .flatMap(c -> c.items().stream())
                .filter(i -> i != ParcelItem.WATCH && i != ParcelItem.LETTER)
                .map(ParcelItem::words)
                .toList());
        if (oldParts) {
            all.add("old parts in a sealed bag");
        }
        return String.join(", ", all);
    }

    /** Waives the chosen items one by one, all for one reason. */
    @PostMapping("/jobs/{number}/waive")
    String waive(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(required = false) @Nullable List<String> key,
            @RequestParam(defaultValue = "") String reason) {
        if (reason.isBlank()) {
            throw refuse("Waiving needs a reason", "Say why; the reason is printed in the report.");
        }
        OpenJob job = workshop.load(number);
        List<Step> steps = new ArrayList<>();
        for (Account account : job.job().accounts()) {
            account.blocking().stream()
                    .filter(i -> key != null && key.contains(i.key()))
                    .forEach(i -> steps.add(new ItemWaived(i.key(), i.words(), reason.strip())));
        }
        if (steps.isEmpty()) {
            throw refuse("None of what is open was chosen", "Tick what is to be waived, then send it again.");
        }
        workshop.append(number, seq, steps);
        return "redirect:/jobs/" + number + "/handover";
    }

    /** Says what became of a part that was taken out for another. */
    @PostMapping("/jobs/{number}/old-part")
    String oldPart(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String part,
            @RequestParam int copy,
            @RequestParam OldPart.Fate fate) {
        boolean there = workshop.load(number).job().copies().old().stream()
                .anyMatch(c -> c.part().equals(part) && c.number() == copy);
        if (!there) {
            throw refuse("There is no such old part in this job", "Choose it from the list.");
        }
        workshop.append(number, seq, new OldPart(part, copy, fate));
        return "redirect:/jobs/" + number + "/handover";
    }

    @PostMapping("/jobs/{number}/handover")
    String handOver(@PathVariable int number, @RequestParam int seq, @RequestParam(defaultValue = "") String words) {
        OpenJob job = workshop.load(number);
        List<OpenItem> open = job.job().accounts().stream()
                .flatMap(a -> a.blocking().stream())
                .toList();
        if (!open.isEmpty()) {
            throw new MendableException(
                    "The watch cannot leave: "
                            + open.stream().limit(NAMED).map(OpenItem::words).collect(Collectors.joining("; "))
                            + (open.size() > NAMED ? "; and " + (open.size() - NAMED) + " more" : ""),
                    "Nothing was recorded; the job stays open.",
                    "Settle each of these, or waive it with a reason.");
        }
        workshop.append(number, seq, HandedOver.from(job.job().usualSchools(), words.strip()));
        return "redirect:/jobs/" + number + "/handover";
    }

    private static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded; the accounts are as they were.", todo);
    }
}
