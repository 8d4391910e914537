package escrel.web.testing;

import escrel.web.EscrelApplication;
import escrel.web.storage.Sheets;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.context.ConfigurableApplicationContext;

/** The application on a folder of its own and a free port; can be stopped and started again on the same folder. */
public final class EscrelServer implements AutoCloseable {
    private static EscrelServer demo;

    private final Path home;
    private final boolean withDemo;
    private ConfigurableApplicationContext context;

    private EscrelServer(Path home, boolean withDemo) {
        this.home = home;
        this.withDemo = withDemo;
        start();
    }

    /** One with the demo workshop, shared by all tests that leave its jobs as they are. */
    public static synchronized EscrelServer demo() {
        if (demo == null) {
            demo = new EscrelServer(folder(), true);
            Runtime.getRuntime().addShutdownHook(new Thread(demo::close));
        }
        return demo;
    }

    /** One on an empty folder. */
    public static EscrelServer empty() {
        return new EscrelServer(folder(), false);
    }

    /** One that knows calibres of the demo and nothing else. */
    public static EscrelServer knowing(String... calibres) {
        EscrelServer server = empty();
        for (String calibre : calibres) {
            server.bean(Sheets.class).keep(BenchHand.demoSheet(calibre));
        }
        return server;
    }

    /** One on a folder that is there already. */
    public static EscrelServer on(Path home) {
        return new EscrelServer(home, false);
    }

    /** A new folder that goes with the test run. */
    public static Path folder() {
        try {
            return Files.createTempDirectory(Path.of("target"), "home-").toAbsolutePath();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void start() {
        context = EscrelApplication.application()
                .run("--escrel.home=" + home, "--server.port=0", "--escrel.demo=" + withDemo, "--escrel.upkeep=false");
    }

    /** Stops and starts again on the same folder; the port changes. */
    public void restart() {
        context.close();
        start();
    }

    public String url() {
        return "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
    }
}
