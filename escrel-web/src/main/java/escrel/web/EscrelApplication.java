package escrel.web;

import escrel.web.security.Listening;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the web application on the folder that {@code ESCREL_HOME} or {@code --escrel.home} names. */
@SpringBootApplication
@MapperScan(basePackages = "escrel.web", annotationClass = Mapper.class)
public class EscrelApplication {
    // H2: the file is locked by another process
    private static final int DATABASE_IN_USE = 90_020;

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
            if (cause instanceof SQLException sql && sql.getErrorCode() == DATABASE_IN_USE) {
                return Optional.of("Another Escrel has this folder open. Nothing was changed.\n"
                        + "Stop the other one, or name another folder in ESCREL_HOME.");
            }
        }
        return Optional.empty();
    }

    /** The application, ready to run; used by tests that restart it. */
    public static SpringApplication application() {
        // figures are written alike on every machine
        Locale.setDefault(Locale.ENGLISH);
        SpringApplication application = new SpringApplication(EscrelApplication.class);
        Map<String, Object> defaults = new HashMap<>();
        defaults.put("escrel.home", homeFolder().toString());
        application.setDefaultProperties(defaults);
        application.addInitializers(context -> Listening.requirePassphraseBeyondLoopback(context.getEnvironment()));
        return application;
    }

    private static Path homeFolder() {
        String named = System.getenv("ESCREL_HOME");
        return named == null || named.isBlank() ? Path.of(System.getProperty("user.home"), ".escrel") : Path.of(named);
    }

    /** The two switches people type, in the form Spring takes. */
    private static String[] plain(String[] args) {
        String[] out = new String[args.length];
        int n = 0;
        for (int i = 0; i < args.length; i++) {
            boolean hasValue = i + 1 < args.length;
            if (args[i].equals("--port") && hasValue) {
                out[n++] = "--server.port=" + args[++i];
            } else if (args[i].equals("--address") && hasValue) {
                out[n++] = "--server.address=" + args[++i];
            } else {
                out[n++] = args[i];
            }
        }
        return Arrays.copyOf(out, n);
    }
}
