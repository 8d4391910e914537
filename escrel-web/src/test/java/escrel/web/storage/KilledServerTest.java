package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.EscrelApplication;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A step the page has acknowledged survives a process that is killed outright. */
class KilledServerTest {
    private static final Pattern OPEN = Pattern.compile("Escrel is open at (http://localhost:\\d+)");

    private static Process start(Path home) throws IOException {
        String path = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        path,
                        "-XX:TieredStopAtLevel=1",
                        EscrelApplication.class.getName(),
                        "--escrel.home=" + home,
                        "--escrel.demo=true",
                        "--server.port=0")
                .redirectErrorStream(true)
                .start();
    }

    private static String address(Process process) throws IOException {
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder all = new StringBuilder();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            all.append(line).append('\n');
            Matcher open = OPEN.matcher(line);
            if (open.find()) {
                return open.group(1);
            }
        }
        throw new IllegalStateException("it did not start:\n" + all);
    }

    @Test
    void secondProcessOnTheSameFolderIsToldPlainly() throws Exception {
        Path home = EscrelServer.folder();
        Process first = start(home);
        try {
            address(first);
            Process second = start(home);
            String said = new String(second.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(second.waitFor()).isEqualTo(2);
            assertThat(said).contains("Another Escrel has this folder open", "ESCREL_HOME");
        } finally {
            first.destroyForcibly().waitFor();
        }
    }

    @Test
    void everyAcknowledgedStepIsThereAfterAKill() throws Exception {
        Path home = EscrelServer.folder();
        Process first = start(home);
        int job;
        int acknowledged;
        try {
            Visitor visitor = new Visitor(address(first));
            job = visitor.openJob("Killed watch", "cv-12");
            for (String part : List.of("case-back", "stem", "watchcase", "seconds-hand")) {
                int status = visitor.post(
                                "/jobs/" + job + "/strip/off",
                                Map.of("part", part, "seq", visitor.sequence(job), "answered", "true"))
                        .statusCode();
                assertThat(status).isEqualTo(200);
            }
            acknowledged = visitor.sequence(job);
        } finally {
            // SIGKILL: no shutdown hook runs
            first.destroyForcibly().waitFor();
        }

        Process second = start(home);
        try {
            Visitor visitor = new Visitor(address(second));
            assertThat(visitor.sequence(job)).isEqualTo(acknowledged);
            assertThat(visitor.get("/jobs/" + job + "/strip").body()).contains("4 off");
        } finally {
            second.destroyForcibly().waitFor();
        }
    }
}
