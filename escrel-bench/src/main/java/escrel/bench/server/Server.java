package escrel.bench.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** The application as it ships, in a process of its own on a folder. */
public final class Server {
    private static final Pattern OPEN = Pattern.compile("Escrel is open at (http://localhost:\\d+)");
    private static final String CLASS_PATH = System.getProperty("java.class.path");

    private final Process process;
    private final StringBuffer said = new StringBuffer();
    private volatile @Nullable String url;
    private final Thread reader;

    private Server(Process process) {
        this.process = process;
        this.reader = new Thread(this::read, "server output");
        reader.setDaemon(true);
        reader.start();
    }

    /** Begins to start it; it may be killed before it is up. */
    public static Server start(Path home, boolean demo) throws IOException {
        return start("escrel.web.EscrelApplication", home, demo);
    }

    /** Begins to start the application through another main class, which may look on from within. */
    public static Server start(String main, Path home, boolean demo) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                asShipped(),
                "-cp",
                CLASS_PATH,
                main,
                "--escrel.home=" + home,
                "--server.port=0"));
        if (demo) {
            command.add("--escrel.demo=true");
        }
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("MALLOC_ARENA_MAX", "2");
        return new Server(builder.start());
    }

    /** How the JVM is asked to run as it does when shipped: the file of its options, as {@code ./escrel bench} names it. */
    public static String asShipped() {
        return "@" + Objects.requireNonNull(System.getProperty("escrel.jvm"), "run it by ./escrel bench");
    }

    private void read() {
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.append(line).append('\n');
                Matcher open = OPEN.matcher(line);
                if (open.find()) {
                    url = open.group(1);
                }
            }
        } catch (IOException e) {
            said.append("(output ended)\n");
        }
    }

    /** Its address once it is up; nothing when it ended or did not come up in time. */
    @Nullable
    public String await(int seconds) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        while (url == null && process.isAlive() && System.nanoTime() < until) {
            process.waitFor(20, TimeUnit.MILLISECONDS);
        }
        return url;
    }

    public String said() {
        return said.toString();
    }

    public boolean isAlive() {
        return process.isAlive();
    }

    public long pid() {
        return process.pid();
    }

    /** SIGKILL: nothing of it runs any more. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
        reader.join(1_000);
    }
}
