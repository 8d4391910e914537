package escrel.web.storage;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SheetCheck;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.node.ObjectNode;

/** Calibre sheets as {@code sheet.json}, described in {@code docs/formats/sheet.md}. */
public final class SheetJson {
    /** Name in the first field of every sheet file. */
    public static final String SCHEMA = "escrel-sheet";
    /**
     * Version we write. Versions 1, without lore and pictures, 2, in which all figures were stated, and 3, in which a sheet
     * carried its watch's case, are read too.
     */
    public static final int VERSION = 5;

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
            return Json.MAPPER.readTree(text.startsWith("\ufeff") ? text.substring(1) : text);
        } catch (JacksonException e) {
            throw refuse("The file is no JSON: " + plainly(e));
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
            throw refuse("The sheet cannot be read: " + plainly(e));
        }
        List<String> faults = SheetCheck.faultsOf(sheet);
        if (!faults.isEmpty()) {
            String more = faults.size() > FAULTS_SHOWN ? "; and " + (faults.size() - FAULTS_SHOWN) + " more" : "";
            throw refuse("The sheet has " + (faults.size() == 1 ? "a fault" : faults.size() + " faults") + ": "
                    + String.join("; ", faults.subList(0, Math.min(FAULTS_SHOWN, faults.size()))) + more);
        }
        return sheet;
    }

    /** What is wrong with a file and where, in the words of the file: nothing of how we read it. */
    public static String plainly(JacksonException e) {
        String place = e.getPath().stream()
                .map(r -> r.getPropertyName() == null ? String.valueOf(r.getIndex()) : r.getPropertyName())
                .collect(Collectors.joining("/"));
        String at = place.isEmpty() ? "" : "“" + place + "”: ";
        String line = e.getLocation() == null || e.getLocation().getLineNr() < 1
                ? ""
                : " (line " + e.getLocation().getLineNr() + ")";
        if (e instanceof UnrecognizedPropertyException) {
            return at + "there is no such field" + line;
        }
        if (e instanceof InvalidFormatException format) {
            String value = String.valueOf(format.getValue());
            return at + "“" + (value.length() > 60 ? value.substring(0, 60) + "…" : value)
                    + "” is not what belongs there" + line;
        }
        if (e instanceof StreamReadException) {
            return "it breaks off or is not well formed" + line;
        }
        Throwable cause = e.getCause();
        return cause instanceof IllegalArgumentException && cause.getMessage() != null
                ? at + cause.getMessage()
                : at + "what stands there does not belong there" + line;
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what,
                "Nothing was imported; the sheets here are as they were.",
                "Correct the file and import it again.");
    }
}
