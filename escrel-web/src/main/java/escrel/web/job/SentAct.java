package escrel.web.job;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.CRC32;
import java.util.zip.CRC32C;
import java.util.zip.Checksum;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.multipart.MultipartHttpServletRequest;

/**
 * The identity of what a page sends: its address, its fields and its files. A page says in each form which step it was made
 * from, so the same form sent again from the same page is the same act, and any other is another.
 */
final class SentAct {
    private static final String HELD = SentAct.class.getName();
    /** 128 bits: two acts of one workshop never share them. */
    private static final int BYTES = 16;

    private static final int BUFFER = 1 << 16;

    private SentAct() {}

    /** Identity of a request, 22 letters and digits. */
    static String of(HttpServletRequest request) {
        MessageDigest digest = sha256();
        try (OutputStream out = new DigestOutputStream(OutputStream.nullOutputStream(), digest)) {
            write(out, request.getRequestURI());
            for (Map.Entry<String, String[]> field : new TreeMap<>(request.getParameterMap()).entrySet()) {
                if (!field.getKey().equals("_csrf")) {
                    write(out, field.getKey());
                    for (String value : field.getValue()) {
                        write(out, value);
                    }
                }
            }
            if (request instanceof MultipartHttpServletRequest parts) {
                for (MultipartFile file : new TreeMap<>(parts.getFileMap()).values()) {
                    write(out, file.getName() + " " + file.getSize() + " " + sums(file));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        byte[] hash = new byte[BYTES];
        System.arraycopy(digest.digest(), 0, hash, 0, BYTES);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(hash);
    }

    /** A value with its length before it, so that no two lists of values read alike. */
    private static void write(OutputStream out, String value) throws IOException {
        byte[] bytes = value.getBytes(StandardCharsets.UTF_8);
        out.write((bytes.length + ":").getBytes(StandardCharsets.US_ASCII));
        out.write(bytes);
    }

    /**
     * What tells a file from another of its size, for which nobody would look for a likeness on purpose: two check sums, which
     * the processor works out many times faster than a digest. Half an hour of sound is 160 MB.
     */
    private static String sums(MultipartFile file) throws IOException {
        Checksum one = new CRC32();
        Checksum other = new CRC32C();
        byte[] buffer = new byte[BUFFER];
        try (InputStream in = file.getInputStream()) {
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                one.update(buffer, 0, n);
                other.update(buffer, 0, n);
            }
        }
        return one.getValue() + " " + other.getValue();
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Says what this request is, until it is recorded. */
    static void hold(HttpServletRequest request, String identity) {
        request.setAttribute(HELD, identity);
    }

    /** The identity of the request under way, once: it belongs to the first act that is recorded of it. */
    static Optional<String> take() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return Optional.empty();
        }
        Object held = request.getAttribute(HELD, RequestAttributes.SCOPE_REQUEST);
        request.removeAttribute(HELD, RequestAttributes.SCOPE_REQUEST);
        return Optional.ofNullable((String) held);
    }
}
