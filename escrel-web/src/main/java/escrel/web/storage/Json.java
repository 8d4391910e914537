package escrel.web.storage;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.json.JsonMapper;

/** The one way we write JSON: the components of records and nothing else; unknown or missing names are refused. */
public final class Json {
    /** Shared, safe for many threads. */
    public static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultVisibility(v -> v.withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .addModule(ScrewsJson.module())
            .addModule(CorrectedJson.module())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private Json() {}
}
