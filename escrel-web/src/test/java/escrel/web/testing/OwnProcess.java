package escrel.web.testing;

import escrel.web.EscrelApplication;
import escrel.web.storage.Sheets;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The application in a process of its own, with the memory it ships with. */
public final class OwnProcess {
    private static final Pattern OPEN = Pattern.compile("Escrel is open at (http://localhost:\\d+)");

    private OwnProcess() {}

    /** A folder in which one calibre of the demo is known. */
    public static Path folderKnowing(String calibre) {
        Path home = EscrelServer.folder();
        try (EscrelServer server = EscrelServer.on(home)) {
            server.bean(Sheets.class).keep(BenchHand.demoSheet(calibre));
        }
        return home;
    }

    /** Begins to start it. */
    public static Process start(Path home, boolean demo) throws IOException {
        String path = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        path,
                        "@" + Path.of("..", "jvm.options").toAbsolutePath(),
                        EscrelApplication.class.getName(),
                        "--escrel.home=" + home,
                        "--escrel.demo=" + demo,
                        "--escrel.upkeep=false",
                        "--server.port=0")
                .redirectErrorStream(true)
                .start();
    }

    /** Its address, once it is up; what it says afterwards is read and thrown away, so that it never waits for us. */
    public static String address(Process process) throws IOException {
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder all = new StringBuilder();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            all.append(line).append('\n');
            Matcher open = OPEN.matcher(line);
            if (open.find()) {
                Thread rest = new Thread(() -> out.lines().forEach(l -> {}), "output of the application");
                rest.setDaemon(true);
                rest.start();
                return open.group(1);
            }
        }
        throw new IllegalStateException("it did not start:\n" + all);
    }
}
