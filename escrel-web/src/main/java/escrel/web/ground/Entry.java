package escrel.web.ground;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What one transaction changed, as a line of the journal: number, hash and changes. The hash is taken of the one before
 * and of the changes, so an entry that is missing, altered or out of order is noticed.
 *
 * @param number 1 for the first ever
 * @param hash 64 hexadecimal digits
 * @param voids number of an entry that was written and then not committed after all, 0 for none
 */
record Entry(long number, String hash, long voids, String payload) {
    /** What the first entry's hash is taken of. */
    static final String BEGINNING = "0".repeat(64);

    private static final JsonMapper MAPPER = new JsonMapper();
    private static final String VOIDS = "voids";

    static Entry of(long number, String before, List<Change> changes) {
        ArrayNode out = JsonNodeFactory.instance.arrayNode();
        changes.forEach(c -> out.add(c.toJson()));
        String payload = out.toString();
        return new Entry(number, chained(number, before, payload), 0, payload);
    }

    static Entry voiding(long number, String before, long voids) {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        out.put(VOIDS, voids);
        String payload = out.toString();
        return new Entry(number, chained(number, before, payload), voids, payload);
    }

    /** As it stands in the file, with the end of its line. */
    byte[] line() {
        return (number + " " + hash + " " + payload + "\n").getBytes(StandardCharsets.UTF_8);
    }

    /**
     * An entry from its line.
     *
     * @param before hash of the one before; nothing is found when the line does not follow on it
     */
    static Optional<Entry> parse(String line, long number, String before) {
        String begin = number + " ";
        if (!line.startsWith(begin) || line.length() < begin.length() + BEGINNING.length() + 2) {
            return Optional.empty();
        }
        String hash = line.substring(begin.length(), begin.length() + BEGINNING.length());
        String payload = line.substring(begin.length() + BEGINNING.length() + 1);
        if (!hash.equals(chained(number, before, payload))) {
            return Optional.empty();
        }
        try {
            long voids = payload.startsWith("{")
                    ? MAPPER.readTree(payload).path(VOIDS).asLong(0)
                    : 0;
            return Optional.of(new Entry(number, hash, voids, payload));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    /**
     * The changes, read from the payload each time: a journal is larger than what fits into memory.
     *
     * @throws JacksonException when they cannot be read, though the hash is right
     */
    List<Change> changes() {
        return payload.startsWith("{")
                ? List.of()
                : MAPPER.readTree(payload).valueStream().map(Change::of).toList();
    }

    /** Takes entries one by one, as they are read. */
    interface Taker<E extends Exception> {
        void take(Entry entry) throws E;
    }

    private static String chained(long number, String before, String payload) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(before.getBytes(StandardCharsets.US_ASCII));
            digest.update(Long.toString(number).getBytes(StandardCharsets.US_ASCII));
            return HexFormat.of().formatHex(digest.digest(payload.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
