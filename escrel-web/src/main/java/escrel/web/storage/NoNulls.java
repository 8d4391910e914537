package escrel.web.storage;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Finds what is nothing in a record where it must be something: a file can say so, our own code cannot. */
final class NoNulls {
    private NoNulls() {}

    /** Where the first one is, as a path of names; nothing when there is none. */
    static Optional<String> firstIn(@Nullable Object value) {
        return firstIn(value, "");
    }

    private static Optional<String> firstIn(@Nullable Object value, String path) {
        if (value == null) {
            return Optional.of(path);
        }
        if (value instanceof Collection<?> all) {
            int at = 0;
            for (Object each : all) {
                Optional<String> found = firstIn(each, path + "/" + at++);
                if (found.isPresent()) {
                    return found;
                }
            }
            return Optional.empty();
        }
        if (value instanceof Map<?, ?> map) {
            return firstIn(map.values(), path);
        }
        return value.getClass().isRecord() ? inRecord(value, path) : Optional.empty();
    }

    private static Optional<String> inRecord(Object record, String path) {
        for (RecordComponent component : record.getClass().getRecordComponents()) {
            Object part = partOf(record, component);
            boolean mayBeNothing = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            if (part != null || !mayBeNothing) {
                Optional<String> found = firstIn(part, path + "/" + component.getName());
                if (found.isPresent()) {
                    return found;
                }
            }
        }
        return Optional.empty();
    }

    private static @Nullable Object partOf(Object record, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a component of a record can be read", e);
        }
    }
}
