package escrel.web.storage;

import escrel.core.job.StepRegister;
import escrel.core.service.Corrected;
import escrel.core.service.ScrewsFound;
import escrel.core.service.StepKind;
import escrel.core.watchcase.CaseSheet;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The schema of a dossier with the form of every kind of step, made from the steps' own records: a new kind is in it by
 * being declared. What a field left out means is the record's affair; what no record takes is refused here.
 */
public final class StepSchema {
    /** Most characters of a text. */
    static final int LONGEST_TEXT = 20_000;
    /** Most entries of a list. */
    static final int LONGEST_LIST = 20_000;

    private static final String FRAME = "formats/dossier-frame.json";

    private StepSchema() {}

    /** The whole schema. */
    public static ObjectNode ofDossier() {
        try (InputStream in = new ClassPathResource(FRAME).getInputStream()) {
            ObjectNode schema = (ObjectNode) Json.MAPPER.readTree(in);
            ObjectNode step = (ObjectNode) schema.at("/properties/steps/items");
            ArrayNode kinds = ((ObjectNode) step.at("/properties/kind")).putArray("enum");
            ArrayNode all = step.putArray("allOf");
            StepRegister.kinds().stream()
                    .sorted(Comparator.comparing(StepKind::name))
                    .forEach(kind -> {
                        kinds.add(kind.name());
                        ObjectNode each = all.addObject();
                        each.putObject("if")
                                .putObject("properties")
                                .putObject("kind")
                                .put("const", kind.name());
                        each.putObject("then").putObject("properties").set("step", of(kind.type(), false));
                    });
            return schema;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The schema of a case sheet, from its record. */
    public static ObjectNode ofCase() {
        ObjectNode schema = Json.MAPPER.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("$id", "urn:escrel:case:" + CaseJson.VERSION);
        schema.put("title", "A watch's case, by its reference");
        ObjectNode form = of(CaseSheet.class, false);
        ObjectNode properties = (ObjectNode) form.get("properties");
        properties.putObject("schema").put("const", CaseJson.SCHEMA);
        properties.putObject("version").put("const", CaseJson.VERSION);
        schema.setAll(form);
        schema.putArray("required").add("schema").add("version").add("id").add("reference");
        return schema;
    }

    private static ObjectNode of(Type type, boolean orNothing) {
        if (type instanceof ParameterizedType list) {
            ObjectNode out = typed("array", orNothing);
            if (list.getRawType() instanceof Class<?> raw && Collection.class.isAssignableFrom(raw)) {
                out.put("maxItems", LONGEST_LIST);
                out.set("items", of(list.getActualTypeArguments()[0], false));
                return out;
            }
            ObjectNode map = typed("object", orNothing);
            map.put("maxProperties", LONGEST_LIST);
            map.set("additionalProperties", of(list.getActualTypeArguments()[1], false));
            return map;
        }
        Class<?> kind = (Class<?>) type;
        if (kind == ScrewsFound.class) {
            ObjectNode out = Json.MAPPER.createObjectNode();
            ArrayNode forms = out.putArray("anyOf");
            ArrayNode words = forms.addObject().putArray("enum");
            ScrewsJson.WORDS.keySet().stream().sorted().forEach(words::add);
            ObjectNode counted = forms.addObject().put("type", "object").put("additionalProperties", false);
            ObjectNode odd = counted.putObject("properties").putObject("odd");
            odd.put("type", "array").put("minItems", 1).put("maxItems", ScrewsFound.MOST * 2);
            odd.set("items", of(ScrewsFound.Odd.class, false));
            counted.putArray("required").add("odd");
            return out;
        }
        if (kind == Corrected.class) {
            return of(CorrectedJson.Form.class, false);
        }
        if (kind.isRecord()) {
            ObjectNode out = typed("object", orNothing);
            ObjectNode properties = out.putObject("properties");
            for (RecordComponent component : kind.getRecordComponents()) {
                properties.set(component.getName(), of(component.getGenericType(), mayBeNothing(component)));
            }
            out.put("additionalProperties", false);
            return out;
        }
        if (kind.isEnum()) {
            ObjectNode out = Json.MAPPER.createObjectNode();
            ArrayNode values = out.putArray("enum");
            Arrays.stream(kind.getEnumConstants()).forEach(c -> values.add(((Enum<?>) c).name()));
            if (orNothing) {
                values.addNull();
            }
            return out;
        }
        if (kind == String.class || kind == java.time.Instant.class || kind == java.time.LocalDate.class) {
            return typed("string", orNothing).put("maxLength", LONGEST_TEXT);
        }
        if (kind == boolean.class || kind == Boolean.class) {
            return typed("boolean", orNothing);
        }
        if (kind == int.class || kind == Integer.class || kind == long.class || kind == Long.class) {
            return typed("integer", orNothing);
        }
        if (kind == double.class || kind == Double.class) {
            return typed("number", orNothing).put("minimum", -1e12).put("maximum", 1e12);
        }
        // sealed kinds and other forms are judged by their own reader
        return Json.MAPPER.createObjectNode();
    }

    /** What a record may leave out or give as nothing; older files leave out what came later, and records say what that means. */
    private static boolean mayBeNothing(RecordComponent component) {
        return component.getAnnotatedType().isAnnotationPresent(Nullable.class);
    }

    private static ObjectNode typed(String type, boolean orNothing) {
        ObjectNode out = Json.MAPPER.createObjectNode();
        if (orNothing) {
            out.putArray("type").add(type).add("null");
        } else {
            out.put("type", type);
        }
        return out;
    }
}
