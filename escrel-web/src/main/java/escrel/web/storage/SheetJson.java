package escrel.web.storage;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SheetCheck;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Calibre sheets as {@code sheet.json}, described in {@code docs/formats/sheet.md}. */
public final class SheetJson {
    /** Name in the first field of every sheet file. */
    public static final String SCHEMA = "escrel-sheet";
    /** Version we write. Version 1, which had no lore and no pictures, is read too. */
    public static final int VERSION = 2;

    /** Field of the pictures' bytes in a file; a stored sheet has none, they stand in a table of their own. */
    public static final String PICTURES = "pictureFiles";

    private static final int FAULTS_SHOWN = 12;

    private SheetJson() {}

    /** A sheet as a tree, schema and version first. */
    public static ObjectNode write(CalibreSheet sheet) {
        ObjectNode out = Json.MAPPER.createObjectNode();
        out.put("schema", SCHEMA);
        out.put("version", VERSION);
        out.setAll((ObjectNode) Json.MAPPER.<JsonNode>valueToTree(sheet));
        return out;
    }

    /** A tree from text; a {@link MendableException} says when it is no JSON. */
    public static JsonNode tree(String text) {
        try {
            return Json.MAPPER.readTree(text);
        } catch (JacksonException e) {
            throw refuse("The file is no JSON: " + firstLine(e));
        }
    }

    /** A sheet from text; a {@link MendableException} names every fault. */
    public static CalibreSheet read(String text) {
        return read(tree(text));
    }

    /** A sheet from a tree; a {@link MendableException} names every fault. */
    public static CalibreSheet read(JsonNode tree) {
        if (!(tree instanceof ObjectNode object)
                || !SCHEMA.equals(object.path("schema").asString(""))) {
            throw refuse("This is no calibre sheet: its field \"schema\" is not \"" + SCHEMA + "\"");
        }
        int version = object.path("version").asInt(0);
        if (version < 1 || version > VERSION) {
            throw refuse("The sheet is of version " + version + "; this Escrel reads versions 1 to " + VERSION);
        }
        CalibreSheet sheet;
        try {
            ObjectNode body = object.deepCopy();
            body.remove("schema");
            body.remove("version");
            body.remove(PICTURES);
            sheet = Json.MAPPER.treeToValue(body, CalibreSheet.class);
        } catch (JacksonException e) {
            throw refuse("The sheet cannot be read: " + firstLine(e));
        }
        List<String> faults = SheetCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            String more = faults.size() > FAULTS_SHOWN ? "; and " + (faults.size() - FAULTS_SHOWN) + " more" : "";
            throw refuse("The sheet has " + (faults.size() == 1 ? "a fault" : faults.size() + " faults") + ": "
                    + String.join("; ", faults.subList(0, Math.min(FAULTS_SHOWN, faults.size()))) + more);
        }
        return sheet;
    }

    /** What the JSON library says, without its internals. */
    static String firstLine(JacksonException e) {
        String line = e.getOriginalMessage().lines().findFirst().orElse("unreadable");
        String plain = line.replaceAll("\\(class [^)]*\\)", "").replaceAll("`[a-z.]*\\.([A-Za-z$]+)`", "$1");
        return e.getLocation() == null || e.getLocation().getLineNr() < 1
                ? plain
                : plain + " (line " + e.getLocation().getLineNr() + ")";
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was imported; the sheets here are as they were.",
                "Correct the file and import it again.");
    }
}
