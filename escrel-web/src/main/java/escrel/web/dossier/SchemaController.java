package escrel.web.dossier;

import escrel.web.storage.Json;
import escrel.web.storage.StepSchema;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Gives out the schemas by which dossiers, sheets and cases are written. */
@Controller
class SchemaController {
    @GetMapping(value = "/formats/dossier.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String schema() {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(StepSchema.ofDossier());
    }

    @GetMapping(value = "/formats/case.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String watchcase() {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(StepSchema.ofCase());
    }

    @GetMapping(value = "/formats/sheet.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Resource sheet() {
        return new ClassPathResource("formats/sheet.schema.json");
    }
}
