package escrel.web.storage;

import escrel.core.MendableException;
import escrel.core.watchcase.CaseCheck;
import escrel.core.watchcase.CaseSheet;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Case sheets as {@code case.json}, described in {@code docs/formats/case.md}. */
public final class CaseJson {
    /** Name in the first field of every file of a case. */
    public static final String SCHEMA = "escrel-case";
    /** Version we write and read. */
    public static final int VERSION = 1;

    private static final int FAULTS_SHOWN = 6;

    private CaseJson() {}

    /** A case as a tree, schema and version first. */
    public static ObjectNode write(CaseSheet sheet) {
        ObjectNode out = Json.MAPPER.createObjectNode();
        out.put("schema", SCHEMA);
        out.put("version", VERSION);
        out.setAll((ObjectNode) Json.MAPPER.<JsonNode>valueToTree(sheet));
        return out;
    }

    /** A case from text; a {@link MendableException} names every fault. */
    public static CaseSheet read(String text) {
        return read(SheetJson.tree(text));
    }

    /** A case from a tree; a {@link MendableException} names every fault. */
    public static CaseSheet read(JsonNode tree) {
        if (!(tree instanceof ObjectNode object)
                || !SCHEMA.equals(object.path("schema").asString(""))) {
            throw refuse("This is no case sheet: its field \"schema\" is not \"" + SCHEMA + "\"");
        }
        int version = object.path("version").asInt(0);
        if (version != VERSION) {
            throw refuse("The case sheet is of version " + version + "; this Escrel reads version " + VERSION);
        }
        CaseSheet sheet;
        try {
            ObjectNode body = object.deepCopy();
            body.remove("schema");
            body.remove("version");
            sheet = Json.MAPPER.treeToValue(body, CaseSheet.class);
        } catch (JacksonException e) {
            throw refuse("The case sheet cannot be read: " + SheetJson.plainly(e));
        }
        List<String> faults = CaseCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            throw refuse("The case sheet has faults: "
                    + String.join("; ", faults.subList(0, Math.min(FAULTS_SHOWN, faults.size()))));
        }
        return sheet;
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was taken in; the case sheets here are as they were.",
                "Correct the file and take it in again.");
    }
}
