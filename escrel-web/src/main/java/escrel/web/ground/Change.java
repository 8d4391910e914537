package escrel.web.ground;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * One statement that changed the database, with what it was given: enough to do it again.
 *
 * @param sql with question marks
 * @param values of the question marks, in order: texts, whole and real numbers, truth values, instants with zone, nothing
 */
record Change(String sql, List<@Nullable Object> values) {
    private static final String TIME = "t";

    JsonNode toJson() {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        out.put("sql", sql);
        ArrayNode all = out.putArray("values");
        for (Object value : values) {
            if (value == null) {
                all.addNull();
            } else if (value instanceof String text) {
                all.add(text);
            } else if (value instanceof Integer || value instanceof Long || value instanceof Short) {
                all.add(((Number) value).longValue());
            } else if (value instanceof Double real) {
                all.add(real);
            } else if (value instanceof BigDecimal decimal) {
                all.add(decimal);
            } else if (value instanceof Boolean truth) {
                all.add(truth);
            } else if (value instanceof OffsetDateTime time) {
                all.addObject().put(TIME, time.toString());
            } else if (value instanceof Instant time) {
                all.addObject().put(TIME, time.toString());
            } else {
                throw new IllegalArgumentException(
                        "the journal keeps no value of the kind " + value.getClass() + ": " + sql);
            }
        }
        return out;
    }

    static Change of(JsonNode node) {
        List<@Nullable Object> values = new ArrayList<>();
        for (JsonNode value : node.path("values")) {
            if (value.isNull()) {
                values.add(null);
            } else if (value.isObject()) {
                values.add(OffsetDateTime.parse(value.path(TIME).asString("")));
            } else if (value.isBoolean()) {
                values.add(value.booleanValue());
            } else if (value.isIntegralNumber()) {
                values.add(value.longValue());
            } else if (value.isNumber()) {
                values.add(value.doubleValue());
            } else {
                values.add(value.asString(""));
            }
        }
        return new Change(node.path("sql").asString(""), values);
    }
}
