package escrel.web.security;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.core.env.Environment;

/** Where the application listens, and whether that needs a passphrase. */
public final class Listening {
    private Listening() {}

    /** Listening beyond this machine was asked for without a passphrase. */
    public static final class RefusedException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        RefusedException(String message) {
            super(message);
        }
    }

    /** Refuses to start on an address others can reach while no passphrase has been set. */
    public static void requirePassphraseBeyondLoopback(Environment environment) {
        if (!onLoopback(environment) && !Files.exists(passphraseFile(environment))) {
            throw new RefusedException("Listening on " + environment.getProperty("server.address")
                    + " lets others reach the workshop's records, so a passphrase is needed first.\n"
                    + "Nothing was started. Set one with: ./escrel passphrase");
        }
    }

    static boolean onLoopback(Environment environment) {
        String address = environment.getProperty("server.address", "127.0.0.1");
        if (address.isBlank()) {
            // nothing named means everywhere
            return false;
        }
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    static Path passphraseFile(Environment environment) {
        return Path.of(environment.getRequiredProperty("escrel.home"), "passphrase");
    }
}
