package escrel.web.storage;

import escrel.core.job.StepRegister;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import tools.jackson.databind.JsonNode;

/**
 * Steps as JSON, each kind by the name its concept declares, which stays for good: files and databases of today are read
 * by it tomorrow.
 */
public final class StepJson {
    private StepJson() {}

    /** The name of a step's kind. */
    public static String kindOf(Step step) {
        return StepRegister.kindOf(step).name();
    }

    /** A step's body as text. */
    public static String write(Step step) {
        return Json.MAPPER.writeValueAsString(step);
    }

    /** A step from its kind and body. */
    public static Step read(String kind, String body) {
        return Json.MAPPER.readValue(body, classOf(kind));
    }

    /**
     * A step from elsewhere, from its kind and body.
     *
     * @throws IllegalArgumentException naming what is nothing and must not be
     */
    public static Step readFromElsewhere(String kind, JsonNode body) {
        Step step = Json.MAPPER.treeToValue(body, classOf(kind));
        NoNulls.firstIn(step).ifPresent(path -> {
            throw new IllegalArgumentException("“" + path + "” is missing");
        });
        return step;
    }

    private static Class<? extends Step> classOf(String kind) {
        return StepRegister.named(kind)
                .<Class<? extends Step>>map(StepKind::type)
                .orElseThrow(() -> new IllegalArgumentException("'" + kind + "' is no kind of step we know"));
    }
}
