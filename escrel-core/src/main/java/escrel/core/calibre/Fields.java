package escrel.core.calibre;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import org.jspecify.annotations.Nullable;

/** The fields of a sheet's records, for what is done to every field alike, also to one that is added later. */
final class Fields {
    private Fields() {}

    /** What a field of a record holds. */
    static @Nullable Object read(Object record, RecordComponent field) {
        try {
            field.getAccessor().setAccessible(true);
            return field.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a field of a record can be read", e);
        }
    }
}
