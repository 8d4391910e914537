package escrel.bench.server;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a process holds at one moment, in MB.
 *
 * @param live what is alive on its heap, right after a collection; -1 when this JDK has no {@code jcmd}
 * @param resident what the system holds in memory for it, heap and everything else; 0 when the process is gone
 */
public record Memory(long live, long resident) {
    private static final Pattern USED = Pattern.compile("(?:generation|region).*? used (\\d+)K");

    public static Memory of(Server server) {
        return new Memory(live(server.pid()), resident(server.pid()));
    }

    private static long live(long pid) {
        try {
            jcmd(pid, "GC.run");
            Matcher used = USED.matcher(jcmd(pid, "GC.heap_info"));
            long sum = 0;
            while (used.find()) {
                sum += Long.parseLong(used.group(1));
            }
            return sum == 0 ? -1 : sum >> 10;
        } catch (IOException e) {
            return -1;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return -1;
        }
    }

    private static String jcmd(long pid, String command) throws IOException, InterruptedException {
        Process asked = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(), Long.toString(pid), command)
                .redirectErrorStream(true)
                .start();
        String said = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        asked.waitFor();
        return said;
    }

    private static long resident(long pid) {
        try {
            for (String line : Files.readAllLines(Path.of("/proc/" + pid + "/status"))) {
                if (line.startsWith("VmRSS:")) {
                    return Long.parseLong(line.replaceAll("\\D", "")) >> 10;
                }
            }
        } catch (IOException e) {
            // the process has ended, or this system tells nothing of its processes
        }
        return 0;
    }

    @Override
    public String toString() {
        return live + " MB alive, " + resident + " MB resident";
    }
}
