package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.owner.Questions;
import escrel.core.service.Arrival;
import escrel.web.ground.Ground;
import escrel.web.job.OpenJob;
import escrel.web.job.OwnersData;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is kept about an owner: given to them, or erased on their request. */
@Controller
class OwnerController {
    private final Workshop workshop;
    private final OwnersData owners;
    private final Ground ground;
    private final DataSource data;

    OwnerController(Workshop workshop, OwnersData owners, Ground ground, DataSource data) {
        this.workshop = workshop;
        this.owners = owners;
        this.ground = ground;
        this.data = data;
    }

    @GetMapping("/jobs/{number}/owner.json")
    ResponseEntity<String> export(@PathVariable int number) {
        Arrival arrival = workshop.load(number).arrival();
        ObjectNode out = Json.MAPPER.createObjectNode();
        out.put("owner", arrival.owner());
        ArrayNode jobs = out.putArray("jobs");
        for (OpenJob job : owners.of(arrival.owner())) {
            Arrival a = job.arrival();
            ObjectNode each = jobs.addObject();
            each.put("number", job.number());
            each.put("openedAt", job.openedAt().toInstant().toString());
            each.put("watch", a.watch());
            each.put("maker", a.maker());
            each.put("reference", a.reference());
            each.put("marks", a.marks());
            each.put("contact", a.contact());
            each.put("askedFor", a.complaint());
            each.put("conditionOnArrival", a.condition());
            ArrayNode asked = each.putArray("asked");
            for (Questions.Question question : Questions.of(job.history()).all()) {
                ObjectNode one = asked.addObject();
                one.put("question", question.question().question());
                if (question.answer() != null) {
                    one.put("answer", question.answer().answer().words());
                    one.put("words", question.answer().words());
                }
            }
        }
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("escrel-owner.json")
                                .build()
                                .toString())
                .body(Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(out));
    }

    @PostMapping("/jobs/{number}/owner/erase")
    String erase(@PathVariable int number, @RequestParam String owner, RedirectAttributes flash)
            throws SQLException, IOException {
        String name = workshop.load(number).arrival().owner();
        if (name.equals(OwnersData.ERASED) || !name.equals(owner.strip())) {
            throw new MendableException(
                    "To erase an owner, their name is typed as it stands here",
                    "Nothing was erased.",
                    "Type it again, or leave everything as it is.");
        }
        int jobs = owners.erase(name);
        // the journal and the base before would still tell
        try (Connection connection = data.getConnection()) {
            ground.ledger().makeBase(connection);
        }
        flash.addFlashAttribute(
                "said", "Name and address of the owner were erased in " + jobs + (jobs == 1 ? " job" : " jobs"));
        return "redirect:/jobs/" + number + "/arrival";
    }
}
