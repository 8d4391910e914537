package escrel.web.supply;

import escrel.core.MendableException;
import escrel.core.supply.Came;
import escrel.web.format.Amount;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is done about one thing that a job wants: ordered, put off, here, taken from donor or drawer. */
@Controller
class WantsController {
    private final SupplyActions actions;
    private final Clock clock;
    /** The one at hand, whichever that is: every form carries what was looked at. */
    private final HttpServletRequest request;

    WantsController(SupplyActions actions, Clock clock, HttpServletRequest request) {
        this.actions = actions;
        this.clock = clock;
        this.request = request;
    }

    /** What a form says, taken as it is meant; what is no price or day is said to be none. */
    private interface Act {
        void run(LocalDate today);
    }

    private String act(int number, String want, Act act) {
        try {
            act.run(LocalDate.now(clock));
        } catch (IllegalArgumentException e) {
            throw SupplyActions.refuse(String.valueOf(e.getMessage()), "Correct it and send it again.");
        }
        return "redirect:/parts?want=" + number + ":" + want + Desk.Look.sentBack(request.getParameter("look"));
    }

    @PostMapping("/jobs/{number}/wants/{want}/order")
    String order(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String supplier,
            @RequestParam(defaultValue = "") String partNumber,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String price,
            @RequestParam(defaultValue = "") String expected) {
        return act(
                number,
                want,
                today -> actions.order(
                        number,
                        seq,
                        want,
                        new SupplyActions.Form(
                                "", supplier, partNumber, size, Amount.typed(price), Amount.day(expected)),
                        today));
    }

    @PostMapping("/jobs/{number}/wants/new")
    String orderFreely(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String part,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String supplier,
            @RequestParam(defaultValue = "") String partNumber,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String price,
            @RequestParam(defaultValue = "") String expected) {
        return act(
                number,
                "o" + (seq + 1),
                today -> actions.orderFreely(
                        number,
                        seq,
                        part.isEmpty() ? null : part,
                        new SupplyActions.Form(
                                what, supplier, partNumber, size, Amount.typed(price), Amount.day(expected)),
                        today));
    }

    @PostMapping("/jobs/{number}/wants/{want}/came")
    String came(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam int order,
            @RequestParam Came.Judgement judgement,
            @RequestParam(defaultValue = "") String words) {
        return act(number, want, today -> actions.came(number, seq, order, judgement, words));
    }

    @PostMapping("/jobs/{number}/wants/{want}/put-off")
    String putOff(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam int order,
            @RequestParam(defaultValue = "") String expected) {
        return act(number, want, today -> actions.putOff(number, seq, order, Amount.day(expected), today));
    }

    @PostMapping("/jobs/{number}/wants/{want}/call-off")
    String callOff(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam int order,
            @RequestParam(defaultValue = "") String words) {
        return act(number, want, today -> actions.callOff(number, seq, order, words));
    }

    @PostMapping("/jobs/{number}/wants/{want}/stock")
    String fromStock(
            @PathVariable int number, @PathVariable String want, @RequestParam int seq, @RequestParam String stock) {
        return act(number, want, today -> actions.fromStock(number, seq, want, stock));
    }

    @PostMapping("/jobs/{number}/wants/{want}/here")
    String here(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String source,
            @RequestParam(defaultValue = "") String size) {
        return act(number, want, today -> actions.here(number, seq, want, source, size));
    }

    @PostMapping("/jobs/{number}/wants/{want}/donor")
    String fromDonor(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam String donor,
            @RequestParam String part) {
        return act(number, want, today -> actions.fromDonor(number, seq, want, donor, part));
    }

    @PostMapping("/jobs/{number}/wants/{want}/came-true")
    String cameTrue(
            @PathVariable int number,
            @PathVariable String want,
            @RequestParam int seq,
            @RequestParam(defaultValue = "") String words) {
        try {
            actions.cameTrue(number, seq, want, words);
        } catch (IllegalArgumentException e) {
            throw new MendableException(
                    String.valueOf(e.getMessage()), "Nothing was recorded.", "Correct it and send it again.");
        }
        return "redirect:/jobs/" + number + "/findings?finding=" + want.substring(1);
    }
}
