package escrel.web.storage;

import escrel.core.service.ScrewsFound;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * How the screws of a part were found, as JSON: a word where nothing was odd, which is nearly always, else an object with
 * what was. Earlier versions knew one odd screw only and wrote a word for it.
 */
final class ScrewsJson {
    /** Words, with what they mean; the last three are read and no longer written. */
    static final Map<String, ScrewsFound> WORDS = Map.of(
            "AS_ON_SHEET", ScrewsFound.AS_ON_SHEET,
            "AS_FACTORY_LEFT", ScrewsFound.AS_FACTORY_LEFT,
            "ONE_MISSING", ScrewsFound.of(ScrewsFound.State.MISSING, 1),
            "ONE_FOREIGN", ScrewsFound.of(ScrewsFound.State.FOREIGN, 1),
            "ONE_DAMAGED", ScrewsFound.of(ScrewsFound.State.DAMAGED, 1));

    private ScrewsJson() {}

    static SimpleModule module() {
        SimpleModule module = new SimpleModule("screws");
        module.addSerializer(ScrewsFound.class, new Writer());
        module.addDeserializer(ScrewsFound.class, new Reader());
        return module;
    }

    /** What is odd, as a list; a record of its own, so that it is read as any other. */
    private record Form(List<ScrewsFound.Odd> odd) {}

    private static final class Writer extends ValueSerializer<ScrewsFound> {
        @Override
        public void serialize(ScrewsFound screws, JsonGenerator out, SerializationContext context) {
            if (screws.isRight()) {
                out.writeString(screws.asFactoryLeft() ? "AS_FACTORY_LEFT" : "AS_ON_SHEET");
            } else {
                context.writeValue(out, new Form(screws.odd()));
            }
        }
    }

    private static final class Reader extends ValueDeserializer<ScrewsFound> {
        @Override
        public ScrewsFound deserialize(JsonParser in, DeserializationContext context) {
            if (in.currentToken() == JsonToken.VALUE_STRING) {
                String word = in.getString();
                ScrewsFound known = WORDS.get(word);
                return known != null
                        ? known
                        : (ScrewsFound)
                                context.handleWeirdStringValue(ScrewsFound.class, word, "no such state of screws");
            }
            return new ScrewsFound(false, context.readValue(in, Form.class).odd());
        }
    }
}
