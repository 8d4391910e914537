package escrel.web.storage;

import escrel.core.service.Corrected;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/** A correction as JSON: which step, of what kind, and what it should have said. */
final class CorrectedJson {
    private CorrectedJson() {}

    static SimpleModule module() {
        SimpleModule module = new SimpleModule("corrected");
        module.addSerializer(Corrected.class, new Writer());
        module.addDeserializer(Corrected.class, new Reader());
        return module;
    }

    /** How it stands in a file. */
    record Form(int sequence, String kind, JsonNode step) {}

    private static final class Writer extends ValueSerializer<Corrected> {
        @Override
        public void serialize(Corrected corrected, JsonGenerator out, SerializationContext context) {
            out.writeStartObject();
            out.writeNumberProperty("sequence", corrected.sequence());
            out.writeStringProperty("kind", StepJson.kindOf(corrected.step()));
            out.writeName("step");
            context.writeValue(out, corrected.step());
            out.writeEndObject();
        }
    }

    private static final class Reader extends ValueDeserializer<Corrected> {
        @Override
        public Corrected deserialize(JsonParser in, DeserializationContext context) {
            Form form = context.readValue(in, Form.class);
            return new Corrected(form.sequence(), StepJson.readFromElsewhere(form.kind(), form.step()));
        }
    }
}
