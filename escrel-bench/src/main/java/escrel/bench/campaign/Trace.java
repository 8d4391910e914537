package escrel.bench.campaign;

import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a process did to files, as the system saw it (strace -f -y -xx), as events in the order in which they ended. */
final class Trace {
    /** One of them. */
    interface Event {
        void on(Disc disc);

        /** Number of the act it acknowledges, 0 for what acknowledges none. */
        default int acknowledges() {
            return 0;
        }
    }

    private record Acknowledged(int act) implements Event {
        @Override
        public void on(Disc disc) {
            // says only that everything before it must hold
        }

        @Override
        public int acknowledges() {
            return act;
        }
    }

    private static final Pattern CALL = Pattern.compile("^(\\d+) +(\\w+)\\((.*)\\) += (-?\\d+)(.*)$");
    private static final Pattern STARTED = Pattern.compile("^(\\d+) +(\\w+)\\((.*) <unfinished \\.\\.\\.>$");
    private static final Pattern RESUMED = Pattern.compile("^(\\d+) +<\\.\\.\\. (\\w+) resumed>(.*)$");
    private static final Pattern FD = Pattern.compile("^(\\d+)<((?:\\\\x[0-9a-f]{2}|[^>])*)>");
    private static final Pattern STRING = Pattern.compile("\"((?:\\\\x[0-9a-f]{2})*)\"");

    private final Map<String, Long> positions = new HashMap<>();
    private final List<Event> events = new ArrayList<>();

    private Trace() {}

    static List<Event> read(Path file) throws IOException {
        Trace trace = new Trace();
        Map<String, String> unfinished = new HashMap<>();
        try (BufferedReader in = Files.newBufferedReader(file, StandardCharsets.ISO_8859_1)) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                Matcher started = STARTED.matcher(line);
                Matcher resumed = RESUMED.matcher(line);
                if (started.matches()) {
                    unfinished.put(started.group(1) + started.group(2), line.substring(0, line.lastIndexOf(" <unf")));
                } else if (resumed.matches()) {
                    String begin = unfinished.remove(resumed.group(1) + resumed.group(2));
                    trace.call((begin == null ? "" : begin) + resumed.group(3));
                } else {
                    trace.call(line);
                }
            }
        }
        return trace.events;
    }

    private void call(String line) {
        Matcher call = CALL.matcher(line);
        if (!call.matches() || Long.parseLong(call.group(4)) < 0) {
            return;
        }
        String name = call.group(2);
        String args = call.group(3);
        long result = Long.parseLong(call.group(4));
        switch (name) {
            case "openat" -> opened(args, result);
            case "write" -> written(args, -1);
            case "pwrite64" -> written(args, Long.parseLong(args.substring(args.lastIndexOf(", ") + 2)));
            case "ftruncate" -> {
                String path = path(args);
                long length = Long.parseLong(args.substring(args.lastIndexOf(", ") + 2));
                events.add(d -> d.truncate(path, length));
            }
            case "lseek" -> positions.put(descriptor(args), result);
            case "fsync", "fdatasync" -> {
                String path = path(args);
                events.add(d -> {
                    if (d.has(path)) {
                        d.sync(path);
                    } else {
                        d.syncFolder(path);
                    }
                });
            }
            case "rename", "renameat", "renameat2" -> {
                List<String> paths = strings(args);
                events.add(d -> d.rename(paths.get(0), paths.get(1)));
            }
            case "unlink", "unlinkat" -> {
                List<String> paths = strings(args);
                events.add(d -> d.delete(paths.get(0)));
            }
            default -> {}
        }
    }

    private void opened(String args, long descriptor) {
        List<String> paths = strings(args);
        boolean written = args.contains("O_CREAT") || args.contains("O_TRUNC");
        positions.put(String.valueOf(descriptor), 0L);
        if (written && !paths.isEmpty() && paths.get(0).startsWith("/")) {
            boolean truncate = args.contains("O_TRUNC");
            events.add(d -> d.open(paths.get(0), truncate));
        }
    }

    private void written(String args, long at) {
        byte[] bytes = bytes(args);
        String descriptor = descriptor(args);
        String path = path(args);
        if (descriptor.equals("1")) {
            String words = new String(bytes, StandardCharsets.UTF_8).strip();
            if (words.startsWith("ack ")) {
                events.add(new Acknowledged(Integer.parseInt(words.substring(4))));
            }
            return;
        }
        long place = at >= 0 ? at : positions.getOrDefault(descriptor, 0L);
        if (at < 0) {
            positions.put(descriptor, place + bytes.length);
        }
        if (path.startsWith("/")) {
            events.add(d -> d.write(path, place, bytes));
        }
    }

    private static String descriptor(String args) {
        Matcher fd = FD.matcher(args);
        return fd.find() ? fd.group(1) : args.split("\\D", 2)[0];
    }

    private static String path(String args) {
        Matcher fd = FD.matcher(args);
        return fd.find() ? new String(unescaped(fd.group(2)), StandardCharsets.UTF_8) : "";
    }

    private static List<String> strings(String args) {
        List<String> all = new ArrayList<>();
        Matcher string = STRING.matcher(args);
        while (string.find()) {
            all.add(new String(unescaped(string.group(1)), StandardCharsets.UTF_8));
        }
        return all;
    }

    private static byte[] bytes(String args) {
        int from = args.indexOf('"');
        int to = args.lastIndexOf('"');
        return from < 0 ? new byte[0] : unescaped(args.substring(from + 1, to));
    }

    private static byte[] unescaped(String text) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(text.length() / 4);
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) == '\\' && i + 3 < text.length() && text.charAt(i + 1) == 'x') {
                out.write(Integer.parseInt(text, i + 2, i + 4, 16));
                i += 3;
            } else {
                out.write(text.charAt(i));
            }
        }
        return out.toByteArray();
    }
}
