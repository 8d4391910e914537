package escrel.web.dossier;

import escrel.web.storage.Json;
import escrel.web.storage.StepSchema;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Gives out the schema by which dossiers are judged. */
@Controller
class SchemaController {
    @GetMapping(value = "/formats/dossier.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String schema() {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(StepSchema.ofDossier());
    }
}
