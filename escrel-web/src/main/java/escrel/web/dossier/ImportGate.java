package escrel.web.dossier;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import escrel.core.MendableException;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.SheetJson;
import escrel.web.storage.StepSchema;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * What comes from elsewhere passes here before it is kept: its form by the schema, then every state of the job is worked
 * out and every page of it made, in the transaction that keeps it. What would break a page is refused with the place.
 */
@Component
class ImportGate {
    private static final int FAULTS_SHOWN = 6;
    private static final Pattern STEP = Pattern.compile("/steps/(\\d{1,6})(.*)");

    private final Workshop workshop;
    private final Rehearsal rehearsal;
    private final Schema schema;

    ImportGate(Workshop workshop, Rehearsal rehearsal) {
        this.workshop = workshop;
        this.rehearsal = rehearsal;
        this.schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(StepSchema.ofDossier());
    }

    /** Refuses a dossier whose form is not that of one. */
    void check(JsonNode dossier) {
        List<Error> faults;
        try {
            faults = schema.validate(dossier);
        } catch (JacksonException e) {
            // the validator itself stumbles over numbers beyond all bounds
            throw DossierArchive.refuse("The dossier holds a number that is none of ours: " + SheetJson.plainly(e));
        }
        if (!faults.isEmpty()) {
            String words = faults.stream()
                    .limit(FAULTS_SHOWN)
                    .map(ImportGate::words)
                    .reduce((a, b) -> a + "; " + b)
                    .orElse("");
            throw DossierArchive.refuse("The dossier has not the form of one: " + DossierArchive.cleaned(words));
        }
    }

    /** Where and what, counted as a person counts: the first step is step 1. */
    private static String words(Error fault) {
        String place = String.valueOf(fault.getInstanceLocation());
        Matcher step = STEP.matcher(place);
        String where = step.matches()
                ? "Step " + (Integer.parseInt(step.group(1)) + 1)
                        + step.group(2).replaceFirst("^/step", "").replace('/', ' ')
                : place.isEmpty() ? "it" : "“" + place.substring(1) + "”";
        return fault.getKeyword().equals("enum")
                ? where + " is " + DossierArchive.shortened(String.valueOf(fault.getInstanceNode()))
                        + ", which is none we know"
                : where + " " + fault.getMessage();
    }

    /** Works out everything of a job that was just written, and makes its pages. */
    void rehearse(int number) {
        OpenJob job = workshop.load(number);
        try {
            job.job().rehearse();
        } catch (MendableException e) {
            throw DossierArchive.refuse("The job cannot be worked out: " + e.whatHappened());
        } catch (RuntimeException e) {
            throw DossierArchive.refuse("The steps of the job contradict each other, or name what is not there");
        }
        rehearsal.firstBroken(number).ifPresent(page -> {
            throw DossierArchive.refuse("The page “" + page + "” of this job could not be made from the dossier");
        });
    }
}
