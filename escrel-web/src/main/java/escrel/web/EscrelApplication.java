package escrel.web;

import escrel.web.ground.Ground;
import escrel.web.ground.GroundException;
import escrel.web.ground.Home;
import escrel.web.ground.Opening;
import escrel.web.security.Listening;
import escrel.web.storage.Mappers;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.support.DefaultSingletonBeanRegistry;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Import;
import org.springframework.context.aot.AbstractAotProcessor;
import org.springframework.core.env.ConfigurableEnvironment;

/** Starts the web application on the folder that {@code ESCREL_HOME} or {@code --escrel.home} names. */
@SpringBootApplication
@Import(Mappers.class)
public class EscrelApplication {
    /** Kept free on the disk: the database breaks when it cannot write to its end. */
    private static final long RESERVE_MEGABYTES = 32;

    private static final int DEMO_PORT = 8742;

    /** Command line: {@code [--port N] [--address A] [--escrel.home=FOLDER]} and any Spring property. */
    public static void main(String[] args) {
        try {
            application().run(plain(args));
        } catch (RuntimeException e) {
            System.err.println(plainReason(e).orElseThrow(() -> e));
            System.exit(2);
        }
    }

    /** What keeps it from starting, in plain words, where the person in front of it can mend that. */
    static Optional<String> plainReason(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof Listening.RefusedException) {
                return Optional.ofNullable(cause.getMessage());
            }
            if (cause instanceof GroundException || cause instanceof PortInUseException) {
                return Optional.of(
                        cause instanceof PortInUseException port
                                ? ("Port %d is taken by another program, or by another Escrel. Nothing was changed.\n"
                                                + "Stop the other one, or choose a port: ./escrel start --port N")
                                        .formatted(port.getPort())
                                : String.valueOf(cause.getMessage()));
            }
        }
        return Optional.empty();
    }

    /** The application, ready to run; used by tests that restart it. */
    public static SpringApplication application() {
        // figures are written alike on every machine
        Locale.setDefault(Locale.ENGLISH);
        SpringApplication application = new SpringApplication(EscrelApplication.class);
        // what was worked out when it was built is called after it, whoever starts it
        application.setMainApplicationClass(EscrelApplication.class);
        Map<String, Object> defaults = new HashMap<>();
        defaults.put("escrel.home", homeFolder().toString());
        application.setDefaultProperties(defaults);
        application.addInitializers(EscrelApplication::openTheFolder);
        return application;
    }

    /** The folder is opened, mended and locked before anything of the application is made. */
    private static void openTheFolder(ConfigurableApplicationContext context) {
        if (Boolean.getBoolean(AbstractAotProcessor.AOT_PROCESSING)) {
            // being built: its parts are looked at, none is made, and nobody's folder is touched
            return;
        }
        ConfigurableEnvironment environment = context.getEnvironment();
        Listening.requirePassphraseBeyondLoopback(environment);
        Home home =
                new Home(Path.of(environment.getRequiredProperty("escrel.home")).toAbsolutePath());
        long reserve = environment.getProperty("escrel.reserve-megabytes", Long.class, RESERVE_MEGABYTES) << 20;
        boolean demo = environment.getProperty("escrel.demo", Boolean.class, false);
        Opening.Kind kind = demo ? Opening.Kind.DEMO : Opening.Kind.REAL;
        Ground ground = Opening.open(home, kind, reserve);
        ConfigurableListableBeanFactory beans = context.getBeanFactory();
        beans.registerSingleton("ground", ground);
        ((DefaultSingletonBeanRegistry) beans).registerDisposableBean("ground", ground::close);
        ground.told().forEach(System.out::println);
    }

    private static Path homeFolder() {
        String named = System.getenv("ESCREL_HOME");
        return named == null || named.isBlank() ? Path.of(System.getProperty("user.home"), ".escrel") : Path.of(named);
    }

    /** The two switches people type, in the form Spring takes. */
    private static String[] plain(String[] args) {
        String[] out = new String[args.length + 1];
        int n = 0;
        boolean demo = false;
        boolean port = false;
        for (int i = 0; i < args.length; i++) {
            boolean hasValue = i + 1 < args.length;
            demo |= args[i].equals("--escrel.demo=true");
            port |= args[i].equals("--port") || args[i].startsWith("--server.port");
            if (args[i].equals("--port") && hasValue) {
                out[n++] = "--server.port=" + args[++i];
            } else if (args[i].equals("--address") && hasValue) {
                out[n++] = "--server.address=" + args[++i];
            } else {
                out[n++] = args[i];
            }
        }
        if (demo && !port) {
            // beside the real workshop, not in its way
            out[n++] = "--server.port=" + DEMO_PORT;
        }
        return Arrays.copyOf(out, n);
    }
}
