package escrel.web.security;

import escrel.web.disk.Disk;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** {@code ./escrel passphrase}: asks for a passphrase and keeps its hash in the workshop's folder. */
public final class PassphraseCommand {
    private static final int SHORTEST = 10;

    // what the hash takes
    private static final int LONGEST_BYTES = 72;

    private PassphraseCommand() {}

    static boolean fits(String passphrase) {
        return passphrase.getBytes(StandardCharsets.UTF_8).length <= LONGEST_BYTES;
    }

    /**
     * Asks and keeps.
     *
     * @param args the workshop's folder
     */
    public static void main(String[] args) throws IOException {
        Console console = System.console();
        String passphrase = console == null
                ? new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine()
                : new String(console.readPassword("New passphrase (at least %d characters): ", SHORTEST));
        if (passphrase == null || passphrase.length() < SHORTEST) {
            System.err.println("A passphrase needs at least " + SHORTEST + " characters. Nothing was set.");
            System.exit(2);
            return;
        }
        if (!fits(passphrase)) {
            System.err.println("A passphrase may have " + LONGEST_BYTES + " bytes at most. Nothing was set.");
            System.exit(2);
            return;
        }
        Path folder = Path.of(args[0]);
        Disk.makeFolder(folder);
        Path made = folder.resolve("passphrase.part");
        Files.deleteIfExists(made);
        Disk.createPrivate(made);
        Files.writeString(made, Objects.requireNonNull(new BCryptPasswordEncoder().encode(passphrase)));
        Disk.putInPlace(made, folder.resolve("passphrase"));
        System.out.println("The passphrase is set. Start with: ./escrel start --address ADDRESS");
    }
}
