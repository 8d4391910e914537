package escrel.web.handover;

import escrel.core.MendableException;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.handover.Waived;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The accounts, and the way out. */
@Controller
class HandoverController {
    private final Workshop workshop;

    HandoverController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/handover")
    String handover(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        List<Account> accounts = Accounts.of(job.requireSheet(), job.history());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("accounts", accounts);
        model.addAttribute("mayLeave", Accounts.mayLeave(accounts));
        model.addAttribute("gone", job.stage() == Stage.HANDED_OVER);
        return "handover/handover";
    }

    @PostMapping("/jobs/{number}/waive")
    String waive(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Account.Kind account,
            @RequestParam String reason) {
        if (reason.isBlank()) {
            throw new MendableException(
                    "Waiving an account needs a reason",
                    "Nothing was recorded.",
                    "Say why; the reason is printed in the report.");
        }
        workshop.append(number, seq, new Waived(account, reason.strip()));
        return "redirect:/jobs/" + number + "/handover";
    }

    @PostMapping("/jobs/{number}/handover")
    String handOver(@PathVariable int number, @RequestParam int seq, @RequestParam(defaultValue = "") String words) {
        OpenJob job = workshop.load(number);
        List<Account> open = Accounts.of(job.requireSheet(), job.history()).stream()
                .filter(Account::blocks)
                .toList();
        if (!open.isEmpty()) {
            throw new MendableException(
                    "The watch cannot leave: "
                            + open.stream()
                                    .flatMap(a -> a.open().stream())
                                    .limit(8)
                                    .collect(Collectors.joining("; ")),
                    "Nothing was recorded; the job stays open.",
                    "Settle each of these, or waive its account with a reason.");
        }
        workshop.append(number, seq, new HandedOver(words.strip()));
        return "redirect:/jobs/" + number + "/handover";
    }
}
